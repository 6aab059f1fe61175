export { complete } from './complete';
export { describeRecord } from './describeRecord';
export { benchProblemText } from './problemText';
export type { BenchContext, BenchProblem, BenchRecord, TypedRating, Understanding } from './record';
export { understand } from './understand';
