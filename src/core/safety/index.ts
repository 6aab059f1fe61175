export { bleedThrough, largestBleed, suggestBleed, type BleedPlan } from './bleed';
export { dischargeWarningText } from './dischargeWarningText';
export {
  FARTHEST_EXTRAPOLATION,
  fitDischarge,
  type DischargeFit,
  type DischargeWarning,
  type TimedReading,
} from './fitDischarge';
export { hazardBand, type HazardBand, type HazardSeverity } from './hazardBand';
export {
  CAPACITANCE_UPPER,
  ES1_CAPACITOR_TABLE,
  es1CapacitorLimit,
  METER_LIMIT,
  REBOUND_SHARE,
  REBOUND_WAIT_SECONDS,
  RUN_GAP_SECONDS,
  SOLDER_LIMIT,
  TOUCH_LIMIT_DC,
} from './limits';
export { mayHold, storeRole, type StoreRole } from './mayHold';
export { afterStringShorted, seriesCapacitance, type StringMember } from './seriesString';
export { storedEnergy } from './storedEnergy';
export { storeState, upperBound, type StoreReading, type StoreState } from './storeState';
export { timeToLimit } from './timeToLimit';
