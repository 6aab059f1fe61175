export { rankSuspects, trialsOf, tryOut, type Suspect, type Trial } from './blame';
export { disagreementsOf, strained, type Disagreement } from './disagree';
export { inputOf } from './plan';
export { runBoard, type BoardRun, type StageRun } from './runBoard';
export type { KnownValue, KnownValues, TracedUnit, Used } from './unit';
