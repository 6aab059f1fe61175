export { ask, type Asked } from './ask';
export { bestFirst, bestLot, lotsForNeed, type BestLot, type LotForNeed } from './lotsForNeed';
export { needsBeyondStock, needsMetBy, openNeeds, type OpenNeed } from './needs';
export { partsOnBoards } from './partsOnBoards';
