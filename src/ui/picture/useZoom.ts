'use client';

import { useRef, useState, type KeyboardEvent, type MouseEvent, type PointerEvent, type WheelEvent } from 'react';

export interface View {
  readonly scale: number;
  /** Middle of what is shown, as shares of the picture. */
  readonly x: number;
  readonly y: number;
}

/** A place on a picture, as shares of its width and height. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

const WHOLE: View = { scale: 1, x: 0.5, y: 0.5 };
const LARGEST = 12;
/** How much nearer one press of a key or one step of the wheel leads. */
export const ZOOM_STEP = 1.35;
/** Share of what is shown that an arrow key moves. */
const KEY_MOVE = 0.1;
/** A press that moved less than this many pixels was a click. */
const STILL = 4;

const held = (value: number) => Math.max(0, Math.min(1, value));

export interface Zoom {
  readonly view: View;
  /** Comes nearer or goes farther; the spot, if one is named, stays where it is on the screen. */
  readonly zoom: (factor: number, about?: Spot) => void;
  readonly move: (dx: number, dy: number) => void;
  readonly look: (view: View) => void;
  readonly whole: () => void;
}

/** Where one stands on a picture and how near. */
export function useZoom(): Zoom {
  const [view, setView] = useState<View>(WHOLE);
  return {
    view,
    zoom: (factor, about = view) => {
      const scale = Math.max(1, Math.min(LARGEST, view.scale * factor));
      const kept = view.scale / scale;
      setView(
        scale === 1
          ? WHOLE
          : { scale, x: held(about.x + (view.x - about.x) * kept), y: held(about.y + (view.y - about.y) * kept) },
      );
    },
    move: (dx, dy) => setView({ ...view, x: held(view.x + dx / view.scale), y: held(view.y + dy / view.scale) }),
    look: setView,
    whole: () => setView(WHOLE),
  };
}

/**
 * The hands on a picture: wheel, finger and keys move it, a click or Enter tells a spot.
 * @param boxOf where the whole picture lies on the screen at present, parts out of sight included
 * @param onSpot called with the spot that was clicked, or the middle of what is shown for Enter
 */
export function useZoomHands(
  { view, zoom, move, look, whole }: Zoom,
  boxOf: () => Pick<DOMRect, 'left' | 'top' | 'width' | 'height'> | undefined,
  onSpot?: (spot: Spot) => void,
) {
  const drag = useRef<{ x: number; y: number; view: View; moved: boolean }>(undefined);
  const spotAt = ({ clientX, clientY }: { clientX: number; clientY: number }): Spot | undefined => {
    const box = boxOf();
    return box && box.width > 0 && box.height > 0
      ? { x: (clientX - box.left) / box.width, y: (clientY - box.top) / box.height }
      : undefined;
  };

  return {
    onKeyDown(event: KeyboardEvent) {
      if (event.target !== event.currentTarget) return;
      const keys: Record<string, () => void> = {
        '+': () => zoom(ZOOM_STEP),
        '=': () => zoom(ZOOM_STEP),
        '-': () => zoom(1 / ZOOM_STEP),
        '0': whole,
        ArrowLeft: () => move(-KEY_MOVE, 0),
        ArrowRight: () => move(KEY_MOVE, 0),
        ArrowUp: () => move(0, -KEY_MOVE),
        ArrowDown: () => move(0, KEY_MOVE),
        ...(onSpot ? { Enter: () => onSpot({ x: view.x, y: view.y }) } : {}),
      };
      const done = keys[event.key];
      if (!done) return;
      event.preventDefault();
      event.stopPropagation();
      done();
    },
    onWheel(event: WheelEvent) {
      zoom(event.deltaY < 0 ? ZOOM_STEP : 1 / ZOOM_STEP, spotAt(event));
    },
    onPointerDown(event: PointerEvent) {
      drag.current = { x: event.clientX, y: event.clientY, view, moved: false };
    },
    onPointerMove(event: PointerEvent) {
      const from = drag.current;
      const box = boxOf();
      if (!from || !box || event.buttons === 0) return;
      const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
      if (Math.hypot(dx, dy) > STILL) from.moved = true;
      if (from.moved)
        look({ ...from.view, x: held(from.view.x - dx / box.width), y: held(from.view.y - dy / box.height) });
    },
    onClick(event: MouseEvent) {
      if (!onSpot || drag.current?.moved) return;
      const spot = spotAt(event);
      if (spot && spot.x >= 0 && spot.x <= 1 && spot.y >= 0 && spot.y <= 1) onSpot(spot);
    },
  };
}
