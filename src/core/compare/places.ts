import { dropOf, PLACE_ROLES, type Loss, type LossPlace } from './losses';
import { q, RULES, textOf, type Change, type CompareRow } from './rows';
import type { RolePart, Subject } from './subject';

/** Places in the words of the trade. */
export const PLACE_LABELS: Readonly<Record<LossPlace, string>> = {
  switch: 'switch',
  rectifier: 'output rectifier',
  outputCans: 'output capacitors',
  inlet: 'inlet, bridge',
  startUp: 'start-up',
};

const watt = (value: number) => `${Math.abs(value).toFixed(1)} W`;

/** What a difference between two is, explained by the sums where they say it. */
function explain(place: LossPlace, a: Subject, b: Subject, losses: readonly [Loss, Loss]): string {
  const by = losses[0].watts - losses[1].watts;
  const less =
    Math.abs(by) < RULES.slightly ? 'hardly a difference' : `${watt(by)} ${by > 0 ? 'less' : 'more'} of every 100`;
  const [one, other] = [a, b].map((subject) =>
    PLACE_ROLES[place].map((role) => subject.roles[role]?.[0]).find(Boolean),
  );
  if (!one || !other) return less;
  if (place === 'switch' && one.ratings['rdsOn'] && other.ratings['rdsOn']) {
    const [conducts, switches] = [
      (losses[0].conduction ?? 0) - (losses[1].conduction ?? 0),
      losses[0].watts - (losses[0].conduction ?? 0) - (losses[1].watts - (losses[1].conduction ?? 0)),
    ];
    const beside =
      Math.abs(switches) < RULES.slightly
        ? ''
        : `; ${watt(switches)} ${switches > 0 ? 'less' : 'more'} while it switches, by the usual charge of such a die`;
    return `R-on ${q(one.ratings['rdsOn'], 'ohm')} to ${q(other.ratings['rdsOn'], 'ohm')}: ${watt(conducts)} ${conducts >= 0 ? 'less' : 'more'} of every 100${beside}`;
  }
  if (place === 'rectifier') {
    const isFet = (part: RolePart) => /mos/u.test(part.kind);
    const drop = (part: RolePart) =>
      isFet(part) ? `a FET of ${q(part.ratings['rdsOn'], 'ohm')}` : `drop ${q(dropOf(part), 'volt')}`;
    if (isFet(one) || isFet(other) || !b.amperes) return `${drop(one)} to ${drop(other)}: ${less}`;
    // What nobody measured is no difference to tell.
    if (one.ratings['vf'] === undefined && other.ratings['vf'] === undefined && dropOf(one) === dropOf(other))
      return `${dropOf(one).toFixed(2)} V taken of both, not measured: ${less}`;
    // Both at the current of the last, so that one figure tells it.
    const at = (dropOf(one) - dropOf(other)) * b.amperes;
    const told = (part: RolePart) =>
      `${dropOf(part).toFixed(2)} V${part.ratings['vf'] === undefined ? ' (taken, not measured)' : ''}`;
    return `drop ${told(one)} to ${told(other)}: ${watt(at)} ${at >= 0 ? 'less' : 'more'} at ${q(b.amperes, 'ampere')}`;
  }
  return less;
}

const changeOf = (losses: readonly (Loss | undefined)[], texts: readonly string[]): Change => {
  const known = losses.flatMap((one) => (one ? [one.watts] : []));
  if (known.length === losses.length) {
    const spread = Math.max(...known) - Math.min(...known);
    return spread >= RULES.changed ? 'changed' : spread >= RULES.slightly ? 'slightly' : 'same';
  }
  if (texts.some((text) => text === '')) return 'unknown';
  return new Set(texts).size > 1 ? 'slightly' : 'same';
};

/** What stands at a place of a unit. */
export function placeText(place: LossPlace, { roles }: Subject): string {
  const role = PLACE_ROLES[place].find((one) => roles[one]?.length);
  return role ? textOf(roles[role]) : '';
}

/** A place of units with what each loses there. */
export function lossRow(
  place: LossPlace,
  subjects: readonly Subject[],
  losses: readonly Readonly<Partial<Record<LossPlace, Loss>>>[],
): CompareRow {
  const texts = subjects.map((subject) => placeText(place, subject));
  const own = losses.map((one) => one[place]);
  const [first, last] = [own[0], own.at(-1)];
  const [a, b] = [subjects[0], subjects.at(-1)];
  return {
    label: PLACE_LABELS[place],
    cells: texts.map((text, index) => ({
      text,
      ...(own[index] ? { watts: own[index].watts, why: own[index].from } : {}),
    })),
    change: changeOf(own, texts),
    says: first && last && a && b && a !== b ? explain(place, a, b, [first, last]) : 'not known of all',
  };
}
