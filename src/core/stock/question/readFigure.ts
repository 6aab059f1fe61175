import { valueOf } from '../../benchline';
import { parseQuantity } from '../../quantity';
import type { Figure } from './heard';

/** A figure by itself. */
export type Read = Omit<Figure, 'said' | 'name' | 'token'>;

export const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
export const numberOf = (text: string) => Number(text.replace(',', '.'));

/** `4n7`, not `1n4007`. */
const SHORTHAND = /^(?:[.,]?\d[\d.,]*(?:n\d?|[puµmkMRLEK]\d{0,2})|R\d+)$/;

/** A word that is a figure: with its unit, as shorthand, or bare. */
export function readFigure(word: string): Read | undefined {
  if (!/^[-+]?[.,]?\d|^R\d/.test(word)) return undefined;
  const text = word;
  const thermal = new RegExp(String.raw`^(${NUMBER})K\/W$`, 'i').exec(word)?.[1];
  if (thermal) return { text, unit: 'kelvinPerWatt', value: numberOf(thermal) };
  const length = new RegExp(String.raw`^(${NUMBER})(mm|cm|m)$`).exec(word);
  if (length?.[1] && length[2] !== 'm')
    return { text, unit: 'metre', value: numberOf(length[1]) * (length[2] === 'cm' ? 1e-2 : 1e-3) };
  const volts = /^(\d+)v(\d+)$/i.exec(word);
  if (volts?.[1] && volts[2]) return { text, unit: 'volt', value: Number(`${volts[1]}.${volts[2]}`) };
  const degrees = /^(\d{2,3})°?C$/.exec(word)?.[1];
  if (degrees && Number(degrees) >= 70) return { text, unit: 'celsius', value: Number(degrees) };
  const pins = /^(\d{1,3})-?(?:pins?|polig|way)$/i.exec(word)?.[1];
  if (pins) return { text, unit: 'count', value: Number(pins) };
  const known = valueOf(word.replace(/^(\d[\d.,]*)([kmµu]?)v(ac|dc|~)?$/i, '$1$2V$3'));
  if (known && Number.isFinite(known.quantity.value))
    return { text, unit: known.unit, value: known.quantity.value, ...(known.ac ? { isAc: true } : {}) };
  if (/^[-+]?[.,]?\d[\d.,]*$/.test(word)) {
    const value = numberOf(word.replace(/^([.,])/, '0.'));
    return Number.isFinite(value) ? { text, value, isBare: true } : undefined;
  }
  if (!SHORTHAND.test(word)) return undefined;
  for (const unit of ['ohm', 'farad'] as const) {
    const parsed = parseQuantity(word.replace(/^([.,])/, '0.'), unit);
    if (parsed.ok) return { text, value: parsed.quantity.value };
  }
  return undefined;
}
