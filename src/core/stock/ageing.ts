import { practice } from '../evidence';
import { formatQuantity } from '../quantity';

/** How long things may lie before they ask for a look, in years. */
export const LIE_YEARS = practice({ electrolytic: 2, unwanted: 2 } as const);
const YEAR_MS = 365.25 * 24 * 3600 * 1000;

/** The moment so many years before another, milliseconds. */
export const yearsBefore = (now: number, years: number): number => now - years * YEAR_MS;

/** From here up reforming is work for an enclosure, volts DC. Touch limit of IEC 62368-1, from memory. */
const TOUCHABLE = 60;

/**
 * How an electrolytic that lay long is formed again: its rated voltage through a resistor until the leakage is under
 * the limit, an hour at most; 1 kΩ for low voltages, 10 to 100 kΩ for high ones. Common practice, no source.
 */
export function reformAdvice(of: { years: number; volts: number | null }): string {
  const age = `Lain for ${of.years.toFixed(of.years < 10 ? 1 : 0)} years`;
  if (of.volts === null) return `${age}: read its voltage before you use it, and form it again.`;
  const high = of.volts > TOUCHABLE;
  const through = high ? '10 to 100 kΩ' : '1 kΩ';
  const care = high ? ' Enclosed, never left alone; discharge it and measure it dead after.' : '';
  return `${age}: form it at ${formatQuantity(of.volts, 'volt')} through ${through} until its leakage is under the limit, an hour at most.${care}`;
}

/** Years between two moments. */
export const yearsBetween = (from: number, to: number): number => (to - from) / YEAR_MS;
