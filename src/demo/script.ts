import type { StationName } from '../core/station';

/** One thing done at the bench, in the words a person would use. */
export type Step =
  /** A bench line, at the station where it was typed. */
  | { readonly line: string; readonly at?: StationName }
  /** The best reading of a part's marking is taken, or the one of the named rule. */
  | { readonly take: string; readonly rule?: string }
  /** A part goes into a bin. */
  | { readonly harvest: string; readonly bin: string }
  | { readonly done: StationName }
  | { readonly wait: number };

/** A unit and what was done to it. */
export interface DonorScript {
  readonly unit: Readonly<
    Record<
      'description' | 'maker' | 'model' | 'nameplate' | 'origin' | 'symptom' | 'length' | 'width' | 'height' | 'mass',
      string
    >
  >;
  /** When it came to the bench, ISO 8601. */
  readonly arrived: string;
  readonly steps: readonly Step[];
}

/** A build with its needs and what was set aside for it. */
export interface BuildScript {
  readonly title: string;
  readonly note: string;
  readonly needs: readonly {
    readonly role: string;
    readonly filter: string;
    readonly quantity: string;
    /** Marking of the lot that is set aside for it, and whether it is built in already. */
    readonly from?: string;
    readonly builtIn?: boolean;
  }[];
}

/** Bench lines, each a step. */
export function lines(...typed: readonly string[]): Step[] {
  return typed.map((line) => ({ line }));
}
