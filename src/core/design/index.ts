export { searchDesigns, type Design, type DesignResult } from './search';
export { toBuyFor, whyOf } from './say';
export type { DesignLot, DesignRole, DesignSpec } from './spec';
