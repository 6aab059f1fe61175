import { TOPOLOGY_WORDS, type Board } from '../../board';

/** Topologies that a person has fixed, by the part that is the heart of each. */
export const fixedHearts = ({ fixed = [] }: Board): ReadonlyMap<string, string> =>
  new Map(fixed.filter(({ as }) => as in TOPOLOGY_WORDS).map(({ ref, as }) => [ref, as]));
