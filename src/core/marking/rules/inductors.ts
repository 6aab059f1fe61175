import { PRACTICE } from '../../evidence';
import { formatQuantity } from '../../quantity';
import { isE24 } from '../preferredValues';
import type { Draft, MarkingRule } from '../decoding';

/** Tolerance letters as inductor makers use them. Source: IEC 60062, from memory; L is 15 % on chokes. */
const TOLERANCE: Readonly<Record<string, number>> = { F: 0.01, G: 0.02, J: 0.05, K: 0.1, L: 0.15, M: 0.2, N: 0.3 };

function inductor(inductance: number, letter: string | undefined, text: string, share = 1): Draft {
  const tolerance = TOLERANCE[letter ?? ''];
  const value = Number(inductance.toPrecision(6));
  return {
    kind: 'inductor',
    ratings: { inductance: value, ...(tolerance === undefined ? {} : { tolerance }) },
    why: `${text}: ${formatQuantity(value, 'henry')}${tolerance === undefined ? '' : `, ±${tolerance * 100} %`}`,
    share: share * (isE24(value) ? 1 : 0.15),
  };
}

/** Rules for chokes. */
export const INDUCTOR_RULES: readonly MarkingRule[] = [
  {
    name: 'microhenry-code',
    pattern: /^([1-9]\d)(\d)([FGJKLMN])?$/,
    yields: 'two digits and a count of zeros in microhenries',
    prior: 0.9,
    alone: 0.12,
    source: PRACTICE,
    example: '101K',
    read: ([text, digits, zeros, letter]) =>
      Number(zeros) > 5 ? undefined : inductor(Number(digits) * 10 ** Number(zeros) * 1e-6, letter, `${text} in µH`),
  },
  {
    name: 'microhenry-point',
    pattern: /^(\d{0,2})([RN])(\d{0,2})([FGJKLM])?$/,
    yields: 'R as point in microhenries, N as point in nanohenries',
    prior: 0.9,
    alone: 0.06,
    source: PRACTICE,
    example: '4R7',
    read([text, before = '', letter, after = '', tolerance]) {
      const digits = before.length + after.length;
      if (digits === 0 || digits > 3) return undefined;
      const value = Number(`${before || '0'}.${after || '0'}`) * (letter === 'N' ? 1e-9 : 1e-6);
      return value > 0 ? inductor(value, tolerance, text) : undefined;
    },
  },
  {
    name: 'henries-in-full',
    pattern: /^(\d+(?:[.,]\d+)?)(NH|UH|µH|ΜH|MH|H)([FGJKLM])?$/,
    yields: 'the value with its unit',
    prior: 0.97,
    source: PRACTICE,
    example: '10MH',
    read([text, value = '', unit = '', letter]) {
      const factor = { NH: 1e-9, MH: 1e-3, H: 1 }[unit] ?? 1e-6;
      return inductor(Number(value.replace(',', '.')) * factor, letter, text);
    },
  },
];
