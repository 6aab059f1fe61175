'use client';

import Link from '../../../../ui/frame/Link';
import { useState } from 'react';
import { splitPin, type BoardPart } from '../../../../core/board';
import type { Point } from '../../../../core/photo';
import { EmptyState } from '../../../../ui/feedback/EmptyState';
import { Shortcuts } from '../../../../ui/frame/Shortcuts';
import { useZoom } from '../../../../ui/picture/useZoom';
import { ZoomButtons, ZoomPicture } from '../../../../ui/picture/ZoomPicture';
import { liftPinsAction, placePinsAction } from '../../photos/actions';
import type { BoardPhoto, SpotView } from '../../photos/view.server';
import { Tracing } from './Tracing';
import { firstPin, pinAfter, PlacingLine } from '../../photos/PlacingLine';
import { useCommand } from '../../../../ui/command/useCommand';
import { routes } from '../../../../routes';

/** The board as it was photographed: pins lie where they were placed, light up with their net, and are joined by touching them. */
export function BoardPhotoView({
  code,
  photos,
  parts,
  held,
  asked,
  isLit,
  onTouch,
}: {
  code: string;
  photos: readonly BoardPhoto[];
  parts: readonly BoardPart[];
  held: string | undefined;
  /** Pins that the next probe asks for. */
  asked: readonly string[];
  isLit: (pin: string) => boolean;
  onTouch: (pin: string) => void;
}) {
  const zoom = useZoom();
  const [photoId, setPhotoId] = useState(photos[0]?.id);
  const [placing, setPlacing] = useState<string>();
  /** Placed a moment ago; the page may not know yet. */
  const [fresh, setFresh] = useState<readonly (SpotView & { readonly photoId: string })[]>([]);
  const { run } = useCommand();
  const photo = photos.find(({ id }) => id === photoId) ?? photos[0];
  if (!photo)
    return (
      <EmptyState title="No photo of the board yet">
        <Link href={routes.photos(code)} className="underline decoration-dotted">
          Add its front and its back
        </Link>
        , and pins can be placed on them and joined by touching. Everything here works without a photo too.
      </EmptyState>
    );
  const spots = [
    ...photo.spots.filter(({ pin }) => !fresh.some((spot) => spot.photoId === photo.id && spot.pin === pin)),
    ...fresh.filter((spot) => spot.photoId === photo.id),
  ];
  const placed = new Set(spots.map(({ pin }) => pin));
  const turn = () => {
    const at = photos.indexOf(photo);
    setPhotoId(photos[(at + 1) % photos.length]?.id);
  };

  function place({ x, y }: Point) {
    if (placing === undefined || !photo) return;
    const pin = placing;
    const spot = { photoId: photo.id, pin, x, y, isOwn: true };
    setFresh([...fresh.filter((entry) => entry.photoId !== photo.id || entry.pin !== pin), spot]);
    setPlacing(pinAfter(pin, parts, new Set([...placed, pin])));
    void run(() => placePinsAction(code, { photoId: photo.id, spots: [{ pin, x, y }] })).then((outcome) => {
      if (!outcome?.ok) setFresh((present) => present.filter((entry) => entry !== spot));
    });
  }

  return (
    <div>
      <Shortcuts keys={[{ key: 'v', label: 'turn the board over', press: 'turn-board' }]} />
      <ZoomPicture zoom={zoom} picture={photo} onSpot={placing === undefined ? undefined : place}>
        {(scale) => (
          <Tracing
            spots={spots}
            scale={scale}
            shape={photo.width / photo.height}
            stateOf={(pin) => ({ isHeld: pin === held, isLit: isLit(pin), isAsked: asked.includes(pin) })}
            onTouch={placing === undefined ? onTouch : undefined}
          />
        )}
      </ZoomPicture>
      <div className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
        <ZoomButtons zoom={zoom} />
        {photos.length > 1 && (
          <button id="turn-board" type="button" className="btn" onClick={turn}>
            <kbd>v</kbd> turn over
          </button>
        )}
        <span className="text-ink-2">{photo.message}</span>
        <Link href={photo.href} className="underline decoration-dotted">
          make it ready
        </Link>
        <button
          type="button"
          className="btn ml-auto"
          aria-pressed={placing !== undefined}
          onClick={() =>
            setPlacing(placing === undefined ? (pinAfter(undefined, parts, placed) ?? firstPin(parts)) : undefined)
          }
        >
          {placing === undefined ? 'Place pins' : 'Done placing'}
        </button>
      </div>
      {placing !== undefined && (
        <PlacingLine
          pin={placing}
          parts={parts}
          placed={placed}
          onPin={setPlacing}
          onLift={() => {
            const [ref] = splitPin(placing);
            setFresh(fresh.filter((spot) => splitPin(spot.pin)[0] !== ref));
            void run(() => liftPinsAction(code, { photoId: photo.id, ref }));
          }}
        />
      )}
    </div>
  );
}
