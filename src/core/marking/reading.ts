import type { KindName, RatingName } from '../part';

/** One way to read a marking. */
export interface Reading {
  readonly kind: KindName;
  /** 0 to 1; the readings of one marking add up to at most 1. */
  readonly confidence: number;
  /** Name of the rule that gave it. */
  readonly rule: string;
  /** SI base units. */
  readonly ratings: Partial<Record<RatingName, number>>;
  /** Facts that are no numbers, such as `technology: schottky`. */
  readonly facts?: Readonly<Record<string, string>>;
  /** One sentence that lets a person check the reading. */
  readonly why: string;
}

/** What is known of a part beside its marking. */
export interface MarkingContext {
  readonly kind?: KindName;
  readonly package?: string;
}

/** A rule reads a marking (upper case, trimmed, one line) or passes. Confidence is as if alone. */
export type MarkingRule = (marking: string, context: MarkingContext) => Reading[];
