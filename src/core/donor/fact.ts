import type { PinRelation } from '../benchline';

/** What is written down of two pins: what a meter said, that a net was swept, what a part is taken for, and pins of which nobody could tell. */
export type FactRelation = PinRelation | 'swept' | 'fixed' | 'unsure';

/** What a meter said between two pins of a board; a swept net names one pin only. */
export interface BoardFact {
  readonly id: string;
  readonly donorId: string;
  readonly relation: FactRelation;
  /** Pins by reference and name, such as `Q1.D`; of what a person has fixed the part and what it is taken for. */
  readonly a: string;
  readonly b: string;
  readonly ohms: number | null;
  readonly dropV: number | null;
  readonly createdMs: number;
}
