import { practice } from '../../evidence';
import { BEFORE } from './before';
import { BEHAVIOUR } from './behaviour';
import { MEASURED } from './measured';
import { SENSES } from './senses';
import type { Sign } from './sign';

export { KILLED_BEFORE } from './before';

/** All that a person may write of a unit, and what it says of the causes. */
export const SIGNS: readonly Sign[] = practice([...BEFORE, ...BEHAVIOUR, ...MEASURED, ...SENSES]);
