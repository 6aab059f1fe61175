export {
  bankProblemText,
  isAlternating,
  linkVoltages,
  parseBank,
  type BankLink,
  type CapacitorBank,
} from './capacitorBank';
export { CAUTIONS, cautionsFor, type CautionFacts, type UnitCaution } from './cautions';
export { checkBleedPath, type BleedPathCheck } from './checkBleedPath';
export { judgeBleedTool, type BleedReason, type BleedTool, type BleedVerdict } from './judgeBleedTool';
export { bleedThroughLamp, type LampBleed } from './lampBleed';
export { bleedThrough, bleedToolText, largestBleed, RESISTOR_VOLTS, suggestBleed, type BleedPlan } from './bleed';
export { constantPowerLoad, CONVERTER_STOPS_NEAR, timeAtConstantPower } from './converterLoad';
export { largestFilterBleeds } from './filterBleed';
export { dischargeWarningText } from './dischargeWarningText';
export { FARTHEST_EXTRAPOLATION, fitDischarge, type DischargeFit, type DischargeWarning } from './fitDischarge';
export { BANDS, hazardBand, type HazardBand, type HazardSeverity } from './hazardBand';
export {
  CAPACITANCE_UPPER,
  ES1_CAPACITOR_TABLE,
  es1CapacitorLimit,
  limitAt,
  METER_CEILING,
  METER_LIMIT,
  METER_RATING_FROM,
  REBOUND_SHARE,
  REBOUND_WAIT_SECONDS,
  RUN_GAP_SECONDS,
  SOLDER_LIMIT,
  TOUCH_LIMIT_CHOICES,
  TOUCH_LIMIT_DC,
} from './limits';
export {
  HOLD_SOURCE_NAMES,
  HOLD_SOURCES,
  mayHold,
  type Hold,
  STORE_ROLE_NAMES,
  STORE_ROLES,
  storeRole,
  type HoldSource,
  type StoreRole,
} from './mayHold';
export { hasTransformer, liveOutputCaution } from './liveOutput';
export { afterStringShorted, seriesCapacitance, type StringMember } from './seriesString';
export { storedEnergy } from './storedEnergy';
export {
  isPowered,
  storeState,
  upperBound,
  type PowerHistory,
  type StoreReading,
  type StoreState,
  type UnitHistory,
} from './storeState';
export { storesFromParts, type StoreOffer, type StorePart } from './storesFromParts';
export { type TimedReading } from './timedReading';
export { timeToLimit } from './timeToLimit';
export type { RecordedReading, Store } from './store';
