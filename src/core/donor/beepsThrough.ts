import { practice } from '../evidence';
import { splitPin } from '../board';
import { windingsFrom, type ProbedFact } from './boardOf';

/** Parts between whose ends a meter beeps although they are no joint: so little is their resistance. */
const LOW_OHMS: ReadonlySet<string> = new Set(
  practice(['transformer', 'inductor', 'common-mode-choke', 'fuse', 'thermistor', 'resistor', 'switch']),
);

/**
 * Of pins that all beeped with one another, two that may do so only through the part they are ends of. Of a
 * transformer, pins that are known to be of different windings do not.
 * @param kinds by reference
 */
export function beepsThrough(
  pins: readonly string[],
  kinds: ReadonlyMap<string, string>,
  facts: readonly ProbedFact[],
): readonly [string, string] | undefined {
  const windings = windingsFrom(facts);
  const windingOf = (ref: string, pin: string) => windings.get(ref)?.find((own) => own.includes(pin));
  for (const [index, one] of pins.entries())
    for (const other of pins.slice(index + 1)) {
      const [[ref, a], [second, b]] = [splitPin(one), splitPin(other)];
      if (ref !== second || !LOW_OHMS.has(kinds.get(ref) ?? '')) continue;
      const [first, last] = [windingOf(ref, a), windingOf(ref, b)];
      if (!first || !last || first === last) return [one, other];
    }
  return undefined;
}
