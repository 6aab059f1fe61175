import type { Part } from '../../core/donor';
import { matchLot, type StockFilter } from '../../core/stock';
import type { Queryable } from '../../db/client';
import { searchPartsOnBoards } from '../../db/repositories/parts';
import type { Ratings } from '../../db/repositories/ratings';

/** A part that sits on the board of a donor still. */
export interface PartOnBoard {
  readonly part: Part;
  readonly donorCode: string;
  readonly ratings: Ratings;
}

/** So many times more are looked at where a duty is held against each. */
const MORE = 10;

/** Parts on boards that were not harvested yet and meet a filter at face value; none when nothing of a part is asked. */
export async function partsOnBoards(db: Queryable, filter: StockFilter, limit: number): Promise<PartOnBoard[]> {
  const isAsked = filter.kind !== undefined || filter.demands.length > 0 || filter.words.length > 0;
  if (!isAsked || filter.bin || filter.grades || filter.source) return [];
  if (!filter.duty) return searchPartsOnBoards(db, filter, limit);
  const found = await searchPartsOnBoards(db, filter, MORE * limit);
  return found
    .filter(({ part, ratings }) => matchLot(filter, { ...part, grade: null, ratings }).verdict !== 'no')
    .slice(0, limit);
}
