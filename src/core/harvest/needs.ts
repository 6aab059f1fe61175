import { compareMatches, matchLot, type LotFacts, type StockFilter } from '../stock';

/** What a build still lacks, beyond what is set aside for it or lies free in the drawers. */
export interface OpenNeed {
  readonly title: string;
  readonly filter: StockFilter;
  readonly pieces: number;
}

/** A need that a part would fill. */
export interface FilledNeed {
  readonly title: string;
  readonly verdict: 'fits' | 'limit';
}

/**
 * Which open need each part would fill. Of the parts that meet a need the best are taken, as many as it lacks and each
 * for one need only, so that a build in want of one transistor does not make six worth the taking.
 * @param parts that may be taken, by reference
 */
export function allotNeeds(
  parts: readonly (LotFacts & { readonly ref: string })[],
  needs: readonly OpenNeed[],
): ReadonlyMap<string, FilledNeed> {
  const allotted = new Map<string, FilledNeed>();
  for (const { title, filter, pieces } of needs)
    parts
      .filter(({ ref }) => !allotted.has(ref))
      .map((part) => ({ ref: part.ref, match: matchLot(filter, part) }))
      .filter(({ match }) => match.verdict === 'fits' || match.verdict === 'limit')
      .sort((a, b) => compareMatches(a.match, b.match))
      .slice(0, pieces)
      .forEach(({ ref, match }) => allotted.set(ref, { title, verdict: match.verdict === 'fits' ? 'fits' : 'limit' }));
  return allotted;
}
