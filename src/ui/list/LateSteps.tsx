'use client';

import { useHydrated } from '../form/useHydrated';
import { useTakeBack } from '../feedback/Notices';

/** A step of the journal, in a line. */
export interface LateStep {
  readonly id: string;
  readonly day: string;
  readonly message: string;
  readonly isUndone: boolean;
}

/** What was done lately, with a way back for each step that stands. */
export function LateSteps({ steps }: { steps: readonly LateStep[] }) {
  const takeBack = useTakeBack();
  const hydrated = useHydrated();
  return (
    <details className="mb-3 max-w-[760px] text-[13px]">
      <summary className="cursor-pointer text-ink-2 underline decoration-dotted">recent changes, and undo</summary>
      <table className="rows plain" aria-label="Recent changes">
        <tbody>
          {steps.map(({ id, day, message, isUndone }) => (
            <tr key={id}>
              <td className="q whitespace-nowrap text-ink-2">{day}</td>
              <td className={isUndone ? 'text-ink-3 line-through' : ''}>{message}</td>
              <td data-align="end">
                {isUndone ? (
                  <span className="text-ink-2">undone</span>
                ) : (
                  <button
                    type="button"
                    className="btn"
                    data-tone="small"
                    disabled={!hydrated}
                    aria-label={`Undo: ${message}`}
                    onClick={() => takeBack(id)}
                  >
                    undo
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
