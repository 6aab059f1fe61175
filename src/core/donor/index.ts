export { boardOf, type LoggedPart, type ProbedFact } from './boardOf';
export { beepsThrough } from './beepsThrough';
export { isSample, SAMPLE_ORIGIN, type Donor } from './donor';
export type { Part } from './part';
export type { BoardFact, FactRelation } from './fact';
export { OUTCOME_NAMES, OUTCOMES, type OutcomeName } from './outcome';
export { closingChecks, type ClosingCheck, type ClosingFacts } from './closing';
export { readDue } from './dueDate';
export { kinship, type Kinship } from './family';
