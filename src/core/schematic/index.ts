export { groundPath, supplyPath, wordsOf } from './signs';
export { drawSchematic } from './draw';
export { geometryOf } from './geometry';
export { schematicSvg } from './svg';
export { NO_PLACES } from './types';
export type { NetLabel, PlacedSymbol, Places, Point, Schematic, Shape, Wire } from './types';
