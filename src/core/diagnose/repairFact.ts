import type { CheckTest } from './words';

/** What is told, checked or done when a unit is repaired. */
export interface RepairFact {
  readonly id: string;
  readonly kind: 'complaint' | 'seen' | 'check' | 'fitted';
  /** The part it is about; empty for the whole unit. */
  readonly ref: string;
  readonly test: CheckTest | '';
  /** In words, or the reading of a check; of a complaint its name. */
  readonly text: string;
  /** How a check came out, where that was said by a key. */
  readonly outcome: 'good' | 'bad' | 'unclear' | '';
  readonly createdMs: number;
}
