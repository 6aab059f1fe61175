import type { BenchContext, BenchProblem, BenchRecord, ContextPart, Correction } from '../record';
import type { Token } from '../tokens';

/** What one statement of a line comes to. */
export type Outcome =
  | {
      readonly records: readonly BenchRecord[];
      readonly corrected?: readonly Correction[];
      readonly unplaced?: readonly Token[];
      /** The part that words without a place are about. */
      readonly about?: string;
    }
  | { readonly problem: BenchProblem; readonly kept?: readonly BenchRecord[] };

/** More words than this that say nothing, and more than half as many again as say something: it is prose. */
export const MOST_UNPLACED = 3;

/** Less sure readings of a number are left to Identify. */
export const CLEARLY = 0.5;

export const partOf = (ref: string, { parts }: BenchContext): ContextPart | undefined =>
  parts.find((part) => part.ref === ref);
