export { complete } from './complete';
export { describeRecord } from './describeRecord';
export { GRAMMAR, type GrammarLine } from './grammar';
export { benchProblemText } from './problemText';
export {
  STANDINGS,
  type BenchContext,
  type BenchProblem,
  type BenchRecord,
  type PartSaying,
  type PinRelation,
  type Standing,
  type TypedRating,
  type Understanding,
} from './record';
export { understand } from './understand';
