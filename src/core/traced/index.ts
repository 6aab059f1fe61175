export { disagreementsOf, strained, type Disagreement } from './disagree';
export { rankSuspects, trialsOf, tryOut, type Suspect, type Trial } from './blame';
export {
  inputOf,
  runBoard,
  type BoardRun,
  type NotRun,
  type PartFigure,
  type RailFigure,
  type StageRun,
} from './runBoard';
export type { KnownValue, KnownValues, TracedUnit, Used, ValueName } from './unit';
