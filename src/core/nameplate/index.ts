export { describeOutput, describePlate } from './describePlate';
export {
  judgeNameplate,
  outputPower,
  type NameplateFinding,
  type NameplateJudgement,
  type Size,
} from './judgeNameplate';
export { minimumEfficiency } from './minimumEfficiency';
export {
  parseNameplate,
  type EfficiencyLevel,
  type Nameplate,
  type NameplateInput,
  type NameplateOutput,
} from './parseNameplate';
export { DENSITY_RANGES, MAINS_HIGH } from './tradeRanges';
