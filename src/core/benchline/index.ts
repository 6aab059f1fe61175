export { changesOf } from './changes';
export { complete } from './complete';
export { describeRecord } from './describeRecord';
export { GRAMMAR, type GrammarLine } from './grammar';
export { countSlips, offeredWords, ownWordProblem, type OwnWord, type Slip } from './ownWords';
export { partFromFields, type PartFields } from './partFromFields';
export { subtypeFrom } from './part/kindOf';
export { benchProblemText } from './problemText';
export {
  ISSUE_STATUSES,
  joinedPairs,
  windingPairs,
  type BenchContext,
  type BenchProblem,
  type BenchRecord,
  type ContextPart,
  type Correction,
  type PartSaying,
  type PinRelation,
  type IssueStatus,
  type TypedRating,
  type Understanding,
} from './record';
export { logged, understand } from './line/understand';
export type { Note, NoteEvent } from './note';
export { typingErrors } from './mend';
export { written } from './spoken';
export { tokensOf } from './tokens';
export { valueOf } from './values';
export { keyOf, LONGEST_PHRASE, meaningsOf, SPELLINGS } from './vocabulary';
