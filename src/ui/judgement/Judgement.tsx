'use client';

import { useRef, useState, type PointerEvent, type ReactNode } from 'react';

/** So many pixels make a pull of a tap. */
const PULL = 14;
/** Up to this width the judgement is a sheet at the bottom edge. */
const NARROW = '(max-width: 899px)';

/**
 * The right half: what is made of the evidence. On a narrow screen a sheet that rests at one line on the bottom edge, and
 * comes up by a pull or a tap.
 */
export function Judgement({ children, label = 'Judgement' }: { children: ReactNode; label?: string }) {
  const [open, setOpen] = useState(false);
  const from = useRef<number>(undefined);
  const wasPulled = useRef(false);
  function onPointerDown(event: PointerEvent) {
    from.current = event.clientY;
    wasPulled.current = false;
  }
  function onPointerUp(event: PointerEvent) {
    const moved = event.clientY - (from.current ?? event.clientY);
    from.current = undefined;
    if (Math.abs(moved) < PULL) return;
    wasPulled.current = true;
    setOpen(moved < 0);
  }
  return (
    <aside className="judgement" aria-label={label} data-open={open ? '' : undefined}>
      <button
        type="button"
        className="judgement-handle"
        aria-expanded={open}
        aria-label={open ? 'Lower the judgement' : 'Raise the judgement'}
        onPointerDown={onPointerDown}
        onPointerUp={onPointerUp}
        onClick={() => {
          if (!wasPulled.current) setOpen(!open);
          wasPulled.current = false;
        }}
      />
      {/* Scrolled by keyboard when it overflows. */}
      <div
        className="judgement-body"
        tabIndex={0}
        role="group"
        aria-label={`${label}, details`}
        onClick={() => {
          if (!open && window.matchMedia(NARROW).matches) setOpen(true);
        }}
      >
        {children}
      </div>
    </aside>
  );
}
