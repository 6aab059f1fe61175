import { judgeReading, type Gate, type ReadingVerdict, type Step } from '../../../core/bringup';
import { parseQuantity, problemText } from '../../../core/quantity';

/** What must come first, as a thing to do. */
export const GATE_WORDS: Readonly<Record<Exclude<Gate, 'go'>, string>> = {
  'switch-on': 'Switch it on at the strip',
  'switch-off': 'Switch it off at the strip and pull the plug',
  'read-stores': 'Read every store dead',
};

/** A reading over range: more ohms than the meter shows. */
const OPEN = /^(?:ol|open|inf|∞)$/iu;

export type TypedReading =
  | { readonly kind: 'none' }
  | { readonly kind: 'problem'; readonly text: string }
  | { readonly kind: 'read'; readonly value: number; readonly resolution: number; readonly verdict: ReadingVerdict };

/** What a typed reading is, and what it says of its step. */
export function readingAt(step: Step, text: string): TypedReading {
  if (!step.asked || text.trim() === '') return { kind: 'none' };
  const judged = (value: number, resolution: number): TypedReading => ({
    kind: 'read',
    value,
    resolution,
    verdict: judgeReading(step, { value, resolution }),
  });
  if (step.asked.unit === 'ohm' && OPEN.test(text.trim())) return judged(Infinity, 0);
  const parsed = parseQuantity(text, step.asked.unit);
  if (!parsed.ok) return { kind: 'problem', text: problemText(parsed.problem) };
  return judged(parsed.quantity.value, parsed.quantity.resolution);
}
