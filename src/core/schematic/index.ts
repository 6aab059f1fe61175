export { groundPath } from './ground';
export { drawSchematic } from './draw';
export { geometryOf } from './geometry';
export { schematicSvg } from './svg';
export type { NetLabel, PlacedSymbol, Places, Point, Schematic, Shape, Wire } from './types';
