export { CORES, matchCore, nearestCore, type Core, type CoreDimensions, type CoreMatch, type NearCore } from './cores';
export {
  couplingOf,
  mutualOf,
  qualityFromFall,
  ratioFromInjection,
  ringFrequency,
  selfCapacitance,
  seriesCoupling,
  type Coupling,
} from './coupling';
export {
  effectivePermeability,
  FLUX,
  fluxSwing,
  gapEnergy,
  gapLength,
  peakFlux,
  ringFactor,
  ringField,
  sineArea,
  squareTurns,
} from './flux';
export {
  estimateTurns,
  findGap,
  goodFor,
  type GapFinding,
  type GoodFor,
  type TransformerFacts,
  type TurnsEstimate,
} from './goodFor';
export { parseOhms, type OhmLineProblem } from './parseOhms';
export { rampInductance, type RampPoint } from './saturation';
export { findWindings, type FoundWinding, type OhmReading, type WindingFinding, type WindingGuess } from './windings';
export {
  copperResistance,
  CURRENT_DENSITY,
  gaugeDiameter,
  gaugeOf,
  skinDepth,
  strandsFor,
  windowFill,
  wireArea,
} from './wire';
