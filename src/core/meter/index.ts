export { parseLine } from './parseLine';
export {
  METER_QUANTITIES,
  METER_QUANTITY_NAMES,
  meterFailureText,
  millivoltsText,
  NO_LEADS,
  parseAnswer,
  parseIdentity,
  type MeterFailure,
  type MeterIdentity,
  type MeterQuantity,
  type MeterReading,
} from './protocol';
export { simulateAnswer, storeVoltage, type SimulatedStore } from './simulate';
