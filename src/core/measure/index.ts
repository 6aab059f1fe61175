export { esrFromLossFactor, expectedEsr, largestLeakage, type EsrSeries } from './expectedEsr';
export { cautionOf, expectationsOf, idleFields, type Expectations } from './expectations';
export type {
  AccuracyName,
  Grade,
  Judgement,
  Measured,
  MeterAccuracies,
  Reading,
  Readings,
  Reason,
  Verdict,
} from './judgement';
export type { ChipTest, Fingerprint, KnownChip } from './judgeChip';
export { judgePart, type CapacitorBuild, type PartUnderTest } from './judgePart';
export { judgeMeasured } from './judgeMeasured';
export { lifeOf, lifeText } from './lifeCriteria';
export { isUse, limitsFrom, limitText, mergeLimits, USE_NAMES, USES, type Limit, type Use } from './limits';
export { measuredRatings } from './measuredRatings';
export { mergeReadings, type MeasuredSet } from './mergeReadings';
export { LIFE_RULE, remainingLife, usualLife, type LifeFacts, type RemainingLife } from './remainingLife';
export { TEST_RULES } from './testRules';
export { OPEN_WORDS, readingText, testField, testFields, TESTS, type TestField, type TestRule } from './tests';
export { ohmsField, transformerReport, type TransformerReport } from './transformerReport';
export { largestLossFactor } from './expectedEsr';
