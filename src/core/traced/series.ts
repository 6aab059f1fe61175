import type { BoardPart } from '../board';
import { reachOf } from '../topology';
import type { StageTask } from './task';

/** What lies in series between the switches, the primary and the source. */
export interface Series {
  readonly parts: readonly BoardPart[];
  readonly rails: readonly number[];
  /** Rails on the way from a switch to its winding. */
  readonly swinging: readonly number[];
  /** Windings of other transformers that the current passes through, such as those of a current transformer. */
  readonly links: readonly { readonly ref: string; readonly ends: readonly [number, number] }[];
}

/** @param swinging rails that the switches swing */
export function seriesOf(
  { recognition: { model }, stage, rails: ends }: StageTask,
  swinging: ReadonlySet<number>,
): Series {
  const { elements, held, nets } = model;
  const wound = stage.magnetics.filter(({ kind }) => kind === 'transformer');
  const windings = elements.windings.filter(({ part }) => wound.includes(part));
  const parts = new Set<BoardPart>();
  const rails = new Set<number>();
  const also = new Set<number>();
  const links = new Map<string, Series['links'][number]>();
  // A part may lead on from a rail in several ways; the one that arrives counts.
  const pass = (here: number, through: readonly BoardPart[], goal: number): boolean => {
    const [part, ...left] = through;
    if (!part) return here === goal;
    for (const one of [...elements.capacitors, ...elements.inductive]) {
      if (one.part !== part || (one.a !== here && one.b !== here)) continue;
      const far = one.a === here ? one.b : one.a;
      if (!pass(far, left, goal)) continue;
      rails.add(far);
      if (!('winding' in one) || part.kind !== 'transformer') parts.add(part);
      else
        links.set(`${part.ref} ${one.winding}`, {
          ref: part.ref,
          ends: [nets.of(`${part.ref}.${one.aPin}`), nets.of(`${part.ref}.${one.bPin}`)],
        });
      return true;
    }
    return false;
  };
  // A winding that power merely passes through lies within one rail.
  for (const part of model.board.parts)
    if (part.kind === 'transformer' && !wound.includes(part))
      (part.windings ?? []).forEach((pins, index) => {
        const [first = '', last = ''] = [pins[0], pins.at(-1)];
        if (model.rails.at(part, first) === model.rails.at(part, last))
          links.set(`${part.ref} ${index}`, {
            ref: part.ref,
            ends: [nets.of(`${part.ref}.${first}`), nets.of(`${part.ref}.${last}`)],
          });
      });
  for (const start of swinging) {
    if (windings.some(({ rails: own }) => own.includes(start))) continue;
    const reach = reachOf(start, elements, held).find(
      ({ rail, through }) =>
        through.every((part) => !wound.includes(part)) && windings.some(({ rails: own }) => own.includes(rail)),
    );
    if (!reach) continue;
    also.add(reach.rail);
    pass(start, reach.through, reach.rail);
  }
  const reached = new Set([...swinging, ...also]);
  for (const winding of windings.filter(({ rails: own }) => own.some((rail) => reached.has(rail))))
    for (const rail of winding.rails) {
      if (reached.has(rail) || held.isHeld(rail)) continue;
      const reach = reachOf(rail, elements, held, { without: winding.part }).filter(
        (one) => one.through.length > 0 && (held.isHeld(one.rail) || reached.has(one.rail)),
      );
      for (const one of reach.filter(({ through }) => through.length === reach[0]?.through.length))
        pass(rail, one.through, one.rail);
    }
  rails.delete(ends.plus);
  rails.delete(ends.minus);
  return { parts: [...parts], rails: [...rails], swinging: [...also], links: [...links.values()] };
}
