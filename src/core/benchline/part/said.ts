import type { Source } from '../../evidence';
import type { BlockName, DutyName, FitmentName, KindName, RatingName } from '../../part';
import type { Unit } from '../../quantity';
import { kindsOfReference } from '../references';
import type { BenchProblem, Correction, TypedRating } from '../record';
import type { Token } from '../tokens';
import type { Meaning } from '../vocabulary';

/** What the words of a line say of a part. */
export interface Said {
  subtype?: string;
  package?: string;
  marking?: string;
  technology?: string;
  dateCode?: string;
  block?: BlockName;
  duty?: DutyName;
  fitments: FitmentName[];
  damage: string[];
  ratings: TypedRating[];
  windings?: readonly (readonly string[])[];
}

/** A part as it was read, with what could not be placed. */
export interface ReadPart {
  readonly partKind: KindName;
  readonly said: Said;
  /** Whether the words name the kind or describe the part, rather than only give values. */
  readonly describes: boolean;
  readonly placed: number;
  readonly unplaced: readonly Token[];
  readonly corrected: readonly Correction[];
}

/** What must be asked before anything is sure, with what may be kept meanwhile. */
export interface Question {
  readonly problem: BenchProblem;
  readonly kept?: Said & { readonly partKind?: KindName };
}

/** A small m as the point means milliohms, a large one megohms: 5m0 is no 5 MΩ. */
export const MILLIOHMS = /^\d{1,3}m\d{0,2}$/;

/** Shorthand without a unit, such as 4k7 or 82u, is read as the main value of these kinds. */
export const MAIN_VALUE: Partial<Record<KindName, RatingName>> = {
  resistor: 'resistance',
  potentiometer: 'resistance',
  capacitor: 'capacitance',
  inductor: 'inductance',
  'common-mode-choke': 'inductance',
  transformer: 'inductance',
  thermistor: 'r25',
  fuse: 'current',
};

type KindMeaning = Extract<Meaning, { as: 'kind' }>;

/** Words sorted by what they may be, before the kind of the part is known. */
export interface Sorted {
  readonly kinds: { meaning: KindMeaning; token: Token; placedBy: Token | undefined; isFirst: boolean }[];
  readonly values: {
    token: Token;
    unit: Unit;
    value: number;
    ambiguous: boolean;
    /** It stands in the marking, which is kept as a whole. */
    isPrint?: true;
  }[];
  /** Runs of text that may be the number or the value of a part. */
  readonly codes: Token[];
  readonly pairs: { name: Token; value: Token }[];
  readonly said: Said;
  readonly unplaced: Token[];
  readonly corrected: Correction[];
  marked: string;
  poly: Token | undefined;
  classes: string[];
  readonly windings: string[][];
  source: Source | undefined;
  describes: number;
  isChip: boolean;
  /** Legs or pins that were counted. */
  legs: number | undefined;
  speed: string;
}

export const mayHaveClass = (ref: string, kind: KindName | undefined, { kinds }: Sorted) =>
  (kind ?? kindsOfReference(ref)[0]?.[0]) === 'capacitor' || kinds.some(({ meaning }) => meaning.kind === 'capacitor');

export function addPrinted(printed: readonly (readonly [RatingName, number])[], sorted: Sorted): void {
  for (const [name, value] of printed)
    if (!sorted.said.ratings.some((rating) => rating.name === name))
      sorted.said.ratings.push({ name, value, source: 'decoded' });
}

/** A marking in capitals, unless a small m in it means milliohms. */
export const markingAsTyped = (marking: string) =>
  MILLIOHMS.test(marking) ? marking : marking.replace(/[^µμ]+/g, (run) => run.toUpperCase());
