import type { MeterFailure, MeterQuantity, MeterReading } from './protocol';

/** Units as USB meters print them, with the quantity each stands for and its factor. */
const PREFIXES: Readonly<Record<string, number>> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  μ: 1e-6,
  m: 1e-3,
  k: 1e3,
  K: 1e3,
  M: 1e6,
  '': 1,
};
const LINE =
  /^\s*([+-]?)\s*(O\.?L|OVLD|\d*\.?\d+(?:e[+-]?\d+)?)\s*([pnuµμmkKM]?)(V(?:AC|DC|~)?|ohms?|Ω|Ω|F)(?![a-z])\s*(.*)$/iu;

/** Anything about an alternating range: its sign, or the word, wherever the meter prints it. */
const ALTERNATING = /[~∿≈]|(?:^|[^a-z])v?ac(?:[^a-z]|$)|rms/i;

/**
 * One line as a USB meter streams it: `212.3 V DC`, `4.69 kOhm`, `0.512 V diode`, `OL MOhm`. The
 * dial's mode, when named behind, tells diode mode from volts and continuity from resistance.
 */
export function parseLine(line: string): MeterReading | MeterFailure {
  const match = LINE.exec(line);
  if (!match) return { kind: 'garbage', text: line.trim().slice(0, 24) || 'an empty line' };
  const [, sign, digits = '', prefix = '', unit = '', mode = ''] = match;
  if (/^v/i.test(unit) && ALTERNATING.test(`${unit} ${mode}`))
    return { kind: 'alternating', text: line.trim().slice(0, 24) };
  const quantity = quantityOf(unit, mode);
  if (/^o/i.test(digits)) return { quantity, value: null, resolution: 0 };
  const factor = PREFIXES[prefix] ?? 1;
  const decimals = /\.(\d+)/.exec(digits)?.[1]?.length ?? 0;
  const scaled = (value: number) => Number((value * factor).toPrecision(12));
  return {
    quantity,
    value: scaled((sign === '-' ? -1 : 1) * Number(digits)),
    resolution: scaled(10 ** -decimals),
    ...(quantity === 'volt' && factor < 1 ? { inMillivolts: true as const } : {}),
  };
}

function quantityOf(unit: string, mode: string): MeterQuantity {
  if (/^v/i.test(unit)) return /diod/i.test(mode) ? 'diode' : 'volt';
  if (/^f$/i.test(unit)) return 'farad';
  return /cont|beep/i.test(mode) ? 'continuity' : 'ohm';
}
