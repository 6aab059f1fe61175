import { practice } from '../evidence';
import { splitPin } from './contradiction';

/** A reading between two pins: ohms of continuity, volts of diode mode; no value where the meter is over range. */
export interface PinReading {
  readonly quantity: 'continuity' | 'diode';
  readonly value: number | null;
}

/** Two leads, their tips and a trace stay below this many ohms. */
export const JOINED_BELOW_OHMS = practice(0.5);
/** A short reads next to nothing in diode mode; the smallest junction reads ten times as much. */
const JOINED_BELOW_VOLTS = practice(0.01);

/** What a reading says of two pins: a plain join, no connection, or something that lies between. */
export type PinFinding =
  | { readonly relation: 'joined' | 'separate' }
  | { readonly relation: 'through'; readonly ohms: number }
  | { readonly relation: 'through'; readonly drop: number };

/** Digits of a bench meter that are kept. */
const DIGITS = 4;

/**
 * What a reading between two pins says. Pins of one part are never a plain join: between them lies the part.
 */
export function findingOfReading(a: string, b: string, { quantity, value }: PinReading): PinFinding {
  if (value === null) return { relation: 'separate' };
  const least = quantity === 'diode' ? JOINED_BELOW_VOLTS : JOINED_BELOW_OHMS;
  const isOnePart = splitPin(a)[0] === splitPin(b)[0];
  if (Math.abs(value) < least && !isOnePart) return { relation: 'joined' };
  const shown = Number(Math.abs(value).toPrecision(DIGITS));
  return quantity === 'diode' ? { relation: 'through', drop: shown } : { relation: 'through', ohms: shown };
}
