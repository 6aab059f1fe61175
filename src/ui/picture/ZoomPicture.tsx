'use client';

import { useRef, useState, type KeyboardEvent, type MouseEvent, type PointerEvent, type ReactNode } from 'react';

interface View {
  readonly scale: number;
  /** Middle of what is shown, as shares of the picture. */
  readonly x: number;
  readonly y: number;
}

const WHOLE: View = { scale: 1, x: 0.5, y: 0.5 };
const LARGEST = 12;
const STEP = 1.35;
/** A press that moved less than this many pixels was a click. */
const STILL = 4;

const held = (value: number) => Math.max(0, Math.min(1, value));

export interface Zoom {
  readonly view: View;
  readonly zoom: (factor: number) => void;
  readonly move: (dx: number, dy: number) => void;
  readonly look: (view: View) => void;
  readonly whole: () => void;
}

/** Where one stands on a picture and how near. */
export function useZoom(): Zoom {
  const [view, setView] = useState<View>(WHOLE);
  return {
    view,
    zoom: (factor) => {
      const scale = Math.max(1, Math.min(LARGEST, view.scale * factor));
      setView(scale === 1 ? WHOLE : { ...view, scale });
    },
    move: (dx, dy) => setView({ ...view, x: held(view.x + dx / view.scale), y: held(view.y + dy / view.scale) }),
    look: setView,
    whole: () => setView(WHOLE),
  };
}

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
  onSpot?: ((spot: { readonly x: number; readonly y: number }) => void) | undefined;
  children?: (scale: number) => ReactNode;
}) {
  const { view } = zoom;
  const drag = useRef<{ x: number; y: number; view: View; moved: boolean } | undefined>(undefined);
  const frame = useRef<HTMLDivElement>(null);
  const pictureBox = () => frame.current?.querySelector('img')?.getBoundingClientRect();

  function onKey(event: KeyboardEvent) {
    if (event.target !== event.currentTarget) return;
    const keys: Record<string, () => void> = {
      '+': () => zoom.zoom(STEP),
      '=': () => zoom.zoom(STEP),
      '-': () => zoom.zoom(1 / STEP),
      '0': zoom.whole,
      ArrowLeft: () => zoom.move(-0.1, 0),
      ArrowRight: () => zoom.move(0.1, 0),
      ArrowUp: () => zoom.move(0, -0.1),
      ArrowDown: () => zoom.move(0, 0.1),
      ...(onSpot ? { Enter: () => onSpot({ x: view.x, y: view.y }) } : {}),
    };
    const done = keys[event.key];
    if (!done) return;
    event.preventDefault();
    event.stopPropagation();
    done();
  }

  function onClick(event: MouseEvent) {
    if (!onSpot || drag.current?.moved) return;
    const box = pictureBox();
    if (!box) return;
    const [x, y] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
    if (x >= 0 && x <= 1 && y >= 0 && y <= 1) onSpot({ x, y });
  }

  function onMove(event: PointerEvent) {
    const from = drag.current;
    const box = pictureBox();
    if (!from || !box || event.buttons === 0) return;
    const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
    if (Math.hypot(dx, dy) > STILL) from.moved = true;
    if (from.moved)
      zoom.look({ ...from.view, x: held(from.view.x - dx / box.width), y: held(from.view.y - dy / box.height) });
  }

  return (
    <div
      ref={frame}
      tabIndex={0}
      role="group"
      aria-label={`${picture.message}, enlarged ${view.scale.toFixed(1)} times. Plus and minus zoom, arrows move, 0 shows all.`}
      className={`relative h-[min(58dvh,560px)] touch-none max-[899px]:h-[64vw] overflow-hidden border border-rule-2 bg-bench ${onSpot ? 'cursor-crosshair' : 'cursor-grab'}`}
      onKeyDown={onKey}
      onWheel={(event) => zoom.zoom(event.deltaY < 0 ? STEP : 1 / STEP)}
      onPointerDown={(event) => {
        drag.current = { x: event.clientX, y: event.clientY, view, moved: false };
      }}
      onPointerMove={onMove}
      onClick={onClick}
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
        {/* eslint-disable-next-line @next/next/no-img-element */}
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
      <button type="button" className="btn" aria-label="Zoom in" onClick={() => zoom(STEP)}>
        +
      </button>
      <button type="button" className="btn" aria-label="Zoom out" onClick={() => zoom(1 / STEP)}>
        −
      </button>
      <button type="button" className="btn" data-tone="quiet" onClick={whole}>
        all of it
      </button>
    </>
  );
}
