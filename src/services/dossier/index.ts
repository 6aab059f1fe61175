export { donorLines, type DonorLine, type DonorLines } from './donorLines';
export { lineContext } from './lineContext';
export { liveBadge, notDeadMessage } from './notDead';
export { toPartFacts } from './partFacts';
