import type { BoardPart } from '../board';
import type { Recognition } from '../topology';
import type { Levels } from './levels';
import type { Voltages } from './voltages';

export type FindingSeverity = 'danger' | 'warn' | 'note';

export interface Finding {
  readonly rule: string;
  readonly severity: FindingSeverity;
  /** References, sorted. */
  readonly parts: readonly string[];
  /** What is wrong, for a hobbyist. */
  readonly message: string;
  /** What to do about it. */
  readonly advice: string;
}

/** All a rule may look at. */
export interface Evidence extends Recognition {
  readonly levels: Levels;
  readonly voltages: Voltages;
}

export interface FindingRule {
  readonly rule: string;
  readonly severity: FindingSeverity;
  /** What the rule rests on. */
  readonly source: string;
  check(evidence: Evidence): readonly FoundFault[];
}

export interface FoundFault {
  readonly parts: readonly BoardPart[];
  readonly message: string;
  readonly advice: string;
  readonly severity?: FindingSeverity;
}
