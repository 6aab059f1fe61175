export { compareMatches, matchLot, timesOver, type LotFacts, type LotMatch, type MatchCheck } from './matchLot';
export {
  demandedRange,
  filterProblemText,
  parseFilter,
  type Comparison,
  type Demand,
  type FilterProblem,
  type StockFilter,
} from './parseFilter';
export { demandText, looseningFor, withoutDemand, type Loosening } from './nearMisses';
