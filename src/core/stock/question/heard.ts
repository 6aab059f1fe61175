import type { Use } from '../../measure';
import type { Source } from '../../evidence';
import type { Unit } from '../../quantity';
import type { Said, Sense } from './words';

/** A figure of a question before it is known what it is of. */
export interface Figure {
  readonly said: Said | 'between';
  /** As it was typed, without and with what stood before it. */
  readonly text: string;
  readonly token: string;
  /** The name before it: of a rating, or of a quantity. */
  readonly name?: string;
  /** What its unit tells; none for shorthand such as `47u` and for bare numbers. */
  readonly unit?: Unit;
  readonly value: number;
  readonly upper?: number;
  /** How far off a value may be, where it was said, as a share. */
  readonly within?: number;
  /** Bare numbers have neither unit nor prefix. */
  readonly isBare?: boolean;
  /** The voltage was said to be alternating. */
  readonly isAc?: boolean;
}

export type AskedGrade = 'A' | 'B' | 'C' | null;

/** What was heard of a question, word by word. */
export interface Heard {
  senses: Sense[];
  figures: Figure[];
  packages: string[];
  /** Words that markings, cases and codes are searched for. */
  words: string[];
  grades?: readonly AskedGrade[];
  bin?: string;
  donor?: string;
  source?: Source;
  uses: Use[];
  isLike: boolean;
  isStronger: boolean;
  /** Any case for surface mounting. */
  isSurface?: boolean;
  /** Words that say nothing here. */
  unread: string[];
}

/** What stands in the way of reading a question. */
export type QuestionProblem =
  | { readonly kind: 'bad-value'; readonly token: string; readonly expected: string }
  | { readonly kind: 'unknown-rating'; readonly token: string }
  | { readonly kind: 'kind-needed'; readonly token: string; readonly maybe: readonly string[] }
  | { readonly kind: 'no-such-rating'; readonly token: string; readonly says: string }
  | { readonly kind: 'bad-duty'; readonly words: readonly string[] }
  | { readonly kind: 'not-understood'; readonly words: readonly string[]; readonly maybe: readonly string[] };
