export { complete } from './complete';
export { describeRecord } from './describeRecord';
export { GRAMMAR, type GrammarLine } from './grammar';
export { partFromFields, type PartFields } from './partFromFields';
export { benchProblemText } from './problemText';
export {
  ISSUE_STATUSES,
  type BenchContext,
  type BenchProblem,
  type BenchRecord,
  type PartSaying,
  type PinRelation,
  type IssueStatus,
  type TypedRating,
  type Understanding,
} from './record';
export { understand } from './understand';
export type { Note, NoteEvent } from './note';
