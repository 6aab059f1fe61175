import type { FixedPart } from './fixed';
import type { BoardKind } from './kinds';

/** Two pins by their names, such as `['Q1.D', 'T1.2']`. */
export type PinPair = readonly [string, string];

/** What a person could read or measure of a part, in SI base units. */
export interface PartValue {
  readonly resistance?: number;
  readonly capacitance?: number;
  readonly inductance?: number;
  readonly voltage?: number;
  readonly current?: number;
  readonly power?: number;
}

export interface BoardPart {
  readonly ref: string;
  readonly kind: BoardKind;
  readonly subtype?: string;
  readonly role?: string;
  /** Net of each pin; `null` where it has not been traced. */
  readonly pins: Readonly<Record<string, string | null>>;
  readonly value?: PartValue;
  readonly marking?: string;
  readonly pinNames?: Readonly<Record<string, string>>;
  /** Pins of each winding that the ohmmeter joins, in order; a tapped one has three or more. */
  readonly windings?: readonly (readonly string[])[];
  /** One pin of each winding that rise together. */
  readonly dots?: readonly string[];
  /** The place is on the board, but nothing is fitted. */
  readonly fitted?: false;
}

export interface BoardNameplate {
  readonly input?: { readonly kind: 'ac' | 'dc'; readonly vMin?: number; readonly vMax?: number };
  readonly outputs?: readonly { readonly v: number; readonly i?: number }[];
}

/** A reading between two pins that is no join: a beep through a winding, a resistor, a junction. */
export interface ThroughReading {
  readonly a: string;
  readonly b: string;
  /** Ohm, or volt in diode mode. */
  readonly ohms?: number;
  readonly drop?: number;
}

/** One traced board, wholly or in part (`zorvek.board/1`). */
export interface Board {
  readonly title?: string;
  readonly nameplate?: BoardNameplate;
  readonly parts: readonly BoardPart[];
  readonly joined?: readonly PinPair[];
  readonly separate?: readonly PinPair[];
  readonly through?: readonly ThroughReading[];
  /** The person says that every join is in: what is not joined is separate. */
  readonly complete?: boolean;
  /** Pins whose net was swept to its end: what is not known to be on it is not on it. */
  readonly swept?: readonly string[];
  /** Pairs of pins that a person could not reach, or was not sure of; they are not asked for again. */
  readonly unsure?: readonly PinPair[];
  /** What a person has fixed; it goes before what the evidence says. */
  readonly fixed?: readonly FixedPart[];
  /** What a person noted about the board, in their words. */
  readonly notes?: readonly string[];
}

export const BOARD_FORMAT = 'zorvek.board/1';
