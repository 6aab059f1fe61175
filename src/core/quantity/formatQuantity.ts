import { UNITS, type Unit } from './units';

export interface FormatOptions {
  /** Significant digits, 3 unless told otherwise. */
  readonly digits?: number;
  /** The weight of the last digit the measurement supports; finer digits are not shown. */
  readonly resolution?: number;
}

/** A value cut into what is printed: `{ number: '82', unit: 'µF' }`. */
export interface PrintedQuantity {
  readonly number: string;
  readonly unit: string;
}

/**
 * Prints a value with an engineering prefix and no more digits than asked for or supported.
 * Trailing zeros behind the point are dropped unless a resolution says they were measured.
 * @example printQuantity(82e-6, 'farad') // { number: '82', unit: 'µF' }
 */
export function printQuantity(
  value: number,
  unit: Unit,
  { digits = 3, resolution }: FormatOptions = {},
): PrintedQuantity {
  const rule = UNITS[unit];
  // What cannot be worked out is no number, and never endless.
  if (Number.isNaN(value)) return { number: '—', unit: unit === 'count' ? '' : rule.symbol };
  if (unit === 'ratio') return { number: trimmed((value * 100).toPrecision(digits)), unit: '%' };
  if (unit === 'count') return { number: String(Math.round(value)), unit: '' };
  if (!Number.isFinite(value)) return { number: value < 0 ? '−∞' : '∞', unit: rule.symbol };

  const size = Math.abs(value);
  const rounded = size === 0 ? 0 : Number(size.toPrecision(digits));
  const smallest = rule.printed[rule.printed.length - 1] ?? ['', 1];
  const [prefix, factor] =
    rounded === 0
      ? (rule.printed.find(([p]) => p === '') ?? smallest)
      : (rule.printed.find(([, f]) => rounded >= f * 0.9999999) ?? smallest);

  const scaled = size / factor;
  const places =
    resolution === undefined
      ? digitsAfterPoint(scaled, digits)
      : Math.max(0, Math.min(6, -Math.floor(Math.log10(resolution / factor) + 1e-9)));
  const fixed = places < 0 ? String(Math.round(scaled / 10 ** -places) * 10 ** -places) : scaled.toFixed(places);
  const number = resolution === undefined ? trimmed(fixed) : fixed;
  return { number: (value < 0 && Number(number) !== 0 ? '−' : '') + number, unit: prefix + rule.symbol };
}

/** The same as one string with a no-break space: `82 µF`. */
export function formatQuantity(value: number, unit: Unit, options?: FormatOptions): string {
  const printed = printQuantity(value, unit, options);
  if (unit === 'ratio') return `${printed.number}\u00a0%`;
  return printed.unit ? `${printed.number}\u00a0${printed.unit}` : printed.number;
}

/**
 * The shorthand a person would type, for filling an edit field: `4k7`, `0R22`, `82u`, `1M`.
 * Units without shorthand come out as plain numbers with their unit.
 */
export function formatShorthand(value: number, unit: Unit, digits = 6): string {
  const printed = printQuantity(value, unit, { digits });
  const number = printed.number.replace('−', '-');
  const prefix = printed.unit.slice(0, printed.unit.length - UNITS[unit].symbol.length).replace('µ', 'u');
  if (unit === 'ratio' || unit === 'count') return number + printed.unit;
  if (unit === 'ohm' || unit === 'farad' || unit === 'henry') {
    const letter = prefix === '' ? (unit === 'ohm' ? 'R' : '') : prefix;
    if (letter === '') return number + UNITS[unit].symbol;
    return number.includes('.') ? number.replace('.', letter) : number + (letter === 'R' ? 'R' : letter);
  }
  return number + prefix + UNITS[unit].symbol;
}

function digitsAfterPoint(scaled: number, digits: number): number {
  if (scaled === 0) return 0;
  const rounded = Number(scaled.toPrecision(digits));
  return Math.min(6, digits - 1 - Math.floor(Math.log10(rounded) + 1e-12));
}

function trimmed(number: string): string {
  const plain = number.includes('e') ? String(Number(number)) : number;
  return plain.includes('.') ? plain.replace(/\.?0+$/, '') : plain;
}

/** A value as a person would type it, as `4.7uF`, without the space that stands on a page. */
export function typedQuantity(value: number, unit: Unit): string {
  return formatQuantity(value, unit, { digits: 4 }).replaceAll('\u00a0', '');
}
