import { ROLES, type RoleName } from '../diagnose';
import { practice } from '../evidence';
import { formatQuantity, type Unit } from '../quantity';
import { dropOf, lossesOf, PLACE_ROLES, type Loss, type LossPlace } from './losses';
import type { RolePart, Subject } from './subject';

/** How far units differ at a place. */
export type Change = 'changed' | 'slightly' | 'same' | 'unknown';

/** One place of two to five units, side by side. */
export interface CompareRow {
  readonly label: string;
  /** What stands there, by unit; empty where nothing is known. */
  readonly cells: readonly { readonly text: string; readonly watts?: number; readonly why?: string }[];
  readonly change: Change;
  /** What the difference is, from the first to the last. */
  readonly says: string;
}

export interface Comparison {
  /** Figures of the whole. */
  readonly figures: readonly CompareRow[];
  readonly roles: readonly CompareRow[];
  /** Watts lost of every 100, as far as they are known; and the saving place by place from the first to the last. */
  readonly lost: readonly (number | undefined)[];
  readonly saved: readonly { readonly label: string; readonly watts: number }[];
  /** What only some of them have. */
  readonly only: readonly { readonly codes: readonly string[]; readonly text: string }[];
  /** How to tell them apart unopened. */
  readonly apart: readonly CompareRow[];
  readonly protections: readonly CompareRow[];
  readonly headline: string;
}

const RULES = practice({
  /** Watts of every 100 from which a difference counts, and from which it is small. */
  changed: 0.5,
  slightly: 0.1,
  /** Parts logged from which a role that is not there is missing. */
  logged: 12,
});

const q = (value: number | undefined, unit: Unit, digits = 3) =>
  value === undefined ? '' : formatQuantity(value, unit, { digits });

const PLACE_LABELS: Readonly<Record<LossPlace, string>> = {
  switch: 'switch',
  rectifier: 'output rectifier',
  outputCans: 'output capacitors',
  inlet: 'inlet, bridge',
  startUp: 'start-up',
};

/** Litres of a unit. */
const litres = ({ size }: Subject) => size && size.length * size.width * size.height * 1e3;

/** What a part is, in a few words. */
function partText(part: RolePart | undefined): string {
  if (!part) return '';
  const { ratings } = part;
  const of = (name: string, unit: Unit) => (ratings[name] === undefined ? '' : q(ratings[name], unit));
  const words = /mos|igbt/u.test(part.kind)
    ? [of('vds', 'volt'), of('rdsOn', 'ohm')]
    : /diode/u.test(part.kind)
      ? [/schottky/iu.test(part.subtype) ? 'Schottky' : part.subtype, of('vrrm', 'volt')]
      : /capacitor/u.test(part.kind)
        ? [of('capacitance', 'farad'), of('voltage', 'volt')]
        : /thermistor|varistor|resistor/u.test(part.kind)
          ? [of('r25', 'ohm') || of('resistance', 'ohm'), of('vn', 'volt')]
          : /fuse/u.test(part.kind)
            ? [part.subtype, of('current', 'ampere')]
            : [part.package];
  return words.filter((word) => word !== '').join(', ') || part.marking || 'there';
}

const textOf = (parts: readonly RolePart[] | undefined): string => {
  if (!parts || parts.length === 0) return '';
  const [one] = parts;
  return parts.length > 1 ? `${parts.length} × ${partText(one)}` : partText(one);
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
    return `drop ${dropOf(one).toFixed(2)} V to ${dropOf(other).toFixed(2)} V: ${watt(at)} ${at >= 0 ? 'less' : 'more'} at ${q(b.amperes, 'ampere')}`;
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

/** Roles that lose little and are told beside those that do. */
const BESIDE: readonly RoleName[] = [
  'transformer',
  'bulk',
  'clamp',
  'controller',
  'optocoupler',
  'reference',
  'resonant',
];
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

/** Two to five units side by side, aligned role by role; differences explained in watts of every 100 delivered. */
export function compare(subjects: readonly Subject[]): Comparison {
  const [a, b] = [subjects[0], subjects.at(-1)];
  const losses = subjects.map(lossesOf);
  const places = (Object.keys(PLACE_LABELS) as LossPlace[]).filter((place) => losses.some((one) => one[place]));
  const roles = [
    ...places
      .map((place) => lossRow(place, subjects, losses))
      .toSorted((one, other) => spreadOf(other) - spreadOf(one)),
    ...(Object.keys(PLACE_LABELS) as LossPlace[])
      .filter(
        (place) =>
          !places.includes(place) && PLACE_ROLES[place].some((role) => subjects.some((one) => one.roles[role]?.length)),
      )
      .map((place) =>
        plainRow(
          PLACE_LABELS[place],
          subjects.map((one) => placeText(place, one)),
        ),
      ),
    ...BESIDE.filter((role) => subjects.some((one) => one.roles[role]?.length)).map((role) =>
      plainRow(
        ROLES[role].label,
        subjects.map((one) => textOf(one.roles[role])),
        besideSays(role, subjects),
      ),
    ),
  ];
  const shared = places.filter((place) => losses.every((one) => one[place]));
  const saved = shared
    .map((place) => ({
      label: PLACE_LABELS[place],
      watts: (losses[0]?.[place]?.watts ?? 0) - (losses.at(-1)?.[place]?.watts ?? 0),
    }))
    .filter(({ watts }) => Math.abs(watts) >= RULES.slightly)
    .toSorted((one, other) => Math.abs(other.watts) - Math.abs(one.watts));
  const sum = (of: (typeof losses)[number]) => shared.reduce((total, place) => total + (of[place]?.watts ?? 0), 0);
  return {
    figures: figuresOf(subjects),
    roles,
    lost: losses.map((one) => (shared.length > 0 ? sum(one) : undefined)),
    saved,
    only: onlyIn(subjects),
    apart: apartOf(subjects),
    protections: protectionsOf(subjects),
    headline:
      a && b && a !== b
        ? headline(
            a,
            b,
            losses.map(sum),
            saved.reduce((total, { watts }) => total + watts, 0),
          )
        : '',
  };
}

const spreadOf = ({ cells }: CompareRow): number => {
  const known = cells.flatMap(({ watts }) => (watts === undefined ? [] : [watts]));
  return known.length > 1 ? Math.max(...known) - Math.min(...known) : 0;
};

function placeText(place: LossPlace, { roles }: Subject): string {
  const role = PLACE_ROLES[place].find((one) => roles[one]?.length);
  return role ? textOf(roles[role]) : '';
}

function lossRow(
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

function plainRow(label: string, texts: readonly string[], says = ''): CompareRow {
  const known = texts.filter((text) => text !== '');
  const change: Change = known.length < texts.length ? 'unknown' : new Set(known).size > 1 ? 'slightly' : 'same';
  return {
    label,
    cells: texts.map((text) => ({ text })),
    change,
    says: says || (change === 'same' ? 'the same' : change === 'unknown' ? 'not known of all' : ''),
  };
}

/** Microfarads for each watt. */
const perWatt = ({ roles, watts }: Subject): number | undefined => {
  const farads = roles.bulk?.reduce((total, { ratings }) => total + (ratings['capacitance'] ?? 0), 0) ?? 0;
  return farads > 0 && watts ? (farads * 1e6) / watts : undefined;
};

function besideSays(role: RoleName, subjects: readonly Subject[]): string {
  if (role !== 'bulk') return '';
  const each = subjects.map(perWatt);
  return each.every((one) => one !== undefined) ? `${each.map((one) => one?.toFixed(1)).join(' to ')} µF a watt` : '';
}

function figuresOf(subjects: readonly Subject[]): readonly CompareRow[] {
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
function protectionsOf(subjects: readonly Subject[]): readonly CompareRow[] {
  const none = ({ logged }: Subject) => (logged >= RULES.logged ? 'none logged' : '');
  const row = (label: string, partsOf: (subject: Subject) => readonly RolePart[] | undefined) =>
    plainRow(
      label,
      subjects.map((one) => textOf(partsOf(one)) || none(one)),
    );
  return [
    ...PROTECTIONS.map(([role, label]) => row(label, ({ roles }) => roles[role])),
    row('bleeds its stores', ({ bleeders }) => bleeders),
  ].filter(({ cells }) => cells.some(({ text }) => text !== '' && text !== 'none logged'));
}

function onlyIn(subjects: readonly Subject[]): Comparison['only'] {
  return (Object.keys(MEANS) as RoleName[]).flatMap((role): Comparison['only'] => {
    const has = subjects.filter((one) => one.roles[role]?.length);
    const lacks = subjects.filter((one) => !one.roles[role]?.length);
    // Of what is hardly logged nothing is known to be missing.
    if (has.length === 0 || lacks.length === 0 || lacks.some(({ logged }) => logged < RULES.logged)) return [];
    const refs = has.flatMap((one) => one.roles[role]?.map(({ ref }) => ref) ?? []);
    return [{ codes: has.map(({ code }) => code), text: `${MEANS[role] ?? ''} (${[...new Set(refs)].join(', ')})` }];
  });
}

function apartOf(subjects: readonly Subject[]): readonly CompareRow[] {
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

const SHARES: readonly (readonly [from: number, words: string])[] = [
  [0.6, 'well over half'],
  [0.48, 'about half'],
  [0.34, 'over a third'],
  [0.22, 'about a quarter'],
  [0.08, 'a little'],
];
const shareWords = (share: number) => SHARES.find(([from]) => share >= from)?.[1];

function headline(a: Subject, b: Subject, lost: readonly number[], saved: number): string {
  const [first = 0, last = 0] = [lost[0], lost.at(-1)];
  const share = first > 0 ? saved / first : 0;
  const heat =
    first > 0
      ? share > 0
        ? shareWords(share)
          ? `${shareWords(share) ?? ''} less heat where it is known`
          : 'about the same heat'
        : shareWords(-saved / Math.max(last, 1e-9))
          ? `${shareWords(-saved / Math.max(last, 1e-9)) ?? ''} more heat where it is known`
          : 'about the same heat'
      : '';
  const [one, other] = [a, b].map((subject) => {
    const volume = litres(subject);
    return volume && subject.watts ? volume / subject.watts : undefined;
  });
  const room = one && other ? other / one - 1 : 0;
  const box =
    one && other
      ? Math.abs(room) < 0.05
        ? 'in the same room for each watt'
        : `in ${Math.round(100 * Math.abs(room))} % ${room < 0 ? 'less' : 'more'} room for each watt`
      : '';
  const text = [heat, box].filter((words) => words !== '').join(', ');
  return text === ''
    ? 'Too little is known of both to tell what changed'
    : `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
