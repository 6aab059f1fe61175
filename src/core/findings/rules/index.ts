import type { FindingRule } from '../finding';
import { bridgedSlot, confusedGrounds, optocouplerRank } from './across';
import { barrierBreach } from './barrier';
import { noDischargePath } from './discharge';
import { missingFuse } from './fuse';
import { floatingGate } from './gate';
import { reversedBridge, reversedDiode, reversedPolarity } from './polarity';
import { bareInput, emptyFootprints, outputReference, sharedRectifiers, touchCurrent } from './remarks';
import { snubberValue } from './snubber';
import { unprotectedStandby } from './standby';
import { capacitorUnderrated } from './underrated';

/** Rules that the board format names as faults, the worst first. */
const FAULTS: readonly FindingRule[] = [
  barrierBreach,
  missingFuse,
  reversedBridge,
  reversedPolarity,
  reversedDiode,
  capacitorUnderrated,
  floatingGate,
  unprotectedStandby,
  noDischargePath,
  snubberValue,
];

/** Rules beyond those of the board format: dangers by what was traced or noted, then what is neither right nor wrong. */
const REMARKS: readonly FindingRule[] = [
  confusedGrounds,
  bridgedSlot,
  touchCurrent,
  sharedRectifiers,
  bareInput,
  outputReference,
  optocouplerRank,
  emptyFootprints,
];

export const FINDING_RULES: readonly FindingRule[] = [...FAULTS, ...REMARKS];
export const FAULT_RULES: ReadonlySet<string> = new Set(FAULTS.map(({ rule }) => rule));
