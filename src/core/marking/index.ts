export { bandProblemText, decodeBands, type BandProblem } from './decodeBands';
export { decodeMarking } from './decodeMarking';
export { E24, isPreferred, nearestOf, preferredSeries } from './preferredValues';
export type { MarkingContext, MarkingRule, Decoding } from './decoding';
export { COLOURS } from './resistorColours';
export { RULES as MARKING_RULES } from './rules';
export { tellApart } from './tellApart';
