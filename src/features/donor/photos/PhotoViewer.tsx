'use client';

import { useState } from 'react';
import { useAct } from '../../../ui/command/useAct';
import { useZoom } from '../../../ui/picture/useZoom';
import { ZoomButtons, ZoomPicture } from '../../../ui/picture/ZoomPicture';
import { addPinAction } from './actions';
import type { PhotoPageView, PinView } from './view.server';

/** One photo with its numbered pins, and a way to put more. */
export function PhotoViewer({ code, photo, place }: { code: string; photo: PhotoPageView; place: string }) {
  const zoom = useZoom();
  const [pinning, setPinning] = useState(place !== '');
  const [note, setNote] = useState(place);
  const [spot, setSpot] = useState<{ x: number; y: number }>();
  const { act, pending } = useAct(async () => {
    const at = spot ?? { x: zoom.view.x, y: zoom.view.y };
    const outcome = await addPinAction(code, { photoId: photo.id, x: at.x, y: at.y, note });
    if (outcome.ok) {
      setNote('');
      setSpot(undefined);
    }
    return outcome;
  });

  return (
    <div>
      <ZoomPicture zoom={zoom} picture={photo} onSpot={pinning ? setSpot : undefined}>
        {(scale) => (
          <>
            <Pins pins={photo.pins} scale={scale} />
            {spot && <Pin x={spot.x} y={spot.y} scale={scale} text="+" />}
          </>
        )}
      </ZoomPicture>
      <div className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
        <ZoomButtons zoom={zoom} />
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
