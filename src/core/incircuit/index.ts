export { readingInPlace, type InPlace, type InPlaceAnswer, type MeterMode } from './inPlace';
export { parallelCapacitors, type ParallelCapacitance } from './parallelCapacitors';
