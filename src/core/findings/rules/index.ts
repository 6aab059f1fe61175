import type { FindingRule } from '../finding';
import { barrierBreach } from './barrier';
import { noDischargePath } from './discharge';
import { missingFuse } from './fuse';
import { floatingGate } from './gate';
import { reversedBridge, reversedDiode, reversedPolarity } from './polarity';
import { bareInput, emptyFootprints, outputReference, sharedRectifiers, touchCurrent } from './remarks';
import { snubberValue } from './snubber';
import { unprotectedStandby } from './standby';
import { capacitorUnderrated } from './underrated';

/** Every rule, the worst first. */
export const FINDING_RULES: readonly FindingRule[] = [
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
  touchCurrent,
  sharedRectifiers,
  bareInput,
  outputReference,
  emptyFootprints,
];
