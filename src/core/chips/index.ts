export { chipByMarking, CHIP_FAMILIES, chipFamily, regulatorFamily } from './catalogue';
export { CHIP_ROLES, pinsIn, type ChipFamily, type ChipPin, type ChipRole } from './chip';
export { chipFacts, oscillatorFrequency, type ChipFact } from './chipFacts';
export { guessFamilies, type FamilyGuess, type UnknownChip } from './guessFamilies';
export { outlineOf, type LegPlace, type Outline } from './outline';
export { shuntReferenceVolts } from './shuntReference';
export { PIN_FUNCTIONS, type PinFunction, type PinRule } from './pinFunctions';
