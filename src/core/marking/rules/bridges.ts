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
      // D before four digits is far more often a transistor of the JIS list.
      const lone = text.startsWith('D') ? 0.3 : /^(?:RS|RB|BR|PB|TS)\d/.test(text) ? 0.7 : 1;
      return bridge(text, Number(amperes), BRIDGE_DIGITS[volts], lone);
    },
  },
  {
    name: 'bridge-list',
    pattern:
      /^(DB10|DB15|DF10|RB15|RS10|RS20|RS40|RS60|RS80|KBP10|KBP15|KBP20|KBP30|KBP40|KBL40|RC20|RB10)([1-7])[A-Z]?$/,
    yields: 'a place in the 1N4001 list of volts',
    prior: 0.88,
    source: PRACTICE,
    example: 'DB107',
    read([text, stem = '', place]) {
      const amperes = {
        ...{ DB10: 1, DB15: 1.5, DF10: 1, RB10: 1, RB15: 1.5, RS10: 1, RS20: 2, RS40: 4, RS60: 6, RS80: 8, RC20: 2 },
        ...{ KBP10: 1, KBP15: 1.5, KBP20: 2, KBP30: 3, KBP40: 4, KBL40: 4 },
      }[stem];
      // KBP206 counts hundreds of volts; odd places are of the list only.
      if (/^KB/.test(stem) && Number(place) % 2 === 0) return undefined;
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
    name: 'bridge-TS-P',
    pattern: /^(?:TS|GSIB|LVB)(\d{1,2})P?(05|06|07|10|20|40|60|80)[GKMS]?$/,
    yields: 'amperes, P, hundreds of volts',
    prior: 0.9,
    source: DATASHEETS,
    example: 'TS15P06G',
    read([text, amperes, volts = '']) {
      const [steps, tens] = [{ '05': 600, '06': 800, '07': 1000 }, Number(volts) * 10];
      const isPlace = text.startsWith('TS');
      if (isPlace && !text.includes('P')) return undefined;
      return bridge(text, Number(amperes), isPlace ? (steps[volts as '05'] ?? tens) : tens, 0.9);
    },
  },
  {
    name: 'bridge-ABS',
    pattern: /^(?:ABS|TBS|MSB|DBLS|MBS|LBS)(\d{1,2}?)(04|06|08|10)[A-Z]?$/,
    yields: 'amperes, hundreds of volts on a flat bridge',
    prior: 0.88,
    source: DATASHEETS,
    example: 'ABS210',
    read: ([text, amperes, volts = '']) => bridge(text, Number(amperes), BRIDGE_DIGITS[volts]),
  },
  {
    name: 'bridge-DF-S',
    pattern: /^DF(15|20)?(005|01|02|04|06|08|10)[SM]?A?$/,
    yields: 'tenths of amperes, hundreds of volts',
    prior: 0.9,
    source: DATASHEETS,
    example: 'DF1510S',
    read: ([text, tenths, volts = '']) =>
      tenths === undefined && !/[SM]/.test(text)
        ? undefined
        : bridge(text, tenths === undefined ? 1 : Number(tenths) / 10, BRIDGE_DIGITS[volts]),
  },
  {
    name: 'bridge-SVB',
    pattern: /^(S1|S2|S4|D2|D3|D4|D6|D10|D15|D20|D25)[VWS]?[SX]?B[A]?(10|20|40|60|80)[A-Z]?$/,
    yields: 'amperes, letters for the case, volts by ten',
    prior: 0.88,
    source: DATASHEETS,
    example: 'S1VB60',
    read: ([text, amperes = '', tens]) => bridge(text, Number(amperes.slice(1)), Number(tens) * 10),
  },
  {
    name: 'bridge-W-M',
    pattern: /^(W|2W)(005|01|02|04|06|08|10)[MG]?$/,
    yields: 'hundreds of volts on a round bridge',
    prior: 0.85,
    alone: 0.75,
    source: DATASHEETS,
    example: '2W10M',
    read: ([text, stem, volts = '']) => bridge(text, stem === '2W' ? 2 : 1.5, BRIDGE_DIGITS[volts]),
  },
  {
    name: 'bridge-KBPC-volts',
    pattern: /^(?:KBPC|GBPC|BR|SKB)[- ]?(\d{1,2})[-/]?(005|01|02|04|06|08|10|12|16)[A-Z]?$/,
    yields: 'amperes, hundreds of volts',
    prior: 0.9,
    source: PRACTICE,
    example: 'KBPC3510',
    read: ([text, amperes, volts = '']) => bridge(text, Number(amperes), BRIDGE_DIGITS[volts], 0.95),
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
