export type { Finding, FindingSeverity } from './finding';
export { chainsFrom, dividedAt, tapsOf } from './dividers';
export { findingsOf } from './findingsOf';
export { levelsOf, type Levels } from './levels';
export { stackedRails } from './railGroups';
export { outputGroups, type OutputGroup } from './outputGroups';
export { voltagesOf, type RailVoltage, type Voltages } from './voltages';
export { FAULT_RULES, FINDING_RULES } from './rules';
