import type { Source } from '../evidence';
import type { Measured } from '../measure';
import type { KindName, RatingName, TestName } from '../part';
import type { StoreRole } from '../safety';

/** A rating as typed: SI base unit. */
export interface TypedRating {
  readonly name: RatingName;
  readonly value: number;
  readonly source: Source;
}

/** What one bench line means. */
export type BenchRecord =
  | {
      readonly kind: 'part';
      readonly ref: string;
      readonly partKind: KindName;
      readonly subtype?: string;
      readonly package?: string;
      readonly marking?: string;
      /** Date code as printed. */
      readonly dateCode?: string;
      readonly damage: readonly string[];
      readonly ratings: readonly TypedRating[];
    }
  | { readonly kind: 'value'; readonly ref: string; readonly ratings: readonly TypedRating[] }
  | {
      readonly kind: 'measurement';
      readonly ref: string;
      readonly test: TestName;
      readonly values: Readonly<Record<string, Measured>>;
      readonly inCircuit: boolean;
    }
  | { readonly kind: 'reading'; readonly store: string; readonly voltage: Measured; readonly elapsed?: number }
  | {
      readonly kind: 'store';
      readonly name: string;
      readonly role?: StoreRole;
      /** The capacitors as typed, when there are several. */
      readonly bank?: string;
      /** Of the whole bank; 0 for a battery. */
      readonly capacitance: number;
      readonly ratedVoltage?: number;
      readonly bleed?: number;
    }
  | { readonly kind: 'power'; readonly applied: boolean }
  | {
      readonly kind: 'soak';
      readonly watts?: number;
      readonly celsius?: number;
      readonly volts?: number;
      readonly load?: number;
      readonly elapsed?: number;
      readonly remark: string;
    }
  | { readonly kind: 'note'; readonly text: string; readonly question: boolean };

export type BenchProblem =
  | { readonly kind: 'empty' }
  | { readonly kind: 'no-subject'; readonly word: string }
  | { readonly kind: 'nothing-said'; readonly ref: string }
  | { readonly kind: 'kind-unknown'; readonly ref: string }
  | { readonly kind: 'word-unknown'; readonly word: string; readonly ref: string }
  | { readonly kind: 'value-unreadable'; readonly word: string; readonly expected: string }
  | { readonly kind: 'no-part'; readonly ref: string }
  | { readonly kind: 'no-store'; readonly name: string }
  | { readonly kind: 'measure-instead'; readonly ref: string; readonly rating: RatingName }
  | { readonly kind: 'no-test'; readonly ref: string; readonly partKind: KindName }
  | { readonly kind: 'negative-time'; readonly word: string };

export type Understanding =
  | { readonly ok: true; readonly record: BenchRecord; /** The record in plain words. */ readonly says: string }
  | { readonly ok: false; readonly problem: BenchProblem };

/** What the line may refer to on this donor. References upper case. */
export interface BenchContext {
  readonly parts: readonly { readonly ref: string; readonly kind: KindName }[];
  readonly stores: readonly string[];
}
