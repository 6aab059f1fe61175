export type { MatchCheck } from './matchCheck';
export {
  caseNames,
  compareMatches,
  matchLot,
  timesOver,
  type LotFacts,
  type LotMatch,
  type Standing,
} from './matchLot';
export { demandedRange, ratingsOf, type AskedKind, type Comparison, type Demand, type StockFilter } from './filter';
export { dutyDemands } from './duty/demands';
export { asNeedQuestion, readDuty, type Duty } from './duty/duty';
export { combineLots, type CombineLot, type LotCombination } from './duty/combineLots';
export { questionProblemText, readQuestion, type QuestionProblem, type ReadQuestion } from './question/readQuestion';
export { demandText, filterText, questionInWords } from './question/say';
export { answerQuestion, standInFor, type Answer, type StockItem } from './question/answer';
export { looseningFor, nearRange, withoutDemand, type Loosening } from './nearMisses';
export { apartInValue, likenessOf, MAIN_VALUES, type Likeness } from './likePieces';
export { measureRatings, type Measure } from './lotColumns';
export { lotTitle } from './lotTitle';
export {
  lotTable,
  readLotEntry,
  readLotTable,
  type LotEntry,
  type ReadLot,
  type ReadSheet,
  type SheetSaid,
} from './lotTable';
export type { SheetColumn } from './sheet/columns';
export { isRole, ROLE_NAMES, type ColumnRole } from './sheet/roles';
export {
  isNeedRole,
  NEED_ROLE_NAMES,
  readNeedTable,
  type NeedColumn,
  type NeedRole,
  type ReadNeed,
  type ReadNeeds,
} from './sheet/needTable';
export { asTypeTable } from './sheet/typeTable';
export { LIE_YEARS, reformAdvice, yearsBefore, yearsBetween } from './ageing';
export { readStockCommand, STOCK_COMMANDS, stockCommandText, type StockCommand } from './stockLine';
export type { Bin, LedgerReason, Lot, SavedFilter } from './lot';
