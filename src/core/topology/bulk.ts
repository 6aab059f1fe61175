import type { BoardPart } from '../board';
import type { FoundStage } from './match/stage';
import type { Model } from './model';
import { SUPPLY_RESISTOR_AT_MOST } from './model/parts';
import { spreadAlong } from './model/spread';

/** Rails between which the bulk store lies, and the capacitors that make it. */
export interface Bulk {
  readonly rails: readonly (readonly number[])[];
  readonly parts: readonly BoardPart[];
}

/**
 * The reservoir behind the mains rectifier, or behind the power factor front end when there is one, and those behind
 * line transformers and droppers: every polarised capacitor across it, both halves of a doubler and both ends of a pi
 * filter included.
 */
export function bulkOf(model: Model, stages: readonly FoundStage[]): Bulk {
  const { held } = model;
  const groups: number[][] = [];
  const pfc = stages.filter(({ topology }) => topology === 'boost-pfc');
  for (const stage of pfc) groups.push(spread([...stage.outputs, ...stage.sources], model));
  for (const stage of stages) if (['line', 'dropper'].includes(stage.form)) groups.push(spread(stage.outputs, model));
  const isLine = stages.some(({ form }) => form === 'line' || form === 'dropper');
  if (pfc.length === 0 && !isLine) {
    const returns = [...held.mains].filter((rail) => held.isHeld(rail));
    if (held.rectified.size > 0) groups.push(spread([...held.rectified, ...returns], model));
  }
  const parts = model.elements.capacitors
    .filter(({ polarised, a, b }) => polarised && groups.some((rails) => rails.includes(a) && rails.includes(b)))
    .map(({ part }) => part);
  return { rails: groups, parts: [...new Set(parts)] };
}

/** Rails behind filter chokes and small resistors, and the middles of stacked capacitors. */
function spread(seeds: readonly number[], { elements, held, board, rails }: Model): number[] {
  const found = new Set(seeds.filter((rail) => held.isHeld(rail)));
  const links = [
    ...elements.inductive.filter(({ part }) => part.kind === 'inductor').map(({ a, b }) => [a, b] as const),
    ...board.parts
      .filter(({ kind, value }) => kind === 'resistor' && (value?.resistance ?? Infinity) <= SUPPLY_RESISTOR_AT_MOST)
      .map((part) => [rails.at(part, '1'), rails.at(part, '2')] as const),
  ];
  spreadAlong(found, links, held.isHeld);
  const polarised = elements.capacitors.filter((capacitor) => capacitor.polarised);
  const neighbours = new Map<number, Set<number>>();
  for (const { a, b } of polarised) {
    if (found.has(a) === found.has(b)) continue;
    const [inside, outside] = found.has(a) ? [a, b] : [b, a];
    neighbours.set(outside, (neighbours.get(outside) ?? new Set()).add(inside));
  }
  for (const [rail, inside] of neighbours) if (inside.size > 1) found.add(rail);
  return [...found];
}
