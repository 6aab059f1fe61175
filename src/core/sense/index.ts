export { SENSE_RULES, type Misfit, type PlacedPart } from './rules';
export { nextFitting, senseCheck } from './senseCheck';
export { unitStress, type UnitStress } from './unit';
