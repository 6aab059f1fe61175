export {
  ESR_SERIES,
  esrFromLossFactor,
  expectedEsr,
  largestLeakage,
  largestLossFactor,
  type EsrSeries,
} from './expectedEsr';
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
export { ringQuality } from './judgeChoke';
export type { ChipTest, Fingerprint, KnownChip } from './judgeChip';
export { thermalResistance } from './judgeMechanical';
export { onResistance } from './judgeMosfet';
export { capacitorBuild, judgePart, type CapacitorBuild, type PartUnderTest } from './judgePart';
export { lifeOf, lifeText } from './lifeCriteria';
export { isUse, limitsFrom, limitText, mergeLimits, USE_NAMES, USES, type Limit, type Use } from './limits';
export { mergeReadings, type MeasuredSet } from './mergeReadings';
export { remainingLife, usualLife, type LifeFacts, type RemainingLife } from './remainingLife';
export { OPEN_WORDS, testField, testFields, TESTS, type TestField, type TestRule } from './tests';
export { ohmReadings, ohmsField, transformerReport, type TransformerReport } from './transformerReport';
