import { practice } from '../../evidence';
import { BEFORE } from './before';
import { BEHAVIOUR } from './behaviour';
import { FEEDING } from './feeding';
import { LAMPS } from './lamps';
import { MEASURED } from './measured';
import { PLACES } from './places';
import { SENSES } from './senses';
import { STARTING } from './starting';
import type { Sign } from './sign';

export { KILLED_BEFORE } from './before';

/** All that a person may write of a unit, and what it says of the causes. */
export const SIGNS: readonly Sign[] = practice([
  ...BEFORE,
  ...STARTING,
  ...BEHAVIOUR,
  ...FEEDING,
  ...MEASURED,
  ...PLACES,
  ...SENSES,
  ...LAMPS,
]);
