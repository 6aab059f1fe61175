'use client';

import { useRef, useState, type KeyboardEvent, type MouseEvent, type PointerEvent } from 'react';
import { useAct } from '../../../ui/feedback/useAct';
import { addPinAction } from '../actions';
import type { PhotoPageView, PinView } from '../views/photos';

interface View {
  readonly scale: number;
  /** Middle of what is shown, as shares of the picture. */
  readonly x: number;
  readonly y: number;
}

const WHOLE: View = { scale: 1, x: 0.5, y: 0.5 };
const LARGEST = 12;
const STEP = 1.35;

const held = (value: number) => Math.max(0, Math.min(1, value));

/** One photo that can be zoomed and moved by wheel, finger or key, with its numbered pins. */
export function PhotoViewer({ code, photo, place }: { code: string; photo: PhotoPageView; place: string }) {
  const [view, setView] = useState<View>(WHOLE);
  const [pinning, setPinning] = useState(place !== '');
  const [note, setNote] = useState(place);
  const [spot, setSpot] = useState<{ x: number; y: number }>();
  const drag = useRef<{ x: number; y: number; view: View } | undefined>(undefined);
  const frame = useRef<HTMLDivElement>(null);
  const { act, pending } = useAct(async () => {
    const at = spot ?? { x: view.x, y: view.y };
    const outcome = await addPinAction(code, { photoId: photo.id, x: at.x, y: at.y, note });
    if (outcome.ok) {
      setNote('');
      setSpot(undefined);
    }
    return outcome;
  });

  const zoom = (factor: number) => {
    const scale = Math.max(1, Math.min(LARGEST, view.scale * factor));
    setView(scale === 1 ? WHOLE : { ...view, scale });
  };
  const move = (dx: number, dy: number) =>
    setView({ ...view, x: held(view.x + dx / view.scale), y: held(view.y + dy / view.scale) });

  function onKey(event: KeyboardEvent) {
    const keys: Record<string, () => void> = {
      '+': () => zoom(STEP),
      '=': () => zoom(STEP),
      '-': () => zoom(1 / STEP),
      '0': () => setView(WHOLE),
      ArrowLeft: () => move(-0.1, 0),
      ArrowRight: () => move(0.1, 0),
      ArrowUp: () => move(0, -0.1),
      ArrowDown: () => move(0, 0.1),
    };
    const done = keys[event.key];
    if (!done) return;
    event.preventDefault();
    event.stopPropagation();
    done();
  }

  /** The spot of the picture under the pointer. */
  function spotAt(event: MouseEvent | PointerEvent): { x: number; y: number } | undefined {
    const picture = frame.current?.querySelector('img')?.getBoundingClientRect();
    if (!picture) return undefined;
    const [x, y] = [(event.clientX - picture.left) / picture.width, (event.clientY - picture.top) / picture.height];
    return x >= 0 && x <= 1 && y >= 0 && y <= 1 ? { x, y } : undefined;
  }

  return (
    <div>
      <div
        ref={frame}
        tabIndex={0}
        role="group"
        aria-label={`${photo.says}, enlarged ${view.scale.toFixed(1)} times. Plus and minus zoom, arrows move, 0 shows all.`}
        className={`relative h-[min(58dvh,560px)] touch-none overflow-hidden border border-rule-2 bg-bench ${pinning ? 'cursor-crosshair' : 'cursor-grab'}`}
        onKeyDown={onKey}
        onWheel={(event) => zoom(event.deltaY < 0 ? STEP : 1 / STEP)}
        onPointerDown={(event) => {
          if (!pinning) drag.current = { x: event.clientX, y: event.clientY, view };
        }}
        onPointerMove={(event) => {
          const from = drag.current;
          const picture = frame.current?.querySelector('img')?.getBoundingClientRect();
          if (!from || !picture) return;
          setView({
            ...from.view,
            x: held(from.view.x - (event.clientX - from.x) / picture.width),
            y: held(from.view.y - (event.clientY - from.y) / picture.height),
          });
        }}
        onPointerUp={() => (drag.current = undefined)}
        onPointerLeave={() => (drag.current = undefined)}
        onClick={(event) => {
          const at = pinning ? spotAt(event) : undefined;
          if (at) setSpot(at);
        }}
      >
        <div
          className="absolute top-1/2 left-1/2 max-h-full max-w-full"
          style={{
            aspectRatio: `${photo.width} / ${photo.height}`,
            height: photo.height >= photo.width ? '100%' : undefined,
            width: photo.width > photo.height ? '100%' : undefined,
            transform: `translate(-50%, -50%) scale(${view.scale}) translate(${(0.5 - view.x) * 100}%, ${(0.5 - view.y) * 100}%)`,
          }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            src={view.scale > 1.5 ? photo.large : photo.medium}
            alt={photo.says}
            draggable={false}
            className="block h-full w-full select-none"
          />
          <Pins pins={photo.pins} scale={view.scale} />
          {spot && <Pin x={spot.x} y={spot.y} scale={view.scale} text="+" />}
        </div>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
        <button type="button" className="btn" aria-label="Zoom in" onClick={() => zoom(STEP)}>
          +
        </button>
        <button type="button" className="btn" aria-label="Zoom out" onClick={() => zoom(1 / STEP)}>
          −
        </button>
        <button type="button" className="btn" data-tone="quiet" onClick={() => setView(WHOLE)}>
          all of it
        </button>
        <button type="button" className="btn" aria-pressed={pinning} onClick={() => setPinning(!pinning)}>
          {pinning ? 'Done pinning' : 'Put pins'}
        </button>
        {pinning && (
          <form
            className="flex min-w-0 flex-1 items-center gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              act();
            }}
          >
            <input
              aria-label="Note of the pin"
              value={note}
              onChange={(event) => setNote(event.target.value)}
              placeholder="what is here"
              maxLength={300}
              className="min-w-0 flex-1 rounded-[3px] border border-rule-2 bg-lift px-2 py-1.5"
            />
            <button type="submit" className="btn" disabled={pending}>
              {spot ? 'Pin it there' : 'Pin the middle'}
            </button>
          </form>
        )}
      </div>
    </div>
  );
}

/** Numbered pins that keep their size while the picture grows. */
export function Pins({
  pins,
  scale = 1,
  ghost = false,
}: {
  pins: readonly PinView[];
  scale?: number;
  ghost?: boolean;
}) {
  return (
    <>
      {pins.map(({ id, x, y, number, note }) => (
        <Pin key={id} x={x} y={y} scale={scale} text={String(number)} title={note} ghost={ghost} />
      ))}
    </>
  );
}

function Pin({
  x,
  y,
  scale,
  text,
  title,
  ghost = false,
}: {
  x: number;
  y: number;
  scale: number;
  text: string;
  title?: string;
  ghost?: boolean;
}) {
  return (
    <span
      title={title}
      className={`q absolute grid size-[22px] place-items-center rounded-full border-2 border-sheet text-[12px] leading-none ${ghost ? 'bg-sheet text-ink outline outline-1 outline-ink outline-dashed' : 'bg-ink text-sheet'}`}
      style={{ left: `${x * 100}%`, top: `${y * 100}%`, transform: `translate(-50%, -50%) scale(${1 / scale})` }}
    >
      {text}
    </span>
  );
}
