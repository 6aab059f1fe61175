export { controlOf, type Control } from './control';
export { searchDesigns, type Design, type DesignResult } from './search';
export { needFor, toBuyFor, whyOf } from './say';
export { simulated, type Simulated } from './simulated';
export type { DesignLot, DesignRole, DesignSpec } from './spec';
