import { practice } from '../../evidence';
import type { CauseName } from '../causes';
import { COLD_SIDE } from './coldSide';
import { HOT_SIDE } from './hotSide';
import { OTHER_CAUSES } from './otherCauses';
import { PLAIN } from './plain';

/** What people write of units, by what was wrong with them; a person may add to it. */
export const PHRASES: Readonly<Record<CauseName, readonly string[]>> = practice({
  ...HOT_SIDE,
  ...COLD_SIDE,
  ...OTHER_CAUSES,
});
/** What people write that tells nothing of the fault. */
export const PLAIN_PHRASES: readonly string[] = practice(PLAIN);
