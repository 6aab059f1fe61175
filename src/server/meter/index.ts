export { type MeterAdapter } from './adapter';
export { closeMeters, meterAt } from './meterAt';
export * from './sceneBoards';
