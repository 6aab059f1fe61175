import { practice } from './practice';

/** Where a value comes from, strongest first. A stronger source replaces a weaker one. */
export const SOURCES = ['measured', 'datasheet', 'decoded', 'typed', 'remembered', 'typical', 'guessed'] as const;

export type Source = (typeof SOURCES)[number];

/** One sentence a person reads when they ask what the word means. */
export const SOURCE_MEANING: Readonly<Record<Source, string>> = {
  measured: 'a person measured it on this part',
  datasheet: 'a person read it in the datasheet',
  decoded: 'follows from the marking by a stated rule; check the datasheet',
  typed: 'a person typed it, or a list said so, without a source',
  remembered: 'from the built-in catalogue; check the datasheet',
  typical: 'a rule of the trade, not of this part',
  guessed: 'a guess, to be replaced',
};

/** A value with its evidence. */
export interface Evidenced {
  readonly value: number;
  readonly source: Source;
  /** The rule that decoded it, when decoded. */
  readonly rule?: string | null;
  /** How likely the reading is right, 0 to 1; absent means certain for its source. */
  readonly confidence?: number | null;
}

/**
 * Whether a new value takes the place of the present one: a source at least as strong does.
 * The loser is kept in the history either way.
 */
export function replaces(candidate: Source, present: Source | undefined): boolean {
  return present === undefined || SOURCES.indexOf(candidate) <= SOURCES.indexOf(present);
}

/** Voltage from a decode below this confidence is used at half until a datasheet confirms it. */
export const UNCERTAIN_DECODE = practice({ confidence: 0.9, usableShare: 0.5 } as const);

/** Whether a value rests on a number pattern alone, too weakly to be used in full. */
export function isUncertain({ source, confidence }: Evidenced): boolean {
  return source === 'guessed' || (source === 'decoded' && (confidence ?? 1) < UNCERTAIN_DECODE.confidence);
}
