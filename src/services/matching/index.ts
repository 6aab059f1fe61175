export { ask, type Asked } from './ask';
export { bestFirst, bestLot, combinationsFor, lotsForNeed, type BestLot, type LotForNeed } from './lotsForNeed';
export { needsBeyondStock, needsMetBy, openNeeds, type OpenNeed } from './needs';
export { donorOdds, type DonorOdds } from './likelyDonors';
export { partsOnBoards } from './partsOnBoards';
