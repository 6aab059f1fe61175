import type { BlockName, KindName, RatingName } from '../part';

/** Ratings that are numbers, in SI base units. */
export type ReadRatings = Partial<Record<RatingName, number>>;

/** A part of the text that is no part number: set apart, not thrown away. */
export interface SetApart {
  readonly text: string;
  readonly as: 'date code' | 'maker or lot';
}

/** One way to read a marking. */
export interface Decoding {
  readonly kind: KindName;
  /** 0 to 1; the readings of one marking add up to at most 1. */
  readonly confidence: number;
  /** Name of the rule that gave it. */
  readonly rule: string;
  /** SI base units. */
  readonly ratings: ReadRatings;
  /** Facts that are no numbers, such as `technology: schottky`. */
  readonly facts?: Readonly<Record<string, string>>;
  /** One sentence that lets a person check the reading. */
  readonly why: string;
  /** The number that was read, without what was set apart; as typed where print is worn. */
  readonly number: string;
  /** The text that was read, when characters had to be filled in or changed for it. */
  readonly readAs?: string;
  /** Decoded by a stated rule, or remembered: a number remembered. */
  readonly source: 'decoded' | 'remembered';
  /** What else stood in the text. */
  readonly apart?: readonly SetApart[];
}

/** What is known of a part beside its marking. */
export interface MarkingContext {
  readonly kind?: KindName | undefined;
  /** Usual name of the case, such as TO-220. */
  readonly package?: string | undefined;
  /** Where on the board it sits. */
  readonly place?: BlockName | undefined;
  /** The print is whole: no character was worn off or taken for another. */
  readonly isClean?: true;
}

/** What a rule makes of a marking, before it is weighed against other readings. */
export interface Draft {
  readonly kind: KindName;
  readonly ratings: ReadRatings;
  readonly facts?: Readonly<Record<string, string>>;
  readonly why: string;
  /** Share of the rule's prior that this draft gets; 1 unless given. */
  readonly share?: number;
}

/** A rule of the trade that reads markings. */
export interface MarkingRule {
  readonly name: string;
  /** Matches the whole text: upper case, trimmed. */
  readonly pattern: RegExp;
  /** What it yields, in words. */
  readonly yields: string;
  /** How often the rule is right when its pattern fits a part of its kind, 0 to 1. */
  readonly prior: number;
  /** The same when nothing says what kind of part it is; the prior unless given. */
  readonly alone?: number;
  readonly source: string;
  /** Marking that shows the rule at work. */
  readonly example: string;
  /** Reads the text with its blanks; without, blanks are taken out. */
  readonly spaced?: true;
  /** Reads the text as typed, where the case of a letter carries meaning. */
  readonly keepCase?: true;
  read(match: RegExpExecArray, context: MarkingContext): Draft | readonly Draft[] | undefined;
}

/** Multi-source datasheets. */
export const DATASHEETS = 'multi-source datasheets, from memory';
