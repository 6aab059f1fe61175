import { PRACTICE } from '../../evidence';
import { DATASHEETS, type Draft, type MarkingRule } from '../decoding';
import { DIODE_FAMILIES, VOLTAGE_LETTERS } from '../types/diodeTypes';

const BRIDGE_DIGITS: Readonly<Record<string, number>> = {
  '005': 50,
  '00': 50,
  '01': 100,
  '02': 200,
  '04': 400,
  '06': 600,
  '08': 800,
  '10': 1000,
  '12': 1200,
  '16': 1600,
};
const FOUR_LEGS = '(?:GB[UJLP]C?|GBPC|KB[UPLJ]C?|KBPC|RS|RBV|RB|TS|PB|BR|D)';

function bridge(text: string, ifav: number, vrrm: number | undefined, share = 1): Draft | undefined {
  return vrrm === undefined || ifav <= 0
    ? undefined
    : { kind: 'bridge', ratings: { ifav, vrrm }, why: `${text}: bridge, ${ifav} A, ${vrrm} V`, share };
}

/** Rules for bridges. */
export const BRIDGE_RULES: readonly MarkingRule[] = [
  {
    name: 'bridge-letter',
    pattern: /^(?:GB[UJLP]C?|KB[UPLJ]C?)(\d{1,2})([ABDGJKM])$/,
    yields: 'amperes and a letter for the volts',
    prior: 0.9,
    source: PRACTICE,
    example: 'GBU4J',
    read: ([text, amperes, letter = '']) => bridge(text, Number(amperes), VOLTAGE_LETTERS[letter]),
  },
  {
    name: 'bridge-digits',
    pattern: new RegExp(`^${FOUR_LEGS}-?(\\d{1,2})(005|01|02|04|06|08|10|12|16)[A-Z]?$`),
    yields: 'amperes and hundreds of volts',
    prior: 0.9,
    source: PRACTICE,
    example: 'GBU806',
    read([text, amperes, volts = '']) {
      const lone = /^(?:RS|RB|BR|D|PB|TS)\d/.test(text);
      return bridge(text, Number(amperes), BRIDGE_DIGITS[volts], lone ? 0.7 : 1);
    },
  },
  {
    name: 'bridge-list',
    pattern: /^(DB10|DF10|RB15|RS20|RS40|RS60|KBP30|W0|RC20)([1-7])[A-Z]?$/,
    yields: 'a place in the 1N4001 list of volts',
    prior: 0.88,
    source: PRACTICE,
    example: 'DB107',
    read([text, stem = '', place]) {
      const amperes = { DB10: 1, DF10: 1, RB15: 1.5, RS20: 2, RS40: 4, RS60: 6, RC20: 2 }[stem];
      return amperes === undefined
        ? undefined
        : bridge(text, amperes, DIODE_FAMILIES[0]?.volts[Number(place) - 1], stem === 'DF10' ? 0.5 : 1);
    },
  },
  {
    name: 'small-bridge',
    pattern: /^(MB|B|ABS|DF|W|2W|TB|LB)(005|01|02|04|06|08|10|[1246 8])(S|F|M|L|G|SA)?$/,
    yields: 'hundreds of volts on a small bridge',
    prior: 0.88,
    alone: 0.75,
    source: DATASHEETS,
    example: 'MB6S',
    read([text, stem = '', volts = '', letter]) {
      const ifav = { MB: 0.5, B: 0.5, ABS: 1, DF: 1, W: 1.5, '2W': 2, TB: 1, LB: 0.5 }[stem] ?? 0.5;
      if (['B', 'W', 'DF'].includes(stem) && letter === undefined && volts.length === 1) return undefined;
      const vrrm = volts.length === 1 ? Number(volts) * 100 : BRIDGE_DIGITS[volts];
      return bridge(text, ifav, vrrm, stem === 'B' || stem === 'LB' || stem === 'TB' ? 0.7 : 1);
    },
  },
  {
    name: 'bridge-current-B-volts',
    pattern: /^(?:D|LL|T|GBJ)(\d{1,2})[SX]?B[AXT]?(10|20|40|60|80|100)$/,
    yields: 'amperes, B, volts by ten',
    prior: 0.9,
    source: PRACTICE,
    example: 'D15XB60',
    read: ([text, amperes, volts]) => bridge(text, Number(amperes), Number(volts) * 10),
  },
  {
    name: 'bridge-B-C',
    pattern: /^B(40|80|125|250|380|500)C(\d{3,5})(?:[/-]\d{3,5})?[A-Z]?$/,
    yields: 'B and the AC volts it is fed, C and milliamperes',
    prior: 0.93,
    source: PRACTICE,
    example: 'B250C1500',
    read([text, fed, milliamperes]) {
      const vrrm = { 40: 100, 80: 200, 125: 300, 250: 600, 380: 800, 500: 1000 }[fed ?? ''];
      const draft = bridge(text, Number(milliamperes) / 1000, vrrm);
      return draft && { ...draft, why: `${draft.why}; fed with ${fed} V AC at most` };
    },
  },
];
