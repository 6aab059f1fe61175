export type { MatchCheck } from './matchCheck';
export { compareMatches, matchLot, timesOver, type LotFacts, type LotMatch } from './matchLot';
export {
  demandedRange,
  filterProblemText,
  parseFilter,
  type Comparison,
  type Demand,
  type FilterProblem,
  type StockFilter,
} from './parseFilter';
export { demandText, filterText, looseningFor, nearRange, withoutDemand, type Loosening } from './nearMisses';
export { apartInValue, likenessOf, MAIN_VALUES, type Likeness } from './likePieces';
export { measureRatings, type Measure } from './lotColumns';
export { lotTitle } from './lotTitle';
export { lotTable, readLotEntry, readLotTable, type LotEntry, type ReadLot } from './lotTable';
export { LIE_YEARS, reformAdvice, yearsBefore, yearsBetween } from './ageing';
export { readStockCommand, STOCK_COMMANDS, stockCommandText, type StockCommand } from './stockLine';
export type { Bin, LedgerReason, Lot, SavedFilter } from './lot';
