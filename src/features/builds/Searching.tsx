'use client';

import { useState } from 'react';

/** The drawers are weighed and the best design is run, with a way to stop it; what was typed stays in its form. */
export function Searching() {
  const [isStopped, setStopped] = useState(false);
  if (isStopped)
    return (
      <p role="status" className="mt-4 text-[13px] text-ink-2">
        Stopped. What was asked stands above.
      </p>
    );
  return (
    <div className="mt-4 flex max-w-[480px] items-center gap-3 text-[13px]">
      <span>Weighing every fitting lot, then running the best …</span>
      <progress aria-label="Weighing the drawers" className="h-1.5 flex-1" />
      <button
        type="button"
        className="btn"
        onClick={() => {
          window.stop();
          setStopped(true);
        }}
      >
        Stop
      </button>
    </div>
  );
}
