export { donorLines, stagesOf, type DonorLine, type DonorLines, type Stage } from './donorLines';
export { oncePerDossier, openDossier, type Dossier } from './dossier';
export { lineContext } from './lineContext';
export { liveBadge, notDeadMessage } from './notDead';
export { toPartFacts } from './partFacts';
export { holdOf, linksOf, unitRecord, type UnitRecord, type VoltageFacts } from './unitFacts';
