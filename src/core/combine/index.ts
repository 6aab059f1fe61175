import { practice } from '../evidence';
import { formatQuantity, type Unit } from '../quantity';

/** A part that is put together with others; ratings by their names in stock, SI base units. */
export interface CombinePart {
  readonly kind: string;
  readonly technology?: string;
  readonly ratings: Readonly<Record<string, number | undefined>>;
}

export type Way = 'series' | 'parallel';

/** What parts come to together. */
export interface Combined {
  /** The ratings that change; those that are not known are undefined. */
  readonly ratings: Readonly<Record<string, number | undefined>>;
  /** The sum as a person would write it. */
  readonly sum: string;
  readonly drawbacks: readonly string[];
}

/** Cans in series share a voltage so unevenly, and FETs a current, that they count for so much of their sum; rectifiers for less. */
export const SHARED = practice({ series: 0.8, fets: 0.8, rectifiers: 0.7 });
const SAFETY = /^[xy]\d?$/u;
const CANS: ReadonlySet<string> = new Set(['electrolytic', 'polymer']);

const q = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
const known = (values: readonly (number | undefined)[]): readonly number[] | undefined =>
  values.some((value) => value === undefined) ? undefined : (values as readonly number[]);
const least = (values: readonly (number | undefined)[]) => {
  const all = known(values);
  return all && Math.min(...all);
};
const added = (values: readonly (number | undefined)[]) => known(values)?.reduce((sum, value) => sum + value, 0);
const beside = (values: readonly (number | undefined)[]) => {
  const all = known(values);
  return all && 1 / all.reduce((sum, value) => sum + 1 / value, 0);
};
const of = (parts: readonly CombinePart[], name: string) => parts.map(({ ratings }) => ratings[name]);

/**
 * What parts come to in series or in parallel: the arithmetic of handbooks, with what speaks against it. Nothing where such parts are
 * not put together so: safety capacitors, fuses, unlike cans in series.
 * @param isAlike all of one lot
 */
export function combined(way: Way, parts: readonly CombinePart[], isAlike: boolean): Combined | undefined {
  const [first] = parts;
  if (!first || parts.some(({ kind }) => kind !== first.kind)) return undefined;
  switch (first.kind) {
    case 'resistor':
      return resistors(way, parts);
    case 'capacitor':
      return capacitors(way, parts, isAlike);
    case 'nmos':
    case 'pmos':
      return way === 'parallel' && isAlike ? fets(parts) : undefined;
    case 'diode':
    case 'dual-diode':
      return way === 'parallel' && isAlike && first.technology === 'schottky' ? schottkys(parts) : undefined;
    case 'varistor':
      return way === 'series' && isAlike ? varistors(parts) : undefined;
    case 'inductor':
    case 'choke':
      return way === 'series' ? chokes(parts) : undefined;
    default:
      return undefined;
  }
}

function resistors(way: Way, parts: readonly CombinePart[]): Combined | undefined {
  const each = known(of(parts, 'resistance'));
  if (!each || each.some((ohms) => ohms <= 0)) return undefined;
  const ohms = (way === 'series' ? added(each) : beside(each)) ?? 0;
  // Of the heat each takes its share: in series as its ohms are, in parallel as they are not.
  const shares = each.map((own) => (way === 'series' ? own / ohms : ohms / own));
  const over = (name: string) => least(of(parts, name).map((own, place) => own && own / (shares[place] ?? 1)));
  return {
    ratings: {
      resistance: ohms,
      power: over('power'),
      voltage: way === 'parallel' ? least(of(parts, 'voltage')) : over('voltage'),
    },
    sum: `${each.map((one) => q(one, 'ohm')).join(way === 'series' ? ' + ' : ' ∥ ')} = ${q(ohms, 'ohm')}`,
    drawbacks: [
      `${q(ohms, 'ohm')} together; ${Math.round(100 * Math.max(...shares))} % of the heat is in one of them.`,
      way === 'series' ? 'A joint in the air between them: sleeve it.' : 'Two sets of leads in one pair of holes.',
    ],
  };
}

/**
 * Ohms at most across each can of a string, by the usual difference of leakage, 0.0015·C·V µA with C in µF:
 * guide for aluminium electrolytics, from memory.
 * @param of.each volts a can is rated for; `of.string` volts of the string; `of.farads` of one can
 */
export function balancing(of: {
  readonly each: number;
  readonly count: number;
  readonly string: number;
  readonly farads: number;
}): number {
  const leakage = 0.0015 * of.farads * 1e6 * of.string * 1e-6;
  return (of.count * of.each - of.string) / ((of.count - 1) * leakage);
}

function capacitors(way: Way, parts: readonly CombinePart[], isAlike: boolean): Combined | undefined {
  const technology = parts[0]?.technology ?? '';
  if (parts.some((part) => SAFETY.test(part.technology ?? '') || (part.technology ?? '') !== technology))
    return undefined;
  const each = known(of(parts, 'capacitance'));
  if (!each || each.some((farads) => farads <= 0)) return undefined;
  const farads = (way === 'parallel' ? added(each) : beside(each)) ?? 0;
  const sum = `${each.map((one) => q(one, 'farad')).join(way === 'parallel' ? ' + ' : ' in series with ')} = ${q(farads, 'farad')}`;
  if (way === 'parallel')
    return {
      ratings: {
        capacitance: farads,
        voltage: least(of(parts, 'voltage')),
        temperature: least(of(parts, 'temperature')),
        ripple: ripple(parts),
        esr: beside(of(parts, 'esr')),
      },
      sum,
      drawbacks: [
        `${q(farads, 'farad')} together; the lower voltage of the two counts.`,
        'They share ripple as their impedances tell: alike in kind and age, with leads of one length.',
      ],
    };
  const volts = parts[0]?.ratings['voltage'];
  // Unlike cans in a row share the voltage as their leakage does: only those of one lot.
  if (!isAlike || volts === undefined) return undefined;
  const string = parts.length * SHARED.series * volts;
  const ohms = balancing({ each: volts, count: parts.length, string, farads: each[0] ?? 0 });
  return {
    ratings: {
      capacitance: farads,
      voltage: string,
      esr: added(of(parts, 'esr')),
      temperature: least(of(parts, 'temperature')),
      ripple: least(of(parts, 'ripple')),
    },
    sum: `${sum}, ${parts.length} × ${q(volts, 'volt')} counted as ${q(string, 'volt')}`,
    drawbacks: [
      ...(CANS.has(technology)
        ? [`A resistor of ${q(ohms, 'ohm')} at most across each, to share the voltage evenly.`]
        : []),
      'Each one holds charge by itself: read both before you touch them.',
    ],
  };
}

/** Ripple that cans side by side take, as their ESRs split it: the first to reach its own rating sets it. */
function ripple(parts: readonly CombinePart[]): number | undefined {
  const ratings = known(of(parts, 'ripple'));
  const esr = known(of(parts, 'esr'));
  if (!ratings) return undefined;
  if (!esr) return added(ratings);
  const together = beside(esr) ?? 0;
  return Math.min(...ratings.map((own, place) => own / (together / (esr[place] ?? 1))));
}

function fets(parts: readonly CombinePart[]): Combined | undefined {
  const each = known(of(parts, 'rdsOn'));
  if (!each) return undefined;
  const ohms = beside(each) ?? 0;
  const amperes = added(of(parts, 'id'));
  return {
    ratings: {
      rdsOn: ohms,
      id: amperes === undefined ? undefined : SHARED.fets * amperes,
      qg: added(of(parts, 'qg')),
    },
    sum: `${each.length} × ${q(each[0] ?? 0, 'ohm')} side by side = ${q(ohms, 'ohm')}, their current counted to ${Math.round(100 * SHARED.fets)} %`,
    drawbacks: [
      'Each with its own gate resistor of 2.2 to 10 Ω, close to its gate; matched within 20 %.',
      'Twice the gate charge for the same driver. Never where the FET works as a resistor.',
    ],
  };
}

function schottkys(parts: readonly CombinePart[]): Combined | undefined {
  const amperes = added(of(parts, 'ifav'));
  if (amperes === undefined) return undefined;
  return {
    ratings: { ifav: SHARED.rectifiers * amperes },
    sum: `${parts.length} × ${q(parts[0]?.ratings['ifav'] ?? 0, 'ampere')} counted as ${q(SHARED.rectifiers * amperes, 'ampere')}`,
    drawbacks: [
      'The warmer one drops less and takes more: on one heat sink, each with a lead or resistor of its own of some 10 mΩ.',
      'The two halves of one package share better than two packages.',
    ],
  };
}

function varistors(parts: readonly CombinePart[]): Combined {
  return {
    ratings: { vn: added(of(parts, 'vn')), vac: added(of(parts, 'vac')), acVoltage: added(of(parts, 'acVoltage')) },
    sum: `${parts.length} in series, their voltages add up`,
    drawbacks: ['Same type and disc; they take no more energy than the smaller one.'],
  };
}

function chokes(parts: readonly CombinePart[]): Combined | undefined {
  const each = known(of(parts, 'inductance'));
  if (!each) return undefined;
  const henrys = added(each) ?? 0;
  return {
    ratings: {
      inductance: henrys,
      saturation: least(of(parts, 'saturation')),
      current: least(of(parts, 'current')),
      dcr: added(of(parts, 'dcr')),
    },
    sum: `${each.map((one) => q(one, 'henry')).join(' + ')} = ${q(henrys, 'henry')}`,
    drawbacks: ['Their fields must not couple: a hand apart, or at right angles.', 'Their winding resistances add up.'],
  };
}
