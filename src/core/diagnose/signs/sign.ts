import type { CauseName } from '../causes';

/** What a person writes of a unit, and how many times likelier each cause makes it than the others do. */
export interface Sign {
  readonly says: RegExp;
  readonly tells: Partial<Record<CauseName, number>>;
}
