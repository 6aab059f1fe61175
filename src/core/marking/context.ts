import { practice } from '../evidence';
import { packageRule, type KindName, type PackageGroup } from '../part';
import type { Draft, MarkingContext } from './decoding';

/** Kinds that a person mixes up from outside, so that one does not shut the other out. */
const COUSINS: readonly (readonly KindName[])[] = [
  ['diode', 'dual-diode'],
  ['nmos', 'pmos', 'igbt'],
  ['npn', 'pnp'],
  ['triac', 'scr'],
  ['inductor', 'common-mode-choke'],
  ['ic', 'regulator', 'optocoupler', 'shunt-reference'],
];
const COUSIN_WEIGHT = 0.75;

/** Kinds that come in a group of cases. */
const HOLDS: Readonly<Record<PackageGroup, readonly KindName[]>> = practice({
  tab: ['nmos', 'pmos', 'igbt', 'npn', 'pnp', 'diode', 'dual-diode', 'triac', 'scr', 'regulator', 'ic'],
  'power-chip': ['ic', 'regulator'],
  small: ['npn', 'pnp', 'nmos', 'pmos', 'scr', 'triac', 'shunt-reference', 'regulator', 'diode', 'dual-diode'],
  chip: ['resistor', 'capacitor', 'inductor', 'thermistor', 'varistor', 'fuse'],
  diode: ['diode'],
  axial: ['resistor', 'diode', 'inductor', 'fuse', 'capacitor'],
  'dip-4': ['optocoupler', 'bridge'],
  dip: ['ic', 'optocoupler', 'regulator', 'shunt-reference'],
  so: ['ic', 'nmos', 'pmos', 'optocoupler', 'shunt-reference', 'regulator'],
  radial: ['capacitor', 'varistor', 'thermistor', 'inductor', 'common-mode-choke', 'fuse', 'resistor'],
  bridge: ['bridge'],
});
const WRONG_CASE = 0.15;
/** A Schottky of silicon cannot stand where mains or its rectified peak is. */
const SCHOTTKY_ON_MAINS = 0.15;

/**
 * How well a draft agrees with what is known beside the marking, 0 (another kind) to 1.
 */
export function contextFit(draft: Draft, { kind, package: case_, place }: MarkingContext): number {
  const kindWeight = kind === undefined || kind === draft.kind ? 1 : areCousins(draft.kind, kind) ? COUSIN_WEIGHT : 0;
  const group = case_ === undefined ? undefined : packageRule(case_)?.group;
  const held = group && HOLDS[group];
  // A kind that a person named outweighs what usually sits in a case.
  const caseWeight = held === undefined || kind !== undefined || held.includes(draft.kind) ? 1 : WRONG_CASE;
  const onMains = place === 'input' || place === 'pfc' || place === 'switch';
  const placeWeight = onMains && draft.facts?.technology === 'schottky' ? SCHOTTKY_ON_MAINS : 1;
  return kindWeight * caseWeight * placeWeight;
}

function areCousins(one: KindName, other: KindName): boolean {
  return COUSINS.some((group) => group.includes(one) && group.includes(other));
}
