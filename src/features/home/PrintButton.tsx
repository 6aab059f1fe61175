'use client';

/** Prints the page as it stands. */
export function PrintButton() {
  return (
    <button type="button" className="btn" data-tone="next" onClick={() => window.print()}>
      Print
    </button>
  );
}
