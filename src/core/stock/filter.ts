import type { Source } from '../evidence';
import type { Use } from '../measure';
import type { KindName, RatingName } from '../part';

import type { Duty } from './duty/duty';

export type Comparison = 'at-least' | 'at-most' | 'above' | 'below' | 'equal' | 'about' | 'between';

/** One demand on a rating, in the SI base unit. */
export interface Demand {
  readonly rating: RatingName;
  /** What the same demand is on further kinds: volts are drain to source of one, collector to emitter of another. */
  readonly others?: readonly RatingName[];
  readonly comparison: Comparison;
  readonly value: number;
  /** Upper end of a range. */
  readonly upper?: number;
  /** How far off a value may be that is about what is asked, as a share. */
  readonly within?: number;
}

/** A kind of part as it was asked for. */
export interface AskedKind {
  /** What is told the person. */
  readonly says: string;
  /** The words that read back as this. */
  readonly words: string;
  readonly kinds: readonly KindName[];
  /** One of these subtypes or technologies. */
  readonly variants?: readonly string[];
  /** None of these subtypes. */
  readonly not?: readonly string[];
}

/** What a person asked stock for. */
export interface StockFilter {
  readonly kind?: AskedKind;
  readonly demands: readonly Demand[];
  /** One of these cases. */
  readonly packages?: readonly string[];
  readonly bin?: string;
  readonly donor?: string;
  readonly source?: Source;
  /** One of these grades; `null` is not graded yet. */
  readonly grades?: readonly ('A' | 'B' | 'C' | null)[];
  /** What it is to be used for; a lot whose limits forbid it does not fit. */
  readonly uses?: readonly Use[];
  /** What it is put under in its place. */
  readonly duty?: Duty;
  /** Words to find in markings, packages and bins. */
  readonly words: readonly string[];
  /** A type that something is to stand in for; who answers knows its ratings. */
  readonly like?: { readonly marking: string; readonly isStronger: boolean };
  /** What was understood and left out, since it goes with nothing else that was said. */
  readonly leftOut?: readonly string[];
  /** Words of the question that say nothing to the reader. */
  readonly unread?: readonly string[];
}

/** The ratings that may meet a demand. */
export const ratingsOf = ({ rating, others = [] }: Demand): readonly RatingName[] => [rating, ...others];

/** Width of `=` as a fraction of the value. */
const EQUAL_WITHIN = 0.02;

/** The closed interval of values that satisfies a demand. */
export function demandedRange({ comparison, value, upper = value, within = EQUAL_WITHIN }: Demand): {
  low: number;
  high: number;
} {
  const slack = Math.abs(value) * 1e-9;
  switch (comparison) {
    case 'at-least':
      return { low: value - slack, high: Infinity };
    case 'above':
      return { low: value + slack, high: Infinity };
    case 'at-most':
      return { low: -Infinity, high: value + slack };
    case 'below':
      return { low: -Infinity, high: value - slack };
    case 'between':
      return { low: value - slack, high: upper + Math.abs(upper) * 1e-9 };
    case 'equal':
    case 'about': {
      const width = Math.abs(value) * (comparison === 'equal' ? EQUAL_WITHIN : within);
      return { low: value - width - slack, high: value + width + slack };
    }
  }
}
