import {
  combineLots,
  compareMatches,
  matchLot,
  yearsBetween,
  type LotCombination,
  type LotMatch,
  type StockFilter,
} from '../../core/stock';
import type { Queryable } from '../../db/client';
import { candidateLots, tightestLots, type LotPage, type LotRow } from '../../db/repositories/lotSearch';

/** A lot that a need could take, and how well it meets it. */
export interface LotForNeed {
  readonly row: LotRow;
  readonly match: LotMatch;
  /** Pieces that nobody has set aside. */
  readonly free: number;
}

/** Lots looked at for one need; a shop with more of a kind narrows the need down. */
const CANDIDATES = 400;
/** Lots of a kind that are put together. */
const COMBINED = 200;
/** Matches that differ by less are as near to what is asked. */
const AS_NEAR = 1e-6;

/** Lots with free pieces that a need could take, best first. */
export async function lotsForNeed(
  db: Queryable,
  filter: StockFilter,
  of: { readonly candidates?: number; readonly now?: number } = {},
): Promise<LotForNeed[]> {
  return rankLots(filter, await candidateLots(db, filter, of.candidates ?? CANDIDATES), of.now);
}

/** Parts of lots that meet a need together, where no lot meets it alone. */
export async function combinationsFor(db: Queryable, filter: StockFilter): Promise<readonly LotCombination[]> {
  // What several come to may meet what none meets: values are left open.
  const rows = await candidateLots(db, { ...filter, demands: [] }, COMBINED);
  return combineLots(
    filter,
    rows.map(({ lot, ratings }) => ({ code: lot.code, facts: { ...lot, ratings }, free: lot.onHand - lot.reserved })),
  );
}

/** The lot that meets a question best, with those that meet it as well. */
export interface BestLot extends LotForNeed {
  readonly asNear: readonly LotForNeed[];
}

/** The lot that meets a question best, which `found` may hold: what fits, then the nearest, so that a strong part is kept. */
export async function bestLot(
  db: Queryable,
  filter: StockFilter,
  found: Pick<LotPage, 'rows' | 'total'>,
): Promise<BestLot | undefined> {
  if (!filter.kind || filter.demands.length === 0) return undefined;
  const further = found.total > found.rows.length ? await tightestLots(db, filter) : [];
  const known = new Map([...found.rows, ...further].map((row) => [row.lot.id, row]));
  const [best, ...others] = rankLots(filter, [...known.values()]);
  return best && { ...best, asNear: others.filter((other) => isAsNear(best.match, other.match)) };
}

const isAsNear = (one: LotMatch, other: LotMatch) =>
  one.verdict === other.verdict && Math.abs(one.distance - other.distance) < AS_NEAR;

/** Lots that meet a question, best first; those that its limits keep from it stand last. */
export const bestFirst = (filter: StockFilter, rows: readonly LotRow[]): LotRow[] =>
  matched(filter, rows).map(({ row }) => row);

const rankLots = (filter: StockFilter, rows: readonly LotRow[], now?: number): LotForNeed[] =>
  matched(filter, rows, now).filter(({ match, free }) => match.verdict !== 'no' && free > 0);

/** @param now by which what lay too long is told */
function matched(filter: StockFilter, rows: readonly LotRow[], now?: number): LotForNeed[] {
  return rows
    .map((row) => ({
      row,
      match: matchLot(filter, {
        ...row.lot,
        ratings: row.ratings,
        ...(now === undefined ? {} : { lainYears: yearsBetween(row.lot.createdMs, now) }),
      }),
      free: row.lot.onHand - row.lot.reserved,
    }))
    .toSorted((a, b) => compareMatches({ ...a.match, ...standing(a) }, { ...b.match, ...standing(b) }));
}

const standing = ({ row: { lot }, free }: Omit<LotForNeed, 'match'>) => ({
  grade: lot.grade,
  createdMs: lot.createdMs,
  pieces: free,
});
