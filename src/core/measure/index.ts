export { ESR_SERIES, esrFromLossFactor, expectedEsr, largestLossFactor, type EsrSeries } from './expectedEsr';
export { judgeCapacitor, type CapacitorTest } from './judgeCapacitor';
export type { Grade, Judgement, Measured, Reason, Verdict } from './judgement';
export { judgePart, type PartUnderTest } from './judgePart';
export { judgeResistor } from './judgeResistor';
export { judgeDiode, judgeMosfet } from './judgeSemiconductor';
export { OPEN_WORDS, TESTS, type TestField, type TestRule } from './tests';
