import type { Source } from '../evidence';
import type { Measured } from '../measure';
import type { BlockName, DutyName, FitmentName, KindName, RatingName, TestName } from '../part';
import type { StoreRole } from '../safety';

/** A rating as typed: SI base unit. */
export interface TypedRating {
  readonly name: RatingName;
  readonly value: number;
  readonly source: Source;
}

/** How far a claim has come: made, borne out by something, found wrong, or settled for good. */
export const ISSUE_STATUSES = ['claimed', 'supported', 'superseded', 'settled'] as const;
export type IssueStatus = (typeof ISSUE_STATUSES)[number];

/** How two pins stand to each other: one net, two nets, or a current path through a part between them. */
export type PinRelation = 'joined' | 'separate' | 'through';

/** How a part is held on its heat sink, as a line may say it. */
export type HeldWay = 'screwed' | 'clipped' | 'glued' | 'compound';

/** What a line says of a part, or of every part of a range. */
export interface PartSaying {
  readonly partKind: KindName;
  readonly subtype?: string;
  readonly package?: string;
  readonly marking?: string;
  /** How it is made, where that is not its subtype: a dual rectifier may be a Schottky. */
  readonly technology?: string;
  /** Date code as printed. */
  readonly dateCode?: string;
  readonly block?: BlockName;
  readonly duty?: DutyName;
  readonly fitments: readonly FitmentName[];
  readonly damage: readonly string[];
  readonly ratings: readonly TypedRating[];
  /** Pins of each winding, as they were said of a transformer or a choke. */
  readonly windings?: readonly (readonly string[])[];
}

/** What one bench line means. */
export type BenchRecord =
  | (PartSaying & {
      readonly kind: 'part';
      readonly ref: string;
      /** The other parts of a range that the same is said of. */
      readonly others?: readonly string[];
      /** The part that this one is like. */
      readonly like?: string;
      /** Nobody described it: a pin of it was named, and its letters and pins tell what it must be. */
      readonly isAssumed?: true;
    })
  | { readonly kind: 'value'; readonly ref: string; readonly ratings: readonly TypedRating[] }
  | {
      readonly kind: 'measurement';
      readonly ref: string;
      readonly test: TestName;
      readonly values: Readonly<Record<string, Measured>>;
      readonly inCircuit: boolean;
      /** Name of the meter, when it was told. */
      readonly meter?: string;
    }
  | { readonly kind: 'reading'; readonly store: string; readonly voltage: Measured; readonly elapsed?: number }
  | {
      readonly kind: 'store';
      readonly name: string;
      readonly role?: StoreRole;
      /** The capacitors as typed, when there are several. */
      readonly bank?: string;
      /** Of the whole bank; 0 for a battery, and where it cannot be read. */
      readonly capacitance: number;
      readonly ratedVoltage?: number;
      /** The rating was said in alternating volts. */
      readonly ratedInAc?: true;
      readonly bleed?: number;
    }
  | { readonly kind: 'power'; readonly applied: boolean }
  /** The meter was checked on a known source, before and after. */
  | { readonly kind: 'meter-check' }
  /** A bleed tool is put across a store, or taken off when it has no ohms. */
  | { readonly kind: 'tool'; readonly store: string; readonly ohms?: number }
  | {
      readonly kind: 'soak';
      readonly watts?: number;
      readonly celsius?: number;
      readonly volts?: number;
      readonly load?: number;
      readonly elapsed?: number;
      readonly remark: string;
    }
  | {
      readonly kind: 'note';
      readonly text: string;
      readonly question: boolean;
      /** The part it is about. */
      readonly ref?: string;
    }
  | { readonly kind: 'claim'; readonly text: string; readonly ref?: string }
  | { readonly kind: 'status'; readonly ref: string; readonly status: IssueStatus; readonly because: string }
  | {
      readonly kind: 'join';
      readonly relation: PinRelation;
      /** Two pins or more, such as `Q1.D`: each joined to the next, or every two of them separate. */
      readonly pins: readonly string[];
      /** What the meter read between them, in ohm. */
      readonly ohms?: number;
      /** What it read in diode mode, in volt. */
      readonly drop?: number;
    }
  /** Parts that sit on a heat sink, and how they are held there. */
  | {
      readonly kind: 'mount';
      readonly refs: readonly string[];
      readonly sink: string;
      readonly ways: readonly HeldWay[];
    }
  | { readonly kind: 'sweep'; readonly pin: string }
  /** What a person takes a part for: a topology it is the anchor of, or a role. */
  | { readonly kind: 'fix'; readonly ref: string; readonly as: string }
  | { readonly kind: 'delete'; readonly ref: string }
  | { readonly kind: 'rename'; readonly ref: string; readonly to: string };

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
  | { readonly kind: 'negative-time'; readonly word: string }
  | { readonly kind: 'bad-range'; readonly word: string; readonly why: string }
  | { readonly kind: 'nothing-to-copy'; readonly word: string }
  | { readonly kind: 'taken'; readonly ref: string }
  | { readonly kind: 'no-pin'; readonly word: string; readonly ref: string; readonly pins: readonly string[] }
  | { readonly kind: 'same-pin'; readonly word: string }
  | { readonly kind: 'ac-range'; readonly word: string }
  | { readonly kind: 'millivolt-range'; readonly word: string }
  /** Said so that two things may be meant, or one is missing: it is asked, nothing is guessed. */
  | {
      readonly kind: 'unclear';
      readonly word: string;
      readonly question: string;
      /** Lines that may have been meant. */
      readonly maybe: readonly string[];
    };

/** A word that was read as another one. */
export interface Correction {
  readonly typed: string;
  readonly read: string;
}

export type Understanding =
  | {
      readonly ok: true;
      readonly records: readonly BenchRecord[];
      /** The records in plain words. */
      readonly message: string;
      readonly corrected: readonly Correction[];
      /** Words that could not be placed; they are kept as a note on the part. */
      readonly unplaced: readonly string[];
      /** What numbers on parts stand for, a sentence each. */
      readonly decodes: readonly string[];
      /** What it would change of parts that are logged already, a sentence each. */
      readonly changes: readonly string[];
    }
  | {
      readonly ok: false;
      readonly problem: BenchProblem;
      /** Where in the line the word stands that was not understood, counted from 0. */
      readonly at?: { readonly start: number; readonly end: number };
      /** Up to three lines that may have been meant. */
      readonly maybe: readonly string[];
      /** What was sure, and may be recorded while the rest is asked. */
      readonly kept: readonly BenchRecord[];
    };

/** A part that is logged, as far as a line may depend on it. */
export interface ContextPart {
  /** Upper case. */
  readonly ref: string;
  readonly kind: KindName;
  readonly subtype?: string;
  readonly package?: string;
  readonly marking?: string;
  readonly ratings?: Readonly<Partial<Record<RatingName, number>>>;
  /** Names of its pins to which something is joined. */
  readonly joined?: readonly string[];
}

/** What the line may refer to on this donor. */
export interface BenchContext {
  /** In the order in which they were logged, the latest last. */
  readonly parts: readonly ContextPart[];
  readonly stores: readonly string[];
  /** Numbers of the types that the shop knows, upper case, sorted. */
  readonly types?: readonly string[] | undefined;
  /** Words that the shop has for what the line knows. */
  readonly ownWords?: readonly { readonly word: string; readonly means: string }[] | undefined;
}

/** The pairs of pins that a record states: each joined to the next; kept apart, every two of them. */
export function joinedPairs({
  relation,
  pins,
}: Pick<Extract<BenchRecord, { kind: 'join' }>, 'relation' | 'pins'>): (readonly [string, string])[] {
  if (relation !== 'separate') return pins.slice(1).map((pin, index) => [pins[index] ?? '', pin] as const);
  return pins.flatMap((pin, index) => pins.slice(index + 1).map((other) => [pin, other] as const));
}

/** Pins of a part that are the ends of one winding, as they were said: a reading between them goes through it. */
export function windingPairs({
  ref,
  windings = [],
}: Extract<BenchRecord, { kind: 'part' }>): (readonly [string, string])[] {
  return windings.flatMap((pins) =>
    pins.slice(1).map((pin, index) => [`${ref}.${pins[index] ?? ''}`, `${ref}.${pin}`] as const),
  );
}
