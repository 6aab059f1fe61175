import { formatQuantity, parseQuantity } from '../quantity';
import { isE24, isE96 } from './preferredValues';
import type { MarkingRule, Reading } from './reading';

/** EIA-96 multiplier letters (from memory). */
const EIA96_MULTIPLIER: Readonly<Record<string, number>> = {
  Z: 0.001,
  Y: 0.01,
  R: 0.01,
  X: 0.1,
  S: 0.1,
  A: 1,
  B: 10,
  H: 10,
  C: 100,
  D: 1e3,
  E: 1e4,
  F: 1e5,
};

/** Chip resistors of more ohms are not made in this coding. Common practice, no source. */
const LARGEST_CHIP = 100e6;

const resistor = (
  resistance: number,
  tolerance: number | undefined,
  rule: string,
  confidence: number,
  why: string,
): Reading => ({
  kind: 'resistor',
  confidence,
  rule,
  ratings: { resistance, ...(tolerance === undefined ? {} : { tolerance }) },
  why,
});

/** Two or three digits and a count of zeros, on chip resistors: `472` 4.7 kΩ, `4992` 49.9 kΩ. */
export const chipResistorDigits: MarkingRule = (marking) => {
  if (/^0+$/.test(marking) && marking.length <= 4)
    return [resistor(0, undefined, 'chip-digits', 0.9, `${marking}: a 0 Ω link`)];
  const match = /^(\d{2,3})(\d)$/.exec(marking);
  if (!match?.[1] || !match[2] || match[1].startsWith('0')) return [];
  const resistance = Number(match[1]) * 10 ** Number(match[2]);
  if (resistance > LARGEST_CHIP) return [];
  const three = match[1].length === 2;
  const preferred = three ? isE24(resistance) : isE96(resistance) || isE24(resistance);
  return [
    resistor(
      resistance,
      three ? 0.05 : 0.01,
      'chip-digits',
      preferred ? 0.9 : 0.3,
      `${match[1]} and ${match[2]} zeros: ${formatQuantity(resistance, 'ohm')}`,
    ),
  ];
};

/** A letter in place of the point: `4K7`, `R47`, `5L00`. IEC 60062 (from memory). */
export const resistorLetterPoint: MarkingRule = (marking, { kind }) => {
  if (!/^(?:\d{1,3}[RELKMG]\d{0,2}|[RELKMG]\d{1,3})[A-Z]?$/.test(marking)) return [];
  if (!/[RELKMG]/.test(marking.slice(0, -1)) && !/^\d+[RELKMG]$/.test(marking)) return [];
  const parsed = parseQuantity(marking, 'ohm');
  if (!parsed.ok) return [];
  const { value, tolerance } = parsed.quantity;
  const sure = isE24(value) || isE96(value) || value === 0;
  return [
    resistor(
      value,
      tolerance,
      'letter-as-point',
      (sure ? 0.95 : 0.5) * (kind ? 1 : 0.9),
      `${marking}: ${formatQuantity(value, 'ohm')}`,
    ),
  ];
};

/** EIA-96: two digits name a value of E96, a letter the multiplier. `01C` is 10.0 kΩ. */
export const eia96: MarkingRule = (marking) => {
  const match = /^(\d{2})([A-Z])$/.exec(marking);
  const place = Number(match?.[1]);
  const multiplier = EIA96_MULTIPLIER[match?.[2] ?? ''];
  if (!match || place < 1 || place > 96 || multiplier === undefined) return [];
  const resistance = Number((Math.round(100 * 10 ** ((place - 1) / 96)) * multiplier).toPrecision(6));
  return [
    resistor(resistance, 0.01, 'eia-96', 0.85, `EIA-96 code ${marking}: ${formatQuantity(resistance, 'ohm')}, 1 %`),
  ];
};
