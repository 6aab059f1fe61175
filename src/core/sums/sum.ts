import type { RatingName } from '../part';
import { formatQuantity, type Unit } from '../quantity';

/** The question a person has; the list of sums is grouped by it. */
export const QUESTIONS = {
  safe: 'Is it safe?',
  stand: 'What will it stand?',
  make: 'What can I make of it?',
  fail: 'Why does it fail?',
} as const;
export type Question = keyof typeof QUESTIONS;

/** What a nameplate gives: its text, output power, ends of its input, its first output. */
export type PlateValue = 'text' | 'watts' | 'lowest' | 'highest' | 'volts' | 'amperes';

/** What a person types for a sum. */
export interface Field {
  readonly id: string;
  readonly label: string;
  /** What it is measured in; without one it is words, or one of `choices`. */
  readonly unit?: Unit;
  readonly choices?: readonly string[];
  /** As it stands at first, in shorthand; empty where it may be left out. */
  readonly usual: string;
  readonly isOptional?: true;
  /** May be nothing, or below nothing. */
  readonly isSigned?: true;
  readonly mayBeZero?: true;
  /** Taken from this rating of a part the sum is opened from. */
  readonly from?: RatingName;
  /** Taken from the nameplate of a donor it is opened from. */
  readonly plate?: PlateValue;
}

/** How a figure or an answer stands: the verdict words of the trade. */
export type Mark = 'danger' | 'reject' | 'warn' | 'note' | 'ok' | 'cannot tell';

/** A number that came out. */
export interface Figure {
  readonly id: string;
  readonly label: string;
  readonly value: number;
  readonly unit: Unit;
  /** What is printed behind it instead, where no unit that is typed fits. */
  readonly symbol?: string;
}

/** A figure as it is printed. */
export const figureText = ({ value, unit, symbol }: Figure): string =>
  symbol === undefined
    ? formatQuantity(value, unit)
    : `${Number(value.toPrecision(3)).toLocaleString('en', { useGrouping: false, maximumSignificantDigits: 3 })}${symbol === '' ? '' : `\u00a0${symbol}`}`;

/** A curve of the sum over something, with what it is held against. */
export interface Curve {
  readonly caption: string;
  readonly x: { readonly label: string; readonly unit: Unit };
  readonly y: { readonly label: string; readonly unit: Unit };
  readonly lines: readonly {
    readonly label: string;
    readonly points: readonly (readonly [x: number, y: number])[];
    readonly isFaint?: true;
  }[];
  readonly limits?: readonly { readonly label: string; readonly y: number }[];
  /** Where the sum itself stands. */
  readonly here?: readonly [x: number, y: number];
}

/** Values that could be chosen instead, with what each would do. */
export interface Choices {
  readonly head: readonly string[];
  readonly rows: readonly { readonly cells: readonly string[]; readonly mark?: Mark; readonly isChosen?: true }[];
}

/** A drawing with the values of the sum in it, by the place they stand at. */
export interface Picture {
  readonly kind: 'barrier' | 'core' | 'in series' | 'divider' | 'string' | 'stack';
  readonly words: Readonly<Record<string, string>>;
}

/** What comes of a sum. */
export interface Worked {
  /** In a few plain words. */
  readonly answer: string;
  readonly more?: string;
  readonly mark?: Mark;
  readonly figures: readonly Figure[];
  readonly choices?: Choices;
  readonly curve?: Curve;
  readonly picture?: Picture;
  readonly why: readonly string[];
  readonly cautions: readonly string[];
  readonly next: string;
}

/** Why there is no answer, and of which field. */
export interface Wrong {
  readonly wrong: string;
  readonly field?: string;
}

/** What was typed, read. */
export interface Typed {
  readonly n: (id: string) => number;
  /** A number that may have been left out. */
  readonly maybe: (id: string) => number | undefined;
  readonly t: (id: string) => string;
  /** Volts up to which the shop touches a store. */
  readonly touch: number;
}

/** A calculation with its place: what is typed, how it is worked out, and where that comes from. */
export interface Sum {
  readonly id: string;
  readonly question: Question;
  readonly title: string;
  /** Words it is found by beside its title. */
  readonly words: string;
  readonly fields: readonly Field[];
  readonly work: (typed: Typed) => Worked | Wrong;
  readonly formula: readonly string[];
  readonly source: string;
  /** How to take the readings, step by step. */
  readonly readings?: readonly string[];
  /** It concerns what stands on the mains: the cautions for that are shown. */
  readonly isMains?: true;
}

/** Formatted, with three digits. */
export const q = (value: number, unit: Unit, digits = 3): string => formatQuantity(value, unit, { digits });

/** Points of a curve over an interval. */
export function drawn(
  [from, to]: readonly [number, number],
  at: (x: number) => number,
  points = 121,
): (readonly [number, number])[] {
  return Array.from({ length: points }, (_, index) => {
    const x = from + ((to - from) * index) / (points - 1);
    return [x, at(x)] as const;
  });
}

export const figure = (id: string, label: string, value: number, unit: Unit): Figure => ({ id, label, value, unit });

/** A number with a unit that is never typed. */
export const plain = (id: string, label: string, value: number, symbol: string): Figure => ({
  id,
  label,
  value,
  unit: 'count',
  symbol,
});

/** A sum as it was kept with what it was made for. */
export interface KeptSum {
  readonly id: string;
  /** Null where it is kept with a build. */
  readonly donorId: string | null;
  /** The part it is about; empty for the whole. */
  readonly ref: string;
  readonly sum: string;
  /** What was typed, by field. */
  readonly typed: Readonly<Record<string, string>>;
  /** Fields that follow a rating of the part. */
  readonly follows: readonly string[];
  /** What it came to when it was kept. */
  readonly answer: string;
}
