import type { MountingName } from '../core/harvest';
import type { CheckTest, Symptom } from '../core/diagnose';
import type { OutcomeName } from '../core/donor';
import type { StationName } from '../core/station';
import type { SceneBoard } from '../server/meter';

/** One thing done at the bench, in the words a person would use. */
export type Step =
  /** A bench line, at the station where it was typed. */
  | { readonly line: string; readonly at?: StationName }
  /** The best reading of a part's marking is taken, or the one of the named rule. */
  | { readonly take: string; readonly rule?: string }
  /** A part goes into a bin. */
  | { readonly harvest: string; readonly bin: string }
  /** How a part is held on its board. */
  | {
      readonly mounted: string;
      readonly ways: readonly MountingName[];
      readonly sink?: string;
      readonly behind?: string;
    }
  | { readonly done: StationName }
  /** The clock of the opening runs for so many minutes. */
  | { readonly clock: number }
  /** A step of the opening, as the form takes it. */
  | { readonly opening: Readonly<Record<string, string>> }
  | { readonly together: Readonly<Record<'result' | 'remark', string>> }
  /** The drawn label of the unit is added as a photo. */
  | { readonly label: readonly string[]; readonly caption: string }
  /**
   * The board is photographed from both sides, drawn, with the parts logged so far; the photos are paired, the pins
   * of the parts are placed on the copper side, and numbered pins with notes on parts on the other.
   */
  | { readonly photographed: SceneBoard; readonly notes?: Readonly<Record<string, string>> }
  /** Everything that beeps on a board is probed; or no more than the nets of these pins. */
  | { readonly traced: SceneBoard; readonly only?: readonly string[] }
  /** What the next one of its kind should be told. */
  | { readonly tell: string }
  /** A question with whom it was put to, and by when an answer is expected. */
  | { readonly ask: Readonly<Record<'text' | 'ref' | 'askedOf' | 'due', string>> }
  /** Its work ends. */
  | { readonly close: OutcomeName; readonly note: string }
  | { readonly wait: number };

/** A unit and what was done to it. */
export interface DonorScript {
  readonly unit: Readonly<Record<string, string>>;
  /** When it came to the bench, ISO 8601. */
  readonly arrived: string;
  readonly steps: readonly Step[];
}

/** What was told and checked of a unit that is to run again. */
export interface RepairScript {
  /** Its description. */
  readonly unit: string;
  readonly symptom: Symptom;
  /** ISO 8601. */
  readonly at: string;
  readonly seen: readonly (readonly [ref: string, text: string])[];
  readonly checks: readonly (readonly [ref: string, test: CheckTest, text: string])[];
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
