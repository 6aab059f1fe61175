import type { FoundStage, Recognition } from '../../topology';
import type { Duty } from './duty';

/** Between a driven point and a supply rail a diode may only point to the higher rail. */
export function supplyDuties({ sources, switches, form }: FoundStage, { model, stages }: Recognition): readonly Duty[] {
  const { elements, held } = model;
  if (form === 'cell' || form === 'sepic' || form === 'cuk') return [];
  const driven = new Set(
    elements.switches
      .filter(({ part }) => switches.includes(part))
      .flatMap(({ hi, lo }) => [hi, lo])
      .filter((rail) => !held.isHeld(rail)),
  );
  for (const { part, a, b } of elements.inductive)
    if (stages.some((stage) => stage.magnetics[0] === part && stage.switches === switches))
      for (const [near, far] of [
        [a, b],
        [b, a],
      ] as const)
        if (sources.includes(far) && !held.isHeld(near)) driven.add(near);
  return elements.rectifiers.flatMap((element) =>
    [
      [element.from, element.to],
      [element.to, element.from],
    ].flatMap(([near = -1, far = -1]) => {
      if (!driven.has(near) || !sources.includes(far)) return [];
      const other = sources.find((rail) => rail !== far);
      if (other === undefined) return [];
      return [
        {
          element,
          high: far,
          low: other,
          cathode: far,
          because: 'between a switched point and a supply rail it may only lead away from the switch',
        },
      ];
    }),
  );
}
