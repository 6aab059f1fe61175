export { analyse, type Analysis } from './analyse';
export type { Alternative, StageClaim } from './claims';
export type { PowerPath } from './powerPath';
export { recognise, type Recognition } from './recognise';
export { ISOLATED } from './topologies';
export { outputOf } from './match/outputs';
export type { FoundStage } from './match/stage';
export type { Model } from './model';
export type { CapacitorElement, RectifierElement, SwitchElement, Winding } from './model/elements';
export {
  INRUSH_AT_MOST,
  isPolarised,
  isReservoirPart,
  SUPPLY_RESISTOR_AT_MOST,
  TRANSISTOR_TERMINALS,
  twoPins,
} from './model/parts';
export { reachOf } from './model/series';
export { factsOf, powerFactsOf, tracedSoFar, withKnownPins } from './tracing/order';
export { tracedByPerson } from './tracing/person';
export { Random } from './tracing/random';
export { firstStep, unlogged, type FirstStep } from './probe/firstStep';
export { nextProbes, probesFrom, type Probe, type ProbeAdvice } from './probe/nextProbes';
export type { Sweep } from './probe/sweep';
export {
  Calibration,
  hasRightTopologies,
  MOST_PROBES,
  probesAtRandom,
  probesWithAdvice,
  rightWhileTraced,
  TRACED_SHARES,
  type KnownBoard,
} from './tracing/evaluate';
