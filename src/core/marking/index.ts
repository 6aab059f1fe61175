export { bandProblemText, decodeBands, type BandProblem } from './decodeBands';
export { decodeMarking } from './decodeMarking';
export { E24, preferredSeries } from './preferredValues';
export type { MarkingContext, Reading } from './reading';
export { COLOURS } from './resistorColours';
