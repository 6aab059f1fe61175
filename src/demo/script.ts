import type { Match } from '../core/photo';
import type { StationName } from '../core/station';
import type { PictureName } from './pictures';

/** One thing done at the bench, in the words a person would use. */
export type Step =
  /** A bench line, at the station where it was typed. */
  | { readonly line: string; readonly at?: StationName }
  /** The best reading of a part's marking is taken, or the one of the named rule. */
  | { readonly take: string; readonly rule?: string }
  /** A part goes into a bin. */
  | { readonly harvest: string; readonly bin: string }
  | { readonly done: StationName }
  /** The clock of the opening runs for so many minutes. */
  | { readonly clock: number }
  /** A step of the opening, as the form takes it. */
  | { readonly opening: Readonly<Record<string, string>> }
  | { readonly together: Readonly<Record<'result' | 'remark', string>> }
  /** A drawn picture is added as a photo; pins stand at shares of its width and height. */
  | {
      readonly photo: PictureName;
      readonly caption: string;
      readonly side: 'front' | 'back' | 'inside' | 'label';
      readonly at: StationName;
      readonly pins?: readonly (readonly [x: number, y: number, note: string])[];
    }
  /** The two photos that were added last are the front and the back of one board. */
  | { readonly pair: readonly Match[] }
  | { readonly wait: number };

/** A unit and what was done to it. */
export interface DonorScript {
  readonly unit: Readonly<Record<string, string>>;
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
