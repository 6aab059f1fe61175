import type { Recognition } from '../../topology';
import { pairedRail, type Duty } from './duty';

/** Single diodes on the mains: into the rail that is higher than its partner, out of the lower one. */
export function lineDuties({ model, bulk }: Recognition): readonly Duty[] {
  const { elements, held } = model;
  const alternating = (rail: number) => held.mains.has(rail) || held.lineSecondary.has(rail) || held.dropped.has(rail);
  const groups = bulk.rails;
  return elements.rectifiers.flatMap((element): readonly Duty[] => {
    const { from, to } = element;
    if (element.isBody || alternating(from) === alternating(to)) return [];
    const still = alternating(from) ? to : from;
    if (!held.isHeld(still)) return [];
    const group = groups.find((rails) => rails.includes(still)) ?? [];
    const partner =
      elements.rectifiers
        .filter((other) => other !== element && other.part !== element.part && !other.isBody)
        .flatMap((other) =>
          alternating(other.from) !== alternating(other.to) ? [alternating(other.from) ? other.to : other.from] : [],
        )
        .find((rail) => rail !== still && held.isHeld(rail) && group.includes(rail)) ?? pairedRail(still, group, model);
    return partner === undefined
      ? []
      : [{ element, high: still, low: partner, cathode: still, because: 'it should let the mains charge its rail' }];
  });
}
