export { type MeterAdapter } from './adapter';
export { closeMeters, meterAt } from './meterAt';
