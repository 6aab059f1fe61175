import { SENSE_RULES, type Misfit, type PlacedPart } from './rules';
import type { UnitStress } from './unit';

/**
 * What does not fit between a part's ratings and the place it sits in, worst first. It says
 * nothing of what is not known: a missing rating, block or plate gives no misfit.
 * @example senseCheck({ kind: 'nmos', block: 'switch', ratings: { vds: 60 } }, unit)[0].severity // 'wrong'
 */
export function senseCheck(part: PlacedPart, unit: UnitStress): Misfit[] {
  return SENSE_RULES.flatMap((rule) => {
    const misfit = rule.check(part, unit);
    return misfit ? [{ ...misfit, rule: rule.name }] : [];
  }).sort((a, b) => Number(b.severity === 'wrong') - Number(a.severity === 'wrong'));
}

/** A reading as the check needs it. */
interface ReadingLike {
  readonly kind: PlacedPart['kind'];
  readonly ratings: PlacedPart['ratings'];
  readonly facts?: Readonly<Record<string, string>> | undefined;
}

/** The best of a marking's readings that fits its place, when an earlier one does not; best first. */
export function nextFitting<T extends ReadingLike>(
  readings: readonly T[],
  place: Pick<PlacedPart, 'block' | 'duty' | 'subtype'>,
  unit: UnitStress,
): T | undefined {
  const fits = ({ kind, ratings, facts }: T) =>
    !senseCheck({ ...place, kind, ratings, technology: facts?.technology }, unit).some(
      ({ severity }) => severity === 'wrong',
    );
  const first = readings.findIndex(fits);
  return first > 0 ? readings[first] : undefined;
}
