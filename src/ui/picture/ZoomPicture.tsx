'use client';

import { useRef, type ReactNode } from 'react';
import { useZoomHands, ZOOM_STEP, type Spot, type Zoom } from './useZoom';

/** A picture to be seen and pointed at; spots are shares of its width and height. */
export interface SeenPicture {
  readonly medium: string;
  readonly large: string;
  readonly width: number;
  readonly height: number;
  readonly message: string;
}

/** A picture that can be zoomed and moved by wheel, finger or key; a click tells the spot. What lies on it is drawn by `children` at the present scale. */
export function ZoomPicture({
  zoom,
  picture,
  onSpot,
  children,
}: {
  zoom: Zoom;
  picture: SeenPicture;
  /** Called with the spot that was clicked, or the middle of what is shown for Enter; without it a press only moves. */
  onSpot?: ((spot: Spot) => void) | undefined;
  children?: (scale: number) => ReactNode;
}) {
  const { view } = zoom;
  const frame = useRef<HTMLDivElement>(null);
  const hands = useZoomHands(zoom, () => frame.current?.querySelector('img')?.getBoundingClientRect(), onSpot);

  return (
    <div
      ref={frame}
      tabIndex={0}
      role="group"
      aria-label={`${picture.message}, enlarged ${view.scale.toFixed(1)} times. Plus and minus zoom, arrows move, 0 shows all.`}
      className={`relative h-[min(58dvh,560px)] touch-none max-[899px]:h-[64vw] overflow-hidden border border-rule-2 bg-bench ${onSpot ? 'cursor-crosshair' : 'cursor-grab'}`}
      {...hands}
    >
      <div
        className="absolute top-1/2 left-1/2 max-h-full max-w-full"
        style={{
          aspectRatio: `${picture.width} / ${picture.height}`,
          height: picture.height >= picture.width ? '100%' : undefined,
          width: picture.width > picture.height ? '100%' : undefined,
          transform: `translate(-50%, -50%) scale(${view.scale}) translate(${(0.5 - view.x) * 100}%, ${(0.5 - view.y) * 100}%)`,
        }}
      >
        {/* oxlint-disable-next-line nextjs/no-img-element */}
        <img
          src={view.scale > 1.5 ? picture.large : picture.medium}
          alt={picture.message}
          draggable={false}
          className="block h-full w-full select-none"
        />
        {children?.(view.scale)}
      </div>
    </div>
  );
}

/** Buttons beside a picture for those who do not use keys. */
export function ZoomButtons({ zoom: { zoom, whole } }: { zoom: Zoom }) {
  return (
    <>
      <button type="button" className="btn" aria-label="Zoom in" onClick={() => zoom(ZOOM_STEP)}>
        +
      </button>
      <button type="button" className="btn" aria-label="Zoom out" onClick={() => zoom(1 / ZOOM_STEP)}>
        −
      </button>
      <button type="button" className="btn" data-tone="quiet" onClick={whole}>
        all of it
      </button>
    </>
  );
}
