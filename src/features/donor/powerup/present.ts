import { judgeReading, type Gate, type Power, type ReadingVerdict, type Step } from '../../../core/bringup';
import { parseQuantity, problemText } from '../../../core/quantity';

/** What must come first, as a thing to do. */
export function gateWords(gate: Exclude<Gate, 'go'>, power: Power): string {
  if (gate === 'read-stores') return 'Read every store dead';
  if (gate === 'switch-off') return 'Switch it off at the strip and pull the plug, the bench supply too';
  return power === 'bench' ? 'Switch the bench supply on' : 'Switch it on at the strip';
}

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
