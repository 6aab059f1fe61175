import { DATASHEETS, type MarkingRule } from '../decoding';
import { ZENER_SERIES } from '../types/diodeTypes';

/** Rules for diodes that are used for their breakdown: zeners and surge clamps. */
export const CLAMPING_DIODE_RULES: readonly MarkingRule[] = [
  {
    name: 'zener-voltage',
    pattern:
      /^(BZ[XVTWYDG]\d{2}[-/]?|ZDX?|ZPD|ZPY|ZMM|ZMY|TZM|TZMC|MTZJ?|MM[135]Z|DZ|GDZJ?|UDZS?|UZ-?|HZ|RD|05Z|1S[ME]?B?)?-?([BCDF])?[-]?(\d{1,3})(?:(?:V|\.)(\d{1,2})?)([A-EM][A-Z]?\d?|P|PH)?$/,
    yields: 'the zener voltage with V as point and a tolerance letter',
    prior: 0.93,
    alone: 0.9,
    source: 'Pro Electron numbering, from memory; C 5 %, B 2 %, D 10 %',
    example: 'BZX85C5V1',
    read([text, stem, letter, whole, rest], { kind }) {
      const vz = Number(`${whole}.${rest ?? '0'}`);
      if (vz < 1.8 || vz > 270 || (!stem && kind !== 'diode' && !letter)) return undefined;
      if (!stem && !text.includes('V')) return undefined;
      const tolerance = { B: 0.02, C: 0.05, D: 0.1, F: 0.03 }[letter ?? ''];
      return {
        kind: 'diode',
        ratings: { vz, ...(tolerance === undefined ? {} : { tolerance }) },
        facts: { technology: 'zener' },
        why: `${text}: zener, ${vz} V${tolerance === undefined ? '' : `, ${tolerance * 100} %`}`,
        share: stem ? 1 : 0.65,
      };
    },
  },
  {
    name: 'zener-whole-volts',
    pattern: /^(BZ[XVTWYDG]\d{2}[-/]?|ZMM|ZMY|MM[135]Z|TZM|ZPD|ZPY)([BCD])?(\d{1,3})[P]?$/,
    yields: 'the zener voltage in whole volts',
    prior: 0.93,
    source: 'Pro Electron numbering, from memory; C 5 %, B 2 %, D 10 %',
    example: 'BZX55C12',
    read([text, , letter = '', volts]) {
      const vz = Number(volts);
      const tolerance = { B: 0.02, C: 0.05, D: 0.1 }[letter] ?? 0.05;
      return vz < 2 || vz > 270
        ? undefined
        : {
            kind: 'diode',
            ratings: { vz, tolerance },
            facts: { technology: 'zener' },
            why: `${text}: zener, ${vz} V, ${tolerance * 100} %`,
          };
    },
  },
  {
    name: 'zener-stem-volts',
    pattern:
      /^(ZD|RD|HZ|MTZJ?|UZ|UDZS?|PDZ|TDZ|GDZJ?|DZ|05Z|ZENER)-?(\d{1,2}(?:\.\d{1,2})?)(?:[A-EM]{1,2}\d{0,2}|[A-C]\d?[A-Z]{0,2})?$/,
    yields: 'letters, the zener volts, letters and a digit for the part of the range',
    prior: 0.9,
    alone: 0.8,
    source: DATASHEETS,
    example: 'RD13EB2',
    read([text, stem, volts]) {
      const vz = Number(volts);
      return vz < 1.8 || vz > 91
        ? undefined
        : {
            kind: 'diode',
            ratings: { vz },
            facts: { technology: 'zener' },
            why: `${text}: zener, about ${vz} V`,
            share: stem === 'DZ' || stem === 'UZ' ? 0.8 : 1,
          };
    },
  },
  {
    name: 'zener-series',
    pattern:
      /^(?:1N|MMSZ|MMBZ|ZMM|BZM|1SMA|1SMB)(7[45]\d|9[5-9]\d|4[67]\d{2}|5[239]\d{2})([A-D])?(?:T[13]G?|T\dG?|-\d+)?$/,
    yields: 'a place in a JEDEC list of zener volts',
    prior: 0.93,
    source: DATASHEETS,
    example: '1N4733A',
    read([text, digits, letter]) {
      const place = Number(digits);
      const series = ZENER_SERIES.find(({ first, count }) => place >= first && place < first + count);
      const vz = series?.volts[place - series.first];
      if (!series || vz === undefined) return undefined;
      const tolerance = { A: series.first === 4728 ? 0.05 : 0.1, B: 0.05, C: 0.02, D: 0.01 }[letter ?? ''];
      return {
        kind: 'diode',
        ratings: { vz, ...(tolerance === undefined ? {} : { tolerance }) },
        facts: { technology: 'zener' },
        why: `${text}: zener, ${vz} V, ${series.watts} W`,
      };
    },
  },
  {
    name: 'tvs-breakdown',
    pattern: /^(P4|P6|1\.5|5|P6SM|P6SMB|1\.5SMC|SM6T|SM15T|SM30T)(?:KE)?-?(\d{1,3}(?:\.\d)?)(C?A|C)?$/,
    yields: 'the breakdown volts of a surge clamp',
    prior: 0.95,
    source: DATASHEETS,
    example: 'P6KE200A',
    read([text, , volts, letters]) {
      const vz = Number(volts);
      if (!/KE|SM/.test(text)) return undefined;
      return {
        kind: 'diode',
        ratings: { vz, tolerance: letters?.includes('A') ? 0.05 : 0.1 },
        facts: { technology: 'tvs' },
        why: `${text}: surge clamp, breaks down at ${vz} V${letters?.startsWith('C') ? ', both ways' : ''}`,
      };
    },
  },
  {
    name: 'tvs-stand-off',
    pattern: /^(?:SM[ABC]J|SMF|SMAF|P4SMA|SA|LCE|SMDJ|SMLJ|5KP|BZW0[46]P?-?)(\d{1,3}(?:\.\d|V\d)?)(C?A|C)$/,
    yields: 'the stand-off volts of a surge clamp',
    prior: 0.93,
    source: DATASHEETS,
    example: 'SMBJ15CA',
    read([text, volts = '', letters]) {
      const vrrm = Number(volts.replace('V', '.'));
      return vrrm < 3 || vrrm > 600
        ? undefined
        : {
            kind: 'diode',
            ratings: { vrrm },
            facts: { technology: 'tvs' },
            why: `${text}: surge clamp, stands ${vrrm} V${letters?.startsWith('C') ? ', both ways' : ''}`,
          };
    },
  },
];
