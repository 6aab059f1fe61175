import type { RoleName } from '../diagnose';
import { litres, plainRow, q, RULES, textOf, type CompareRow } from './rows';
import type { RolePart, Subject } from './subject';

/** What only some of the units have. */
export interface Lacking {
  readonly codes: readonly string[];
  readonly text: string;
}

/** What protects a unit and its user, by role. */
const PROTECTIONS: readonly (readonly [role: RoleName, label: string])[] = [
  ['fuse', 'fuse'],
  ['varistor', 'surge (varistor)'],
  ['ntc', 'inrush (NTC)'],
  ['xCapacitor', 'X capacitor, to be bled'],
  ['zener', 'over-voltage (Zener)'],
  ['optocoupler', 'regulated across the barrier'],
];
/** What a part means that one unit has and another has not. */
const MEANS: Partial<Record<RoleName, string>> = {
  pfcSwitch: 'a power factor stage: its bulk stands near 390 V',
  standbySwitch: 'a standby supply of its own, that runs while the rest is off',
  syncFet: 'FETs that rectify its output',
  varistor: 'a varistor against surges',
  ntc: 'an NTC against the inrush',
  xCapacitor: 'an X capacitor, that must be bled',
  optocoupler: 'an optocoupler: its output is held across the barrier',
  startUp: 'a start-up resistor, that is always warm',
  fan: 'a fan',
  resonant: 'a resonant capacitor',
  lineSelector: 'a mains selector',
  fusible: 'a fusible resistor',
};

/** Figures of units as a whole. */
export function figuresOf(subjects: readonly Subject[]): readonly CompareRow[] {
  const row = (label: string, of: (subject: Subject) => string) => plainRow(label, subjects.map(of));
  const per = (value: number | undefined, by: number | undefined) =>
    value === undefined || !by ? undefined : value / by;
  return [
    row('made', ({ year }) => (year === undefined ? '' : String(year))),
    row('output', ({ volts, amperes, watts }) =>
      [q(volts, 'volt'), q(amperes, 'ampere'), q(watts, 'watt')].filter((text) => text !== '').join(', '),
    ),
    row('watts a litre', (one) => per(one.watts, litres(one))?.toFixed(0) ?? ''),
    row('watts a kilogram', (one) => per(one.watts, one.mass)?.toFixed(0) ?? ''),
    row('watts a cm³', (one) => per(one.watts, (litres(one) ?? 0) * 1e3)?.toFixed(2) ?? ''),
    row('efficiency, measured', ({ efficiency }) =>
      efficiency === undefined ? '' : `${(100 * efficiency).toFixed(0)} %`,
    ),
    row('stages', ({ topologies }) => topologies.join(', ')),
    row('output cans, hours', ({ roles }) => {
      const [can] = roles.outputCapacitor ?? [];
      return can
        ? [
            can.ratings['life'] === undefined ? '' : q(can.ratings['life'], 'hour'),
            q(can.ratings['temperature'], 'celsius'),
          ]
            .filter((text) => text !== '')
            .join(', ')
        : '';
    }),
    row('isolated', ({ isIsolated }) => (isIsolated === undefined ? '' : isIsolated ? 'yes' : 'no')),
    row('opened', ({ opening }) =>
      [opening.seams.join(', '), opening.minutes > 0 ? `${Math.round(opening.minutes)} min` : '']
        .filter((text) => text !== '')
        .join(', '),
    ),
    row('gave', ({ yielded: { pieces, used } }) => (pieces > 0 ? `${pieces} pieces, ${used} used` : '')),
  ].filter(({ cells }) => cells.some(({ text }) => text !== ''));
}

/** What protects each unit: a part of its role, none where the board is logged far enough to tell, else nothing. */
export function protectionsOf(subjects: readonly Subject[]): readonly CompareRow[] {
  const none = ({ logged }: Subject) => (logged >= RULES.logged ? 'none logged' : '');
  const row = (label: string, partsOf: (subject: Subject) => readonly RolePart[] | undefined) =>
    plainRow(
      label,
      subjects.map((one) => textOf(partsOf(one)) || none(one)),
    );
  return [
    ...PROTECTIONS.map(([role, label]) => row(label, ({ roles }) => roles[role])),
    row('bleeds its stores', ({ bleeders }) => bleeders),
    plainRow('standby regulated', subjects.map(standbyGuard)),
  ].filter(({ cells }) => cells.some(({ text }) => text !== '' && text !== 'none logged'));
}

/**
 * What holds a standby supply: a chip that switches it, or a second optocoupler. One that swings by itself with neither rises as its
 * small can dries, and takes the board along. Common practice, no source.
 */
function standbyGuard({ roles, logged }: Subject): string {
  const standby = roles.standbySwitch ?? [];
  if (standby.length === 0) return '';
  const chip = standby.find(({ kind }) => kind === 'ic');
  if (chip) return `by ${chip.ref}, a chip`;
  const couplers = roles.optocoupler ?? [];
  if (couplers.length >= 2) return `across the barrier (${couplers.map(({ ref }) => ref).join(', ')})`;
  return logged >= RULES.logged ? 'none seen: it rises as its small can dries' : '';
}

/** What some have and the others lack; of what is hardly logged nothing is known to be missing. */
export function onlyIn(subjects: readonly Subject[]): readonly Lacking[] {
  return (Object.keys(MEANS) as RoleName[]).flatMap((role): readonly Lacking[] => {
    const has = subjects.filter((one) => one.roles[role]?.length);
    const lacks = subjects.filter((one) => !one.roles[role]?.length);
    if (has.length === 0 || lacks.length === 0 || lacks.some(({ logged }) => logged < RULES.logged)) return [];
    const refs = has.flatMap((one) => one.roles[role]?.map(({ ref }) => ref) ?? []);
    return [{ codes: has.map(({ code }) => code), text: `${MEANS[role] ?? ''} (${[...new Set(refs)].join(', ')})` }];
  });
}

/** How units are told apart unopened. */
export function apartOf(subjects: readonly Subject[]): readonly CompareRow[] {
  const row = (label: string, of: (subject: Subject) => string) => plainRow(label, subjects.map(of));
  return [
    row('weight', ({ mass }) => q(mass, 'kilogram')),
    row('size', ({ size }) =>
      size ? [size.length, size.width, size.height].map((side) => Math.round(side * 1000)).join(' × ') : '',
    ),
    row('idle, at the plug', ({ idle }) => q(idle, 'watt', 2)),
    row('inlet', ({ inlet }) => inlet),
    row('efficiency mark', ({ marks }) => marks.efficiency),
    row('protection class', ({ marks }) => marks.protection),
  ].filter(({ cells, change }) => cells.some(({ text }) => text !== '') && change !== 'same');
}
