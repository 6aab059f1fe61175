import type { Build, Need } from '../../core/build';
import type { KindName } from '../../core/part';
import { matchLot, type LotFacts, type LotMatch, type StockFilter } from '../../core/stock';
import type { Queryable } from '../../db/client';
import { listBuilds } from '../../db/repositories/builds';
import { ask } from './ask';
import { lotsForNeed } from './lotsForNeed';

/** A need of a build that still lacks pieces, in the terms of a question to the drawers. */
export interface OpenNeed {
  readonly build: Build;
  readonly need: Need;
  readonly filter: StockFilter;
  /** Pieces that it still lacks. */
  readonly pieces: number;
}

/** Builds looked through for needs. */
const BUILDS = 100;
/** Lots looked at for each need when only their pieces are counted. */
const COUNTED = 30;

/** Every need that still lacks pieces and names a kind of part, those of the newest build first. */
export async function openNeeds(db: Queryable): Promise<OpenNeed[]> {
  const open = (await listBuilds(db, BUILDS)).flatMap(({ build, needs }) =>
    needs.flatMap(({ need, filled }) =>
      filled < need.quantity ? [{ build, need, pieces: need.quantity - filled }] : [],
    ),
  );
  const asked = await Promise.all(open.map(async (one) => ({ one, asked: await ask(db, one.need.filter) })));
  return asked.flatMap((answer) =>
    answer.asked.ok && answer.asked.filter.kind ? [{ ...answer.one, filter: answer.asked.filter }] : [],
  );
}

/** The needs that a part or lot meets, at least with a limit, each with how well. */
export function needsMetBy(
  needs: readonly OpenNeed[],
  part: LotFacts,
): readonly { readonly open: OpenNeed; readonly match: LotMatch }[] {
  return needs
    .map((open) => ({ open, match: matchLot(open.filter, part) }))
    .filter(({ match }) => match.verdict === 'fits' || match.verdict === 'limit');
}

/** Needs that parts of some kinds could fill, less what lies free in the drawers and fits. */
export async function needsBeyondStock(db: Queryable, kinds: ReadonlySet<KindName>): Promise<OpenNeed[]> {
  const open = (await openNeeds(db)).filter(
    ({ filter }) => filter.kind && filter.kind.kinds.some((kind) => kinds.has(kind)),
  );
  const freeFor = new Map<string, Promise<number>>();
  const countFree = ({ need, filter }: OpenNeed) => {
    const known = freeFor.get(need.filter) ?? fittingPieces(db, filter);
    freeFor.set(need.filter, known);
    return known;
  };
  return Promise.all(
    open.map(async (need) => ({ ...need, pieces: Math.max(0, need.pieces - (await countFree(need))) })),
  );
}

async function fittingPieces(db: Queryable, filter: StockFilter): Promise<number> {
  const lots = await lotsForNeed(db, filter, { candidates: COUNTED });
  return lots.filter(({ match }) => match.verdict === 'fits').reduce((sum, { free }) => sum + free, 0);
}
