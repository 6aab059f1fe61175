export { ask, type Asked } from './ask';
export { bestFirst, bestLot, combinationsFor, lotsForNeed, type BestLot, type LotForNeed } from './lotsForNeed';
export { needsBeyondStock, needsMetBy, openNeeds, type OpenNeed } from './needs';
export { likelyDonors, type LikelyDonor } from './likelyDonors';
export { partsOnBoards } from './partsOnBoards';
