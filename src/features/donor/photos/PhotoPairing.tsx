'use client';

import { useState, type MouseEvent } from 'react';
import type { Match, Point } from '../../../core/photo';
import { useAct } from '../../../ui/command/useAct';
import { pairSidesAction } from './actions';
import type { PhotoPageView } from './view.server';
import { Pins } from './PhotoViewer';

/** Pairs the photo with one of the other side by three spots, and shows the pins of one on the other. */
export function PhotoPairing({ code, photo }: { code: string; photo: PhotoPageView }) {
  const [otherId, setOtherId] = useState<string>();
  const other = photo.others.find(({ id }) => id === otherId);
  if (photo.others.length === 0)
    return <p className="text-[13px] text-ink-2">Add a photo of the other side, and the two can be paired.</p>;
  return (
    <div>
      {photo.pair && !other && (
        <div className="grid grid-cols-[minmax(0,420px)_1fr] gap-4 max-[900px]:grid-cols-1">
          <Picture src={photo.pair.medium} alt={photo.pair.message}>
            <Pins pins={photo.pair.mapped} ghost />
            <Pins pins={photo.pair.pins} />
          </Picture>
          <p className="text-[13px]">
            Paired with {photo.pair.message}: the dashed numbers show where the pins of this photo come out on that
            side.
          </p>
        </div>
      )}
      {other ? (
        <Matching code={code} photo={photo} other={other} onLeave={() => setOtherId(undefined)} />
      ) : (
        <label className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
          {photo.pair ? 'Pair it again with' : 'Pair it with'}
          <select
            value=""
            onChange={(event) => setOtherId(event.target.value)}
            className="rounded-[3px] border border-rule-2 bg-lift px-2 py-1.5"
          >
            <option value="">choose the other side</option>
            {photo.others.map(({ id, message }) => (
              <option key={id} value={id}>
                {message}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

const SPOTS = 3;

function Matching({
  code,
  photo,
  other,
  onLeave,
}: {
  code: string;
  photo: PhotoPageView;
  other: PhotoPageView['others'][number];
  onLeave: () => void;
}) {
  const [here, setHere] = useState<readonly Point[]>([]);
  const [there, setThere] = useState<readonly Point[]>([]);
  // The one that was called the back is the back; without a word this photo is the front.
  const isBack = photo.side === 'back' || other.side === 'front';
  const ready = here.length === SPOTS && there.length === SPOTS;
  const { act, pending } = useAct(async () => {
    const matches = here.map((point, index): Match => {
      const match = there[index] ?? point;
      return isBack ? { front: match, back: point } : { front: point, back: match };
    });
    const ids = isBack ? { frontId: other.id, backId: photo.id } : { frontId: photo.id, backId: other.id };
    const outcome = await pairSidesAction(code, { ...ids, matches });
    if (outcome.ok) onLeave();
    return outcome;
  });
  const message =
    here.length <= there.length && here.length < SPOTS
      ? `Point at spot ${here.length + 1} on this photo: a mounting hole, a corner, a large joint.`
      : there.length < SPOTS
        ? `Now at the same spot ${there.length + 1} on the other photo.`
        : 'Three spots on each: pair them.';
  return (
    <div>
      <p role="status" className="mb-1.5 text-[13px] font-semibold">
        {message}
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Picture
          src={photo.medium}
          alt={`${photo.message}, this photo`}
          onSpot={here.length < SPOTS && here.length <= there.length ? (point) => setHere([...here, point]) : undefined}
        >
          <Pins pins={toPins(here)} />
        </Picture>
        <Picture
          src={other.medium}
          alt={`${other.message}, the other side`}
          onSpot={there.length < here.length ? (point) => setThere([...there, point]) : undefined}
        >
          <Pins pins={toPins(there)} />
        </Picture>
      </div>
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" disabled={!ready || pending} onClick={act}>
          Pair them
        </button>
        <button
          type="button"
          className="btn"
          data-tone="quiet"
          onClick={() => {
            setHere([]);
            setThere([]);
          }}
        >
          begin again
        </button>
        <button type="button" className="btn" data-tone="quiet" onClick={onLeave}>
          leave it
        </button>
      </div>
    </div>
  );
}

const toPins = (points: readonly Point[]) =>
  points.map((point, index) => ({ ...point, id: String(index), number: index + 1, note: '' }));

function Picture({
  src,
  alt,
  onSpot,
  children,
}: {
  src: string;
  alt: string;
  onSpot?: ((point: Point) => void) | undefined;
  children: React.ReactNode;
}) {
  function point(event: MouseEvent<HTMLElement>) {
    const box = event.currentTarget.getBoundingClientRect();
    onSpot?.({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  }
  return (
    <button
      type="button"
      className={`relative block w-full border ${onSpot ? 'cursor-crosshair border-ochre' : 'cursor-default border-rule-2'}`}
      aria-label={alt}
      onClick={point}
    >
      {/* oxlint-disable-next-line nextjs/no-img-element */}
      <img src={src} alt="" draggable={false} className="block w-full select-none" />
      {children}
    </button>
  );
}
