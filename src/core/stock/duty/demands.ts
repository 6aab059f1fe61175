import { VOLTS } from '../../derating';
import type { KindName, RatingName } from '../../part';
import type { Demand } from '../filter';
import type { Duty } from './duty';

/** What a duty asks of a rating at the very least, so that the drawers are searched by it. */
export function dutyDemands(duty: Duty | undefined, kinds: readonly KindName[]): readonly Demand[] {
  const names = [...new Set(kinds.map((kind) => VOLTS[kind]))].filter((name) => name !== undefined);
  const [rating, ...others] = names as RatingName[];
  return duty?.voltage === undefined || rating === undefined
    ? []
    : [{ rating, ...(others.length > 0 ? { others } : {}), comparison: 'above', value: duty.voltage }];
}
