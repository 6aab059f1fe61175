export { controlOf, type Control } from './control';
export { searchDesigns, type Design, type DesignResult } from './search';
export { needFor, toBuyFor, whyOf } from './say';
export { circuitOf, refsOf, runDesign, type DesignRun } from './run';
export { loopOf, type Loop } from './loop';
export { designFrom, recordOf, type DesignRecord } from './record';
export { firstPowerOf, type BuiltStep } from './firstPower';
export { mostOf, type Most } from './most';
export { DESIGNED, isPaired, rolesOf, type DesignLot, type DesignRole, type DesignSpec } from './spec';
