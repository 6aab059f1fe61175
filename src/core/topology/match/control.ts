import { practice } from '../../evidence';
import type { BoardPart } from '../../board';
import type { Model } from '../model';
import type { SwitchElement } from '../model/elements';

/** What commands a switch, as far as its gate can be followed. */
export interface Control {
  readonly chips: readonly BoardPart[];
  /** Transformers whose windings drive the gate. */
  readonly windings: readonly BoardPart[];
}

/** A resistor above this feeds a start-up current, and commands nothing. */
const DRIVE_RESISTOR_AT_MOST = practice(22e3);

/**
 * Follows a gate or base through resistors, capacitors, diodes, small transistors and drive transformers to the chips
 * and windings behind it. Held rails end the way.
 */
export function controlOf(element: SwitchElement, { rails, held, elements }: Model): Control {
  const chips = new Set<BoardPart>();
  const windings = new Set<BoardPart>();
  const seen = new Set<number>([element.gate]);
  const queue = [element.gate];
  const visit = (rail: number) => {
    if (rail < 0 || seen.has(rail) || held.isHeld(rail) || rail === element.hi || rail === element.lo) return;
    seen.add(rail);
    queue.push(rail);
  };
  const powerWinding = new Set(
    elements.inductive.filter(({ a, b }) => a === element.hi || b === element.hi).map(({ part }) => part),
  );
  for (const rail of queue)
    for (const { part, pin } of rails.on(rail)) {
      if (part === element.part) continue;
      if (part.kind === 'ic') chips.add(part);
      else if (part.kind === 'transformer') {
        windings.add(part);
        if (!powerWinding.has(part)) for (const other of Object.keys(part.pins)) visit(rails.at(part, other));
      } else if (part.kind === 'resistor' && (part.value?.resistance ?? 0) > DRIVE_RESISTOR_AT_MOST) continue;
      else if (['resistor', 'capacitor', 'diode'].includes(part.kind))
        for (const other of Object.keys(part.pins)) visit(rails.at(part, other));
      else if ((part.kind === 'npn' || part.kind === 'pnp') && pin === 'E') visit(rails.at(part, 'B'));
    }
  return { chips: [...chips], windings: [...windings] };
}
