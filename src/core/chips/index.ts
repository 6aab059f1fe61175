export { CHIP_FAMILIES, chipFamily, regulatorFamily } from './catalogue';
export { CHIP_ROLES, type ChipFamily, type ChipPin, type ChipRole } from './chip';
export { PIN_FUNCTIONS, type PinFunction, type PinRule } from './pinFunctions';
