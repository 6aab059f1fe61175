import { kindRule, RATINGS, type KindName, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import type { Decoding } from './decoding';

/** A second reading this close to the first leaves the matter open. */
const CLOSE = 0.5;

/**
 * What would settle which of the two best readings holds, when they stay close: a measurement,
 * the case, or what stands beside the part. Common practice, no source.
 * @returns undefined when the first reading stands well ahead, or there is none
 */
export function tellApart(decodings: readonly Decoding[]): string | undefined {
  const [first, second] = decodings;
  if (!first || !second || second.confidence < CLOSE * first.confidence) return undefined;
  return (
    byKind(first, second) ??
    byTechnology(first, second) ??
    byRatings(first, second) ??
    byFamily(first, second) ??
    'Look at the number again under a slanting light, or find the same part on another board.'
  );
}

const PAIRS: readonly (readonly [KindName, KindName, string])[] = [
  [
    'nmos',
    'igbt',
    'Diode mode with the gate charged from 9 V: an N-FET reads a few ohms from drain to source, an IGBT drops 0.5 V or more. Without a body diode it is an IGBT.',
  ],
  [
    'nmos',
    'pmos',
    'Diode mode from source to drain: an N-FET conducts with the red lead on the source, a P-FET with the red lead on the drain.',
  ],
  [
    'npn',
    'pnp',
    'Diode mode: with the red lead on the base an NPN conducts to both other legs, a PNP with the black one.',
  ],
  [
    'diode',
    'dual-diode',
    'Diode mode between the outer legs and the middle: a dual conducts from both, a single from one.',
  ],
  [
    'triac',
    'scr',
    'Diode mode from gate: a triac conducts to MT1 both ways round, a thyristor only from gate to cathode.',
  ],
  ['resistor', 'capacitor', 'Measure ohms: a resistor stays at its value, a capacitor climbs to OL.'],
  ['resistor', 'inductor', 'Measure ohms: a choke reads under a few ohms.'],
  ['capacitor', 'inductor', 'Measure ohms: a choke reads under a few ohms, a capacitor climbs to OL.'],
  ['nmos', 'npn', 'Diode mode: a bipolar transistor has two junctions from its base, an N-FET only its body diode.'],
  ['nmos', 'capacitor', 'Count the legs: a capacitor has two.'],
  ['diode', 'bridge', 'Count the legs: a bridge has four.'],
  [
    'resistor',
    'regulator',
    'Count the legs: a regulator has three, and its marking stands on a tab case or a small transistor case.',
  ],
];

function byKind({ kind }: Decoding, { kind: other }: Decoding): string | undefined {
  if (kind === other) return undefined;
  const known = PAIRS.find(([a, b]) => (a === kind && b === other) || (a === other && b === kind));
  return (
    known?.[2] ??
    `Count its legs and look at what it joins: is it a ${kindRule(kind).label} or a ${kindRule(other).label}?`
  );
}

function byTechnology({ facts }: Decoding, { facts: other }: Decoding): string | undefined {
  const both = [facts?.technology, other?.technology];
  return both.includes('schottky') && both.includes('fast')
    ? 'Diode mode: a Schottky drops 0.15 to 0.35 V, an ultrafast over 0.45 V.'
    : undefined;
}

/** Ratings that a hobbyist's meter reads, with what to do. */
const MEASURED: Partial<Record<RatingName, string>> = {
  resistance: 'Measure it with one leg lifted',
  capacitance: 'Measure it with one leg lifted',
  inductance: 'Measure it out of circuit',
  r25: 'Measure it cold',
  vz: 'Feed it a few milliamperes and measure its voltage',
  vout: 'Feed it and measure its output',
  diameter: 'Measure the disc with calipers',
  current: 'Look for the rating on the board’s print',
};

function byRatings(first: Decoding, second: Decoding): string | undefined {
  const apart = (Object.keys(first.ratings) as RatingName[]).filter(
    (name) => second.ratings[name] !== undefined && second.ratings[name] !== first.ratings[name],
  );
  const [name] = [...apart.filter((one) => MEASURED[one]), ...apart];
  if (name === undefined) return undefined;
  const [a = 0, b = 0] = [first.ratings[name], second.ratings[name]];
  const { unit, label } = RATINGS[name];
  const values = `${formatQuantity(a, unit)} or ${formatQuantity(b, unit)}`;
  const how = MEASURED[name];
  if (how) return `${how}: ${values}?`;
  return `No meter tells ${label} (${values}): take the lower until a datasheet settles it, or see what its place demands.`;
}

function byFamily({ facts }: Decoding, { facts: other }: Decoding): string | undefined {
  return facts?.family && other?.family
    ? `Follow its pins: ${facts.family} and ${other.family} differ in where ground and supply lie.`
    : undefined;
}
