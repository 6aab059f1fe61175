'use client';

import { proxy } from 'comlink';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  CORNERS_PROBLEM_TEXT,
  cornersProblem,
  type Corners,
  type Picture,
  type Point,
  type Preparation,
} from '../../../core/photo';
import { ProgressLine } from '../../../ui/feedback/ProgressLine';
import { startPhotoWorker } from '../../../workers/photo.client';
import type { PreparedPhoto } from '../../../workers/photo.worker';
import type { PhotoPageView } from './view.server';
import { sendPrepared } from './sendPhoto';
import { useCommand } from '../../../ui/command/useCommand';

const START: Corners = [
  { x: 0.06, y: 0.06 },
  { x: 0.94, y: 0.06 },
  { x: 0.94, y: 0.94 },
  { x: 0.06, y: 0.94 },
];
const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;
const NUDGE = 0.004;

/** Makes a photo ready for tracing: its board squared by four corners, mirrored, its copper raised; kept as a photo of its own. */
export function PhotoReady({ code, photo }: { code: string; photo: PhotoPageView }) {
  const [corners, setCorners] = useState<Corners>(START);
  const [isSquared, setSquared] = useState(true);
  const [mirror, setMirror] = useState(false);
  const [contrast, setContrast] = useState(0);
  const [made, setMade] = useState<PreparedPhoto>();
  const [share, setShare] = useState<number>();
  const [message, setMessage] = useState('');
  const work = useRef<ReturnType<typeof startPhotoWorker>>(undefined);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { run } = useCommand();
  const problem = isSquared ? cornersProblem(corners) : undefined;
  const preparation: Preparation = { ...(isSquared ? { corners } : {}), mirror, contrast };

  useEffect(() => () => work.current?.stop(), []);
  useEffect(() => {
    if (made && canvas.current) paint(canvas.current, made.picture);
  }, [made]);

  async function make() {
    setMessage('');
    setShare(0);
    const picture = await pixelsOf(photo.large).catch(() => undefined);
    if (!picture) {
      setShare(undefined);
      setMessage('The picture could not be read. Reload the page and try again.');
      return;
    }
    const started = startPhotoWorker();
    work.current = started;
    const prepared = await started
      .ask((call) => call.prepare(picture, preparation, proxy(setShare)))
      .catch(() => undefined);
    started.stop();
    if (work.current !== started) return;
    setShare(undefined);
    if (prepared) setMade(prepared);
    else setMessage('The picture could not be worked on. Nothing was changed.');
  }
  function stop() {
    work.current?.stop();
    work.current = undefined;
    setShare(undefined);
    setMessage('Stopped. The photo is as it was.');
  }
  async function keep() {
    if (!made) return;
    const outcome = await run(() => sendPrepared({ code, fromId: photo.id, preparation, blob: made.file }));
    if (outcome?.ok) setMade(undefined);
  }
  const change =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      setMade(undefined);
      set(value);
    };

  return (
    <div className="grid gap-2 text-[13px]">
      <div className="grid grid-cols-2 gap-3 max-[900px]:grid-cols-1">
        <CornerPicture
          photo={photo}
          corners={isSquared ? corners : undefined}
          onCorners={change<Corners>(setCorners)}
        />
        {made ? (
          <canvas
            ref={canvas}
            role="img"
            aria-label="The picture made ready"
            className="w-full self-start border border-rule-2"
          />
        ) : (
          <p className="self-center text-ink-2">
            {isSquared
              ? 'Put the four corners on those of the board, by pointer or arrow keys. What lies between becomes the picture.'
              : 'The whole picture is taken.'}
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={isSquared}
            onChange={(event) => change<boolean>(setSquared)(event.target.checked)}
          />
          square it by its corners
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={mirror}
            onChange={(event) => change<boolean>(setMirror)(event.target.checked)}
          />
          mirror it, so that a back lies as the front does
        </label>
        <label className="flex items-center gap-2">
          more contrast for the copper
          <input
            type="range"
            min={0}
            max={1}
            step={0.05}
            value={contrast}
            aria-valuetext={`${Math.round(contrast * 100)} %`}
            onChange={(event) => change<number>(setContrast)(Number(event.target.value))}
          />
        </label>
      </div>
      {problem && (
        <p role="alert" className="text-stop">
          {CORNERS_PROBLEM_TEXT[problem]}
        </p>
      )}
      {share !== undefined && (
        <ProgressLine label="Making it ready" done={Math.round(share * 100)} total={100} onCancel={stop} />
      )}
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="btn"
          disabled={problem !== undefined || share !== undefined}
          onClick={() => void make()}
        >
          Make it ready
        </button>
        {made && (
          <button type="button" className="btn" onClick={() => void keep()}>
            Save it as a photo
          </button>
        )}
        <span role="status">
          {message || (made ? 'The photo itself stays as it is; pins and the pairing go over to the new one.' : '')}
        </span>
      </div>
    </div>
  );
}

function CornerPicture({
  photo,
  corners,
  onCorners,
}: {
  photo: PhotoPageView;
  corners: Corners | undefined;
  onCorners: (corners: Corners) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const held = useRef<number>(undefined);
  const put = (index: number, { x, y }: Point) => {
    const limited = { x: Math.max(0, Math.min(1, x)), y: Math.max(0, Math.min(1, y)) };
    if (corners) onCorners(corners.map((corner, at) => (at === index ? limited : corner)) as unknown as Corners);
  };
  function onMove(event: PointerEvent) {
    const at = box.current?.getBoundingClientRect();
    if (held.current === undefined || !at) return;
    put(held.current, { x: (event.clientX - at.left) / at.width, y: (event.clientY - at.top) / at.height });
  }
  function onKey(event: KeyboardEvent, index: number, corner: Point) {
    const step = event.shiftKey ? NUDGE * 10 : NUDGE;
    const moves: Record<string, Point> = {
      ArrowLeft: { x: -step, y: 0 },
      ArrowRight: { x: step, y: 0 },
      ArrowUp: { x: 0, y: -step },
      ArrowDown: { x: 0, y: step },
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    put(index, { x: corner.x + move.x, y: corner.y + move.y });
  }
  return (
    <div
      ref={box}
      className="relative touch-none self-start border border-rule-2"
      onPointerMove={onMove}
      onPointerUp={() => (held.current = undefined)}
      onPointerLeave={() => (held.current = undefined)}
    >
      {/* oxlint-disable-next-line nextjs/no-img-element */}
      <img src={photo.medium} alt={photo.message} draggable={false} className="block w-full select-none" />
      {corners && (
        <>
          <svg viewBox="0 0 1 1" preserveAspectRatio="none" className="absolute inset-0 size-full" aria-hidden="true">
            <path
              d={`M${corners.map(({ x, y }) => `${x} ${y}`).join('L')}Z`}
              fill="none"
              stroke="var(--ochre)"
              strokeWidth="2"
              vectorEffect="non-scaling-stroke"
            />
          </svg>
          {corners.map((corner, index) => (
            <button
              key={CORNER_NAMES[index]}
              type="button"
              className="spot"
              aria-label={`Corner ${CORNER_NAMES[index]} of the board; arrow keys move it`}
              style={{ left: `${corner.x * 100}%`, top: `${corner.y * 100}%`, transform: 'translate(-50%, -50%)' }}
              onPointerDown={() => (held.current = index)}
              onKeyDown={(event) => onKey(event, index, corner)}
            />
          ))}
        </>
      )}
    </div>
  );
}

async function pixelsOf(url: string): Promise<Picture> {
  const bitmap = await createImageBitmap(await (await fetch(url)).blob());
  const sheet = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d');
  if (!sheet) throw new Error('this browser cannot read pictures');
  sheet.drawImage(bitmap, 0, 0);
  const { data, width, height } = sheet.getImageData(0, 0, bitmap.width, bitmap.height);
  return { data, width, height };
}

function paint(canvas: HTMLCanvasElement, { data, width, height }: Picture) {
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
}
