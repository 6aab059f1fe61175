import { parseQuantity, type Quantity, type Unit } from '../quantity';

/** A value that carries its unit. */
export interface Value {
  readonly unit: Unit;
  readonly quantity: Quantity;
  /** The voltage was said to be alternating. */
  readonly ac: boolean;
  /** A comma stands before exactly three digits: thousands or a decimal comma. */
  readonly ambiguous: boolean;
}

/** Endings that tell the unit, longest first; the sign of a prefix may stand before them. */
const ENDINGS: readonly (readonly [ends: RegExp, unit: Unit])[] = [
  [/\d\s*°C$|\d(?:deg|degc|degrees)$/i, 'celsius'],
  [/(?:ohms?|Ω)$/i, 'ohm'],
  [/\d(?:[pnuµμm]|mic)?F$|\d(?:uf|nf|pf|mf|mfd)$/i, 'farad'],
  [/\d[nuµμm]?H$|\d[nuµm]h$/, 'henry'],
  [/\d(?:min|mins|s|sec|secs)$/i, 'second'],
  [/\d[kKmµu]?V(?:dc|ac|~|⎓|=)?$/i, 'volt'],
  [/\d[mµunk]?A(?:mps?)?$/i, 'ampere'],
  [/\d[mk]?W$/i, 'watt'],
  [/\d%$/, 'ratio'],
];

/** Whole numbers from a thousand on with an A behind are type numbers, such as 13009A: nothing here carries kiloamperes. */
const TYPE_NUMBER = /^\d{4,}A$/i;

/** A word that is a number with its unit. */
export function valueOf(text: string): Value | undefined {
  const at = text.replace(/^[@±]/, '');
  if (!/^[+\-−]?[.,]?\d/.test(at) || TYPE_NUMBER.test(at)) return undefined;
  for (const [ends, unit] of ENDINGS) {
    if (!ends.test(at)) continue;
    const ac = unit === 'volt' && /(?:ac|~)$/i.test(at);
    let body = at
      .replace(/[~⎓=]$/, '')
      .replace(/mfd$/i, 'uF')
      .replace(/deg(?:c|rees)?$/i, '');
    body = body.replace(/^([.,])/, '0.');
    const parsed = parseQuantity(body, unit);
    if (parsed.ok) return { unit, quantity: parsed.quantity, ac, ambiguous: false };
    if (parsed.problem.kind === 'thousands')
      return { unit, quantity: { value: NaN, resolution: NaN }, ac, ambiguous: true };
  }
  // “100C” is a temperature on a capacitor only; the part that carries it decides.
  return undefined;
}

/** Shorthand without a unit, such as 4k7, 82u, 100n or 0R22: what it may be a value of. */
export function shorthandOf(text: string, unit: Unit): Quantity | undefined {
  if (!/^[.,]?\d|^R\d/i.test(text)) return undefined;
  const parsed = parseQuantity(text.replace(/^([.,])/, '0.'), unit);
  return parsed.ok ? parsed.quantity : undefined;
}

/** Whether a word is a bare number, without prefix or unit. */
export const isBareNumber = (text: string): boolean => /^\d+(?:[.,]\d+)?$/.test(text);
