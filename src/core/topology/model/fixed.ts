import { TOPOLOGY_WORDS, type Board } from '../../board';

/** Topologies that a person has fixed, by the part that is the anchor of each. */
export const fixedAnchors = ({ fixed = [] }: Board): ReadonlyMap<string, string> =>
  new Map(fixed.filter(({ as }) => as in TOPOLOGY_WORDS).map(({ ref, as }) => [ref, as]));
