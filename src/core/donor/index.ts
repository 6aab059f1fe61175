export { boardOf, type LoggedPart, type ProbedFact } from './boardOf';
export type { Donor } from './donor';
export type { Part } from './part';
export type { BoardFact } from './fact';
