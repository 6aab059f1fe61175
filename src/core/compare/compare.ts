import { ROLES, type RoleName } from '../diagnose';
import { headline } from './headline';
import { LOSS_PLACES, lossesOf } from './losses';
import { lossRow, placeText, PLACE_LABELS } from './places';
import { plainRow, RULES, textOf, type CompareRow } from './rows';
import type { Subject } from './subject';
import { apartOf, figuresOf, onlyIn, protectionsOf, type Lacking } from './whole';

/** Two to five units side by side. */
export interface Comparison {
  /** Figures of the whole. */
  readonly figures: readonly CompareRow[];
  readonly roles: readonly CompareRow[];
  /** Watts lost of every 100, as far as they are known; and the saving place by place from the first to the last. */
  readonly lost: readonly (number | undefined)[];
  readonly saved: readonly { readonly label: string; readonly watts: number }[];
  /** What only some of them have. */
  readonly only: readonly Lacking[];
  /** How to tell them apart unopened. */
  readonly apart: readonly CompareRow[];
  readonly protections: readonly CompareRow[];
  readonly headline: string;
}

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
/** Two to five units side by side, aligned role by role; differences explained in watts of every 100 delivered. */
export function compare(subjects: readonly Subject[]): Comparison {
  const [a, b] = [subjects[0], subjects.at(-1)];
  const losses = subjects.map(lossesOf);
  const places = LOSS_PLACES.filter((place) =>
    subjects.some((one, index) => losses[index]?.[place] !== undefined || placeText(place, one) !== ''),
  );
  const roles = [
    ...places
      .map((place) => lossRow(place, subjects, losses))
      .toSorted((one, other) => spreadOf(other) - spreadOf(one)),
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
