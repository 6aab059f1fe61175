import type { BoardPart } from '../../board';
import type { Elements } from './elements';
import type { Held } from './held';
import { SUPPLY_RESISTOR_AT_MOST, TRANSISTOR_TERMINALS } from './parts';
import type { Rails } from './rails';
import { spreadAlong } from './spread';

/**
 * Rails that power reaches from the given ones through chokes, small resistors, diodes, pass transistors, regulators
 * and contacts, without some parts. Only held rails are reached; switching nodes end the way.
 */
export function fedRails(
  seeds: Iterable<number>,
  { parts, rails, elements, held }: { parts: readonly BoardPart[]; rails: Rails; elements: Elements; held: Held },
  without: ReadonlySet<BoardPart>,
): Set<number> {
  const fed = new Set([...seeds].filter((rail) => rail >= 0));
  const links: (readonly [number, number])[] = [];
  for (const part of parts) {
    if (without.has(part)) continue;
    const between = (a: string, b: string) => links.push([rails.at(part, a), rails.at(part, b)]);
    const terminals = TRANSISTOR_TERMINALS[part.kind];
    // A thyristor across a rail shorts it, and one from the line is a stage of its own.
    if (part.kind === 'scr') continue;
    if (terminals) between(terminals.hi, terminals.lo);
    else if (part.kind === 'regulator') between('IN', 'OUT');
    else if (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SUPPLY_RESISTOR_AT_MOST) {
      const [a, b] = [rails.at(part, '1'), rails.at(part, '2')];
      const isLoad = elements.capacitors.some(
        (other) => (other.a === a && other.b === b) || (other.a === b && other.b === a),
      );
      if (!isLoad) links.push([a, b]);
    } else if (part.kind === 'relay') contactPairs(part).forEach(([a, b]) => between(a, b));
  }
  for (const { part, a, b } of elements.inductive)
    if (part.kind === 'inductor' && !without.has(part)) links.push([a, b]);
  for (const { part, from, to, isBody } of elements.rectifiers)
    if (!isBody && !without.has(part) && !isAcrossStore(from, to, elements)) links.push([from, to]);
  /** Two parts in series with nothing else between, such as a protection diode and a filter choke. */
  const isJunction = (rail: number) =>
    rails.on(rail).length === 2 && rails.on(rail).every(({ part }) => IN_SERIES.has(part.kind));
  spreadAlong(fed, links, (rail) => rail >= 0 && (held.isHeld(rail) || isJunction(rail)) && !held.mains.has(rail));
  return fed;
}

/** A diode across a store, or beside the thyristor that dumps one, keeps it from reversing and feeds nothing. */
const isAcrossStore = (from: number, to: number, { capacitors, switches }: Elements): boolean =>
  capacitors.some(({ a, b, polarised }) => polarised && ((a === from && b === to) || (a === to && b === from))) ||
  switches.some(({ part, hi, lo }) => part.kind === 'scr' && hi === to && lo === from);

const IN_SERIES: ReadonlySet<string> = new Set(['diode', 'inductor', 'resistor', 'relay']);

/** Contacts of a relay: every pin but the coil's, in pairs. */
export function contactPairs({ pins }: BoardPart): readonly (readonly [string, string])[] {
  const contacts = Object.keys(pins).filter((pin) => pin !== '1' && pin !== '2');
  return contacts.slice(1).map((pin, index) => [contacts[index] ?? '', pin] as const);
}
