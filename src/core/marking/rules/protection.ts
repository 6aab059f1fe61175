import { PRACTICE } from '../../evidence';
import { formatQuantity } from '../../quantity';
import type { Draft, MarkingRule } from '../decoding';

/** Volts at 1 mA with the largest continuous voltages, AC rms and DC. Practice tables, industry-wide, from memory. */
const VARISTOR_TABLE: readonly (readonly [vn: number, ac: number, dc: number])[] = [
  [18, 11, 14],
  [22, 14, 18],
  [27, 17, 22],
  [33, 20, 26],
  [39, 25, 31],
  [47, 30, 38],
  [56, 35, 45],
  [68, 40, 56],
  [82, 50, 65],
  [100, 60, 85],
  [120, 75, 100],
  [150, 95, 125],
  [180, 115, 150],
  [200, 130, 170],
  [220, 140, 180],
  [240, 150, 200],
  [270, 175, 225],
  [330, 210, 275],
  [360, 230, 300],
  [390, 250, 320],
  [430, 275, 350],
  [470, 300, 385],
  [510, 320, 415],
  [560, 350, 460],
  [620, 385, 505],
  [680, 420, 560],
  [750, 460, 615],
  [820, 510, 670],
  [910, 550, 745],
  [1000, 625, 825],
];
const VARISTOR_TOLERANCE: Readonly<Record<string, number>> = { J: 0.05, K: 0.1, L: 0.15 };
const DISCS = [5, 7, 9, 10, 14, 18, 20, 25, 32, 34, 40];

/** Largest continuous voltages of a varistor from its voltage at 1 mA. */
export function varistorContinuous(vn: number): { readonly ac: number; readonly dc: number } | undefined {
  const row = VARISTOR_TABLE.find(([volts]) => volts === vn);
  return row && { ac: row[1], dc: row[2] };
}

function varistor(text: string, disc: number, vn: number | undefined, letter = 'K'): Draft | undefined {
  if (vn === undefined || vn < 8 || vn > 2000 || !DISCS.includes(disc)) return undefined;
  const continuous = varistorContinuous(vn);
  const limit = continuous ? `, for ${continuous.ac} V AC or ${continuous.dc} V DC at most` : '';
  return {
    kind: 'varistor',
    ratings: { vn, tolerance: VARISTOR_TOLERANCE[letter] ?? 0.1, diameter: disc / 1000 },
    why: `${text}: ${vn} V at 1 mA, disc ${disc} mm${limit}`,
    share: continuous ? 1 : 0.5,
  };
}

const code = (digits: string) => Number(digits.slice(0, 2)) * 10 ** Number(digits[2]);

/** Breaking capacity of cartridge fuses in ampere. Source: IEC 60127-2, from memory. */
export function breakingCapacity(letter: 'L' | 'E' | 'H', rated: number): number {
  if (letter === 'L') return Math.max(35, Number((10 * rated).toPrecision(6)));
  return letter === 'E' ? 150 : 1500;
}

/** Rated currents of fuses: the R10 series and its usual neighbours. Source: IEC 60127 and practice, from memory. */
const FUSE_STEPS = [1, 1.25, 1.5, 1.6, 2, 2.5, 3, 3.15, 3.5, 4, 5, 6, 6.3, 7, 7.5, 8];
const isFuseStep = (amperes: number) =>
  FUSE_STEPS.some((step) => [0.01, 0.1, 1, 10].some((decade) => Math.abs(step * decade - amperes) < 1e-6));

function fuse(
  text: string,
  of: {
    speed: string | undefined;
    value: string;
    milli: boolean;
    breaking: string | undefined;
    volts: string | undefined;
  },
): Draft | undefined {
  const current = Number((Number(of.value.replace(',', '.')) * (of.milli ? 1e-3 : 1)).toPrecision(6));
  if (current <= 0 || current > 63) return undefined;
  const breaking = of.breaking ? breakingCapacity(of.breaking as 'L', current) : undefined;
  const sayings = [formatQuantity(current, 'ampere')];
  if (of.speed)
    sayings.unshift({ FF: 'very fast', F: 'fast', M: 'medium', T: 'slow', TT: 'very slow' }[of.speed] ?? '');
  if (of.volts) sayings.push(`${of.volts} V`);
  if (breaking !== undefined) sayings.push(`breaks ${formatQuantity(breaking, 'ampere')}`);
  const stated = (of.speed ? 1 : 0) + (of.volts ? 1 : 0) + (of.breaking ? 1 : 0);
  return {
    kind: 'fuse',
    ratings: {
      current,
      ...(of.volts ? { voltage: Number(of.volts) } : {}),
      ...(breaking === undefined ? {} : { breaking }),
    },
    ...(of.speed ? { facts: { speed: of.speed } } : {}),
    why: `${text}: ${sayings.join(', ')}`,
    share: (stated >= 2 ? 1 : stated === 1 ? 0.92 : 0.6) * (isFuseStep(current) ? 1 : 0.4),
  };
}

/** Rules for parts that protect: varistors, thermistors, fuses. */
export const PROTECTION_RULES: readonly MarkingRule[] = [
  {
    name: 'varistor-disc-code',
    pattern: /^[A-Z]{0,4}-?(\d{1,2})[DN](\d{3})([JKL])?[A-Z]?$/,
    yields: 'disc in mm, D, volts at 1 mA as two digits and zeros, tolerance',
    prior: 0.95,
    source: PRACTICE,
    example: '10D561K',
    read([text, disc, digits = '', letter]) {
      const draft = varistor(text, Number(disc), code(digits), letter);
      // With N this is more often a transistor's number.
      return draft && text.includes('N') ? { ...draft, share: (draft.share ?? 1) * 0.5 } : draft;
    },
  },
  {
    name: 'varistor-code-disc',
    pattern: /^[A-Z]{0,3}-?(\d{3})([JKL])D?-?(\d{1,2})D?$/,
    yields: 'volts at 1 mA, tolerance, disc in mm',
    prior: 0.9,
    alone: 0.8,
    source: PRACTICE,
    example: '471KD14',
    read: ([text, digits = '', letter, disc]) =>
      text.includes('D') ? varistor(text, Number(disc), code(digits), letter) : undefined,
  },
  {
    name: 'varistor-maker-digits',
    pattern: /^[A-Z]{2,4}-?(05|07|10|14|20|25)[-D]?(\d{2}[01])([JKL])?$/,
    yields: 'letters, disc in mm, volts at 1 mA',
    prior: 0.85,
    alone: 0.5,
    source: PRACTICE,
    example: 'TVR10471',
    read([text, disc, digits = '', letter]) {
      const draft = varistor(text, Number(disc), code(digits), letter);
      return draft?.share === 1 ? draft : undefined;
    },
  },
  {
    name: 'varistor-K-code',
    pattern:
      /^(?:ZNR|MYG|MYN|TNR|GNR|FNR|CNR|JVR|TVR|HEL|VDR|MOV|ZOV|BVR|VCR)-?(\d{1,2})[GKVDEN](\d{3})([JKLU])?[A-Z]?$/,
    yields: 'letters, disc in mm, a letter, volts at 1 mA as two digits and zeros',
    prior: 0.93,
    source: PRACTICE,
    example: 'MYG14K471',
    read: ([text, disc, digits = '', letter]) => varistor(text, Number(disc), code(digits), letter?.replace('U', 'K')),
  },
  {
    name: 'varistor-V-code',
    pattern: /^(?:ZNR|ERZ)?-?V(\d{2})[DS]?(\d{3})([JKLU])?[A-Z]?\d?$/,
    yields: 'V, disc in mm, volts at 1 mA as two digits and zeros',
    prior: 0.9,
    alone: 0.75,
    source: PRACTICE,
    example: 'ZNRV14471U',
    read: ([text, disc, digits = '', letter]) => varistor(text, Number(disc), code(digits), letter?.replace('U', 'K')),
  },
  {
    name: 'varistor-LA',
    pattern: /^V(\d{2,3})(LA|ZA|HA|E)(\d{1,2})[A-Z]{0,2}$/,
    yields: 'largest continuous AC volts before LA',
    prior: 0.88,
    source: PRACTICE,
    example: 'V275LA20',
    read([text, volts, letters]) {
      const row = letters === 'ZA' ? undefined : VARISTOR_TABLE.find(([, ac]) => ac === Number(volts));
      if (letters === 'ZA' && Number(volts) <= 200)
        return { kind: 'varistor', ratings: { vn: Number(volts) }, why: `${text}: ${volts} V at 1 mA` };
      return (
        row && { kind: 'varistor', ratings: { vn: row[0] }, why: `${text}: for ${volts} V AC, ${row[0]} V at 1 mA` }
      );
    },
  },
  {
    name: 'varistor-by-ac-volts',
    pattern: /^(?:SIOV-?|B722\d+)?S(\d{2})([JKL])(\d{2,3})(?:[A-Z]\d{0,2}){0,2}$/,
    yields: 'disc in mm, tolerance, largest continuous AC volts',
    prior: 0.95,
    alone: 0.85,
    source: PRACTICE,
    example: 'S10K275',
    read([text, disc, letter, volts]) {
      const row = VARISTOR_TABLE.find(([, ac]) => ac === Number(volts));
      return varistor(text, Number(disc), row?.[0], letter);
    },
  },
  {
    name: 'thermistor-ohms-disc',
    pattern: /^(?:NTC|[A-Z]{2}\d{2})?[- ]?(\d{1,3}(?:\.\d)?|\dR\d|\d{1,3}R)[- ]?D?[- ]?(\d{1,2})[A-Z]?$/,
    yields: 'ohms at 25 °C, D, disc in mm',
    prior: 0.95,
    source: PRACTICE,
    example: '5D-9',
    read([text, ohms = '', disc]) {
      const r25 = Number(ohms.replace(/R$/, '').replace('R', '.'));
      const diameter = Number(disc);
      if (r25 <= 0 || r25 > 400 || diameter < 5 || diameter > 25) return undefined;
      // Without the D only what begins with NTC is one.
      if (!/\dR?[- ]?D[- ]?\d/.test(text) && !/^NTC/.test(text)) return undefined;
      const inrush = formatQuantity(325 / r25, 'ampere', { digits: 2 });
      return {
        kind: 'thermistor',
        ratings: { r25, diameter: diameter / 1000 },
        facts: { technology: 'ntc' },
        why: `${text}: ${r25} Ω cold, disc ${diameter} mm; lets through at most ${inrush} at switch-on from 325 V`,
        share: [5, 7, 8, 9, 11, 13, 15, 20, 25].includes(diameter) ? 1 : 0.5,
      };
    },
  },
  {
    name: 'thermistor-SCK',
    pattern: /^(?:SCK|NSP|SPNL)-?(\d{2})(\d{1,2})[A-Z]{0,3}$/,
    yields: 'ohms at 25 °C, then amperes',
    prior: 0.88,
    alone: 0.8,
    source: PRACTICE,
    example: 'SCK-053',
    read: ([text, ohms, amperes]) => ({
      kind: 'thermistor',
      ratings: { r25: Number(ohms) },
      facts: { technology: 'ntc' },
      why: `${text}: ${Number(ohms)} Ω cold, for ${Number(amperes)} A`,
    }),
  },
  {
    name: 'thermistor-sensor',
    pattern: /^([1-9]\d)(\d)([FGHJK])?$/,
    yields: 'ohms at 25 °C as two digits and zeros, on a sensor bead',
    prior: 0.6,
    alone: 0.03,
    source: PRACTICE,
    example: '103',
    read([text, digits, zeros]) {
      const r25 = Number(digits) * 10 ** Number(zeros);
      if (r25 > 1e6) return undefined;
      return { kind: 'thermistor', ratings: { r25 }, why: `${text}: ${formatQuantity(r25, 'ohm')} at 25 °C` };
    },
  },
  {
    name: 'fuse-in-full',
    pattern:
      /^(FF|F|M|TT|T)?[- ]?(\d{1,2}(?:[.,]\d{1,2})?|\d{2,4}(?=MA)|[.,]\d+)(M?)A?([LEH])?P?(?:(?:\/|-)?(\d{2,3})V?(?:AC|~)?)?(FF|F|M|TT|T)?P?$/,
    yields: 'speed, current, breaking capacity, volts',
    prior: 0.96,
    source: 'IEC 60127, from memory',
    example: 'T3.15AL250V',
    read([text, before, value = '', milli, breaking, volts, after], { kind }) {
      // Without an ampere or a speed in front these are digits that mean anything.
      const stated = /A/.test(text) || before !== undefined;
      if (!stated || (kind !== 'fuse' && !/A/.test(text))) return undefined;
      if (milli && !/MA/.test(text)) return undefined;
      const draft = fuse(text, { speed: before ?? after, value, milli: milli === 'M', breaking, volts });
      return draft && kind !== 'fuse' && (draft.share ?? 0) < 0.9 ? { ...draft, share: 0.5 } : draft;
    },
  },
  {
    name: 'fuse-volts-first',
    pattern: /^(\d{2,3})V(?:AC|~)?(FF|F|M|TT|T)?(\d{1,2}(?:[.,]\d{1,2})?|\d{2,4}(?=MA))(M?)A([LEH])?(FF|F|M|TT|T)?$/,
    yields: 'volts, then speed, current and breaking capacity',
    prior: 0.96,
    source: 'IEC 60127, from memory',
    example: '250VT2AH',
    read: ([text, volts, before, value = '', milli, breaking, after]) =>
      fuse(text, { speed: before ?? after, value, milli: milli === 'M', breaking, volts }),
  },
];
