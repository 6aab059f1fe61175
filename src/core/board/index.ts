export { BOARD_KINDS, DUAL_DIODE_PINS, isBoardKind, type BoardKind } from './kinds';
export { FIXED_ROLES, fixableAs, fixedWords, TOPOLOGY_WORDS, type FixedPart } from './fixed';
export { contradictions, splitPin, type Observation } from './contradiction';
export { fromSpice, toSpice, type Converted, type NetlistProblem } from './netlist';
export { findingOfReading, type PinFinding, type PinReading } from './reading';
export { withNetNames } from './named';
export { DisjointSets, netsOf, pinName, type NetPin, type Nets, type Relation } from './nets';
export { barrierOf, type Barrier } from './breach';
export { conductingGroups, inletPins, isInlet, islandsOf, sidesOf, type Islands } from './sides';
export {
  BOARD_FORMAT,
  type Board,
  type BoardNameplate,
  type BoardPart,
  type PartValue,
  type PinPair,
  type ThroughReading,
} from './types';
