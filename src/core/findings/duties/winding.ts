import { outputOf, reachOf, type Model, type Recognition, type Winding } from '../../topology';
import { pairedRail, type Duty } from './duty';

/** Windings that give power away or carry a signal: those that no switch of a stage drives. */
export function secondaryWindings({ model, stages }: Recognition): readonly Winding[] {
  const { elements, held } = model;
  const driven = new Set(
    elements.switches
      .filter(({ part }) => stages.some(({ switches }) => switches.includes(part)))
      .flatMap(({ hi, lo }) => [hi, lo])
      .filter((rail) => !held.isHeld(rail)),
  );
  const rectifies = (winding: Winding) =>
    stages.some(
      ({ rectifiers, magnetics }) =>
        magnetics.includes(winding.part) &&
        elements.switches.some(
          ({ part, hi, lo }) => rectifiers.includes(part) && (winding.rails.includes(hi) || winding.rails.includes(lo)),
        ),
    );
  const isDriven = (winding: Winding) =>
    winding.rails.some(
      (start) =>
        !held.isHeld(start) &&
        reachOf(start, elements, held, { without: winding.part }).some(({ rail }) => driven.has(rail)),
    );
  return elements.windings.filter(
    (winding) => winding.part.kind === 'transformer' && (rectifies(winding) || !isDriven(winding)),
  );
}

/** Rectifiers of a winding: from the winding into a rail that is higher than its other end, and out of a lower one. */
export function windingDuties(winding: Winding, model: Model): readonly Duty[] {
  const output = outputOf(winding, model);
  if (!output) return [];
  const { held, elements } = model;
  const ends = winding.rails.filter((rail) => held.isHeld(rail));
  const because = `it should carry the current of ${winding.part.ref} into its rail`;
  return output.rectifiers.flatMap((element): readonly Duty[] => {
    const still = held.isHeld(element.from) ? element.from : held.isHeld(element.to) ? element.to : undefined;
    if (still === undefined) {
      const out = elements.inductive.flatMap(({ part, a, b }) =>
        output.chokes.includes(part)
          ? [element.from, element.to].flatMap((point) =>
              a === point && held.isHeld(b)
                ? [{ point, rail: b }]
                : b === point && held.isHeld(a)
                  ? [{ point, rail: a }]
                  : [],
            )
          : [],
      )[0];
      const [back] = ends;
      return out && back !== undefined ? [{ element, high: out.rail, low: back, cathode: out.point, because }] : [];
    }
    const swinging = still === element.from ? element.to : element.from;
    const chokeOut = elements.inductive.flatMap(({ part, a, b }) =>
      output.chokes.includes(part)
        ? [a, b].flatMap((rail, index) => ([a, b][1 - index] === swinging && held.isHeld(rail) ? [rail] : []))
        : [],
    )[0];
    if (chokeOut !== undefined && chokeOut !== still)
      return [{ element, high: chokeOut, low: still, cathode: swinging, because }];
    const middle = output.rails.find((rail) => rail !== still && output.chokes.length > 0);
    const other = ends.find((rail) => rail !== still) ?? middle ?? pairedRail(still, output.rails, model);
    return other === undefined ? [] : [{ element, high: still, low: other, cathode: still, because }];
  });
}
