export { boardOf, type LoggedPart, type ProbedFact } from './boardOf';
export { isSample, SAMPLE_ORIGIN, type Donor } from './donor';
export type { Part } from './part';
export type { BoardFact, FactRelation } from './fact';
