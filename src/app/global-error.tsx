'use client';

/** Shown when even the frame failed; it must stand without anything else. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <h1>Zorvek could not show this page</h1>
        <p>
          Showing it changed nothing. Try again; if it fails once more, the reason stands in the window where Zorvek was
          started. The database may be in use by another program, or its folder may not be writable.
        </p>
        <button type="button" onClick={reset}>
          Try again
        </button>
      </body>
    </html>
  );
}
