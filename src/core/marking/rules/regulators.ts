import { PRACTICE } from '../../evidence';
import type { Draft, MarkingRule } from '../decoding';

const FIXED_VOLTS: Readonly<Record<string, number>> = {
  '33': 3.3,
  '05': 5,
  '06': 6,
  '08': 8,
  '09': 9,
  '10': 10,
  '12': 12,
  '15': 15,
  '18': 18,
  '20': 20,
  '24': 24,
};
const CURRENT_LETTER: Readonly<Record<string, number>> = {
  '': 1,
  L: 0.1,
  M: 0.5,
  N: 0.3,
  S: 2,
  T: 3,
  R: 1,
  D: 0.5,
  A: 1,
  H: 5,
};

function regulator(text: string, vout: number, iout: number | undefined, share = 1, more = ''): Draft {
  const current = iout === undefined ? '' : `, ${iout} A`;
  return {
    kind: 'regulator',
    ratings: { vout, ...(iout === undefined ? {} : { iout }) },
    why: `${text}: regulator, ${vout} V${current}${more}`,
    share,
  };
}

const suffixVolts = (suffix: string) =>
  /^\d\d$/.test(suffix) ? Number(suffix[0]) + Number(suffix[1]) / 10 : Number(suffix);

/** Rules for regulators. */
export const REGULATOR_RULES: readonly MarkingRule[] = [
  {
    name: 'regulator-78-79',
    pattern: /^([A-Z]{0,3})7([89])([LMNSTRDHA]?)(33|05|06|08|09|10|12|15|18|20|24)([A-Z]{0,3})$/,
    yields: '78 positive or 79 negative, a letter for the current, volts',
    prior: 0.96,
    alone: 0.9,
    source: PRACTICE,
    example: 'L7805CV',
    read([text, , sign, letter = '', volts = ''], { package: case_, kind }) {
      const size = FIXED_VOLTS[volts] ?? 0;
      const share = case_ !== undefined || kind !== undefined || /[A-Z]/.test(text) ? 1 : 0.75;
      // A bare four-digit number may be a date of week 05 or 12 of 1978 or 1979 as well.
      const remark = /^\d{4}$/.test(text) ? '; four digits may be a date code too' : '';
      return regulator(text, sign === '8' ? size : -size, CURRENT_LETTER[letter], share, remark);
    },
  },
  {
    name: 'regulator-1117',
    pattern: /^[A-Z]{0,4}1117[A-Z]{0,3}[- ]?(ADJ|A|\d\.\d|\d{2})?[A-Z]{0,2}\d?$/,
    yields: '1117 and the volts behind it, or adjustable from 1.25 V',
    prior: 0.95,
    alone: 0.85,
    source: PRACTICE,
    example: '1117-3.3',
    read([text, suffix = '']) {
      if (suffix === '' || /^A/.test(suffix))
        return regulator(text, 1.25, 0.8, suffix === '' ? 0.6 : 1, ', adjustable upwards');
      const vout = suffixVolts(suffix);
      return vout >= 1.2 && vout <= 12 ? regulator(text, vout, 0.8) : undefined;
    },
  },
  {
    name: 'regulator-adjustable',
    pattern:
      /^(?:LM|UA|KA|KIA|SG|MC|NJM|UPC|IP|LT|L|TL|UTC|CYT|AMS|HA|CJ|WS|UC|ST|SPX)(317|337|338|350)([LM])?[A-Z]{0,3}$/,
    yields: 'a type number; adjustable from 1.25 V',
    prior: 0.95,
    source: 'multi-source datasheets, from memory',
    example: 'LM317T',
    read([text, number = '', letter = '']) {
      const full = { 317: 1.5, 337: 1.5, 338: 5, 350: 3 }[number] ?? 1.5;
      const iout = letter === 'L' ? 0.1 : letter === 'M' ? 0.5 : full;
      return regulator(text, number === '337' ? -1.25 : 1.25, iout, 1, ', adjustable');
    },
  },
  {
    name: 'regulator-low-drop',
    pattern:
      /^[A-Z]{1,3}(2930|2931|2940|29150|29300|1084|1085|1086|1083)[A-Z]{0,3}[- ]?(ADJ|\d\.\d|\d{1,2})?[A-Z]{0,2}$/,
    yields: 'a low-drop number and the volts behind it',
    prior: 0.9,
    source: 'multi-source datasheets, from memory',
    example: 'LM2940-5.0',
    read([text, number = '', suffix = '']) {
      const iout = { 2930: 0.15, 2931: 0.1, 2940: 1, 29150: 1.5, 29300: 3, 1083: 7.5, 1084: 5, 1085: 3, 1086: 1.5 }[
        number
      ];
      if (suffix === '' || suffix === 'ADJ')
        return regulator(text, 1.25, iout, suffix === '' ? 0.5 : 1, ', adjustable');
      const vout = /^\d{2}$/.test(suffix) && Number(suffix) > 15 ? suffixVolts(suffix) : Number(suffix);
      return vout >= 1.2 && vout <= 24 ? regulator(text, vout, iout) : undefined;
    },
  },
  {
    name: 'regulator-buck',
    pattern: /^[A-Z]{1,3}(2574|2575|2576|2596|2595)[A-Z]{0,3}[- ]?(ADJ|\d{1,2}(?:\.\d)?)?[A-Z]{0,2}$/,
    yields: 'a switching regulator number and the volts behind it',
    prior: 0.95,
    source: 'multi-source datasheets, from memory',
    example: 'LM2576-12',
    read([text, number = '', suffix = '']) {
      const iout = { 2574: 0.5, 2575: 1, 2576: 3, 2595: 1, 2596: 3 }[number];
      if (suffix === '' || suffix === 'ADJ')
        return regulator(text, 1.23, iout, suffix === '' ? 0.6 : 1, ', switching, adjustable');
      return regulator(text, Number(suffix), iout, 1, ', switching');
    },
  },
  {
    name: 'regulator-LD-volts',
    pattern:
      /^(?:LD|LD1117V?|LD1117|LF|LE|L49|KF|LM1117|AMS|AZ1117[A-Z]?|BM1117|TLV1117|SPX1117|NCP1117|LDL1117|BA|TA48|PQ|L4940V|LT1963|REG1117|MIC29\d{3})-?(?:ST)?-?(18|25|33|50|3V3|5V0|1V8|05|09|12|15)(V|CV|T|ST|DT|R|RD?\d{2}|F|S|SC)?[A-Z]?\d{0,2}$/,
    yields: 'letters of a low-drop series and the volts, two digits with a point between below 5.1 V',
    prior: 0.88,
    alone: 0.75,
    source: 'multi-source datasheets, from memory',
    example: 'LD33V',
    read([text, volts = '']) {
      const vout = volts.includes('V')
        ? Number(volts.replace('V', '.'))
        : ({ '18': 1.8, '25': 2.5, '33': 3.3, '50': 5 }[volts] ?? Number(volts));
      return regulator(text, vout, undefined, 1, ', low drop');
    },
  },
  {
    name: 'regulator-buck-families',
    pattern:
      /^(XL|AP|MP|LM)(1509|1510|4015|4016|4005|6009|2307|1584|1482|2315|5010)[A-Z]{0,3}\d?(?:-(ADJ|\d{1,2}(?:\.\d)?)|E?-?(\d{1,2}(?:\.\d)?))?[A-Z]{0,2}\d?$/,
    yields: 'a switching regulator number, with volts behind it where they are fixed',
    prior: 0.9,
    alone: 0.8,
    source: 'multi-source datasheets, from memory',
    example: 'XL4015E1',
    read: ([text, , number = '', suffix = '']) => ({
      kind: 'regulator',
      ratings: {
        ...(/^\d/.test(suffix) ? { vout: Number(suffix) } : {}),
        iout:
          { 1509: 2, 1510: 3, 4015: 5, 4016: 8, 4005: 5, 6009: 4, 2307: 3, 1584: 3, 1482: 2, 2315: 1.5, 5010: 5 }[
            number
          ] ?? 1,
      },
      why: `${text}: switching regulator${/^\d/.test(suffix) ? `, ${suffix} V` : ', adjustable as a rule'}`,
    }),
  },
  {
    name: 'regulator-small-volts',
    pattern: /^HT(71|73|75)(\d{2})[-A-Z\d]{0,3}$/,
    yields: 'a small low-drop number and tenths of volts',
    prior: 0.9,
    source: PRACTICE,
    example: 'HT7333',
    read: ([text, family, tenths]) =>
      regulator(text, Number(tenths) / 10, family === '73' ? 0.25 : family === '75' ? 0.1 : 0.03),
  },
];
