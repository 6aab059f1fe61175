import { DONORS_DONE } from './donorsDone';
import { DONORS_IN_HAND } from './donorsInHand';
import type { DonorScript } from './script';

/** The units of Skerry Barn, a shared tool room on an invented island. Makers and models are invented. */
export const DONORS: readonly DonorScript[] = [...DONORS_DONE, ...DONORS_IN_HAND];
