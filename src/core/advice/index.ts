export {
  advise,
  FACTOR_LABEL,
  FACTORS,
  OPTION_LABEL,
  OPTIONS,
  USUAL_WEIGHTS,
  type Advice,
  type Factor,
  type Option,
  type UnitFacts,
  type Weights,
} from './advise';
export { likeDonors, type PastHarvest } from './likeDonors';
