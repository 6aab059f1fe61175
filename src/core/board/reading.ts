import { splitPin } from './contradiction';

/** A reading between two pins: ohms of continuity, volts of diode mode; no value where the meter is over range. */
export interface PinReading {
  readonly quantity: 'continuity' | 'diode';
  readonly value: number | null;
}

/** Two leads, their tips and a trace stay below this many ohms. Common practice, no source. */
export const JOINED_BELOW_OHMS = 0.5;
/** A short reads next to nothing in diode mode; the smallest junction reads ten times as much. Common practice, no source. */
const JOINED_BELOW_VOLTS = 0.01;

/**
 * What a reading says of two pins, as a bench line: `q1.d - t1.2` where it is a plain join, `q1.d x t1.2` where
 * nothing conducts, and `t1.1 ~ t1.2 0.8` where something lies between. Pins of one part are never a plain join:
 * between them lies the part.
 */
export function lineOfReading(a: string, b: string, { quantity, value }: PinReading): string {
  if (value === null) return `${a} x ${b}`;
  const least = quantity === 'diode' ? JOINED_BELOW_VOLTS : JOINED_BELOW_OHMS;
  const isOnePart = splitPin(a)[0] === splitPin(b)[0];
  if (Math.abs(value) < least && !isOnePart) return `${a} - ${b}`;
  return `${a} ~ ${b} ${Number(Math.abs(value).toPrecision(4))}${quantity === 'diode' ? 'V' : ''}`;
}
