export { checkClaims, type ClaimCheck, type PowerBounds } from './checkClaims';
export {
  describeDate,
  isoWeek,
  judgeAge,
  listDateCodes,
  readDateCode,
  type AgeJudgement,
  type DateReading,
} from './dateCodes';
export { type Density, type Size } from './density';
export { describeInput, describeOutput, describePlate } from './describePlate';
export { type NameplateFinding } from './findings';
export { judgeNameplate, outputPower, type NameplateJudgement } from './judgeNameplate';
export { reservoirValley } from './reservoirValley';
export { minimumEfficiency } from './minimumEfficiency';
export { PLATE_RULES, type PlateRule } from './plateRules';
export { parseNameplate } from './parseNameplate';
export {
  supplyOf,
  type EfficiencyLevel,
  type Nameplate,
  type NameplateInput,
  type NameplateOutput,
  type SafetyClass,
} from './plate';
export { DENSITY_RANGES, INLET_NAMES, INLETS, MAINS_LOW, type InletName } from './tradeRanges';
