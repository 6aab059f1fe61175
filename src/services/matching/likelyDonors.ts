import { practice } from '../../core/evidence';
import { outputPower } from '../../core/nameplate';
import { matchLot, type StockFilter } from '../../core/stock';
import { UNIT_KINDS, type UnitKindName } from '../../core/unit';
import type { Queryable } from '../../db/client';
import { donorsByOpened, donorTitle } from '../../db/repositories/donors';
import { partsThatMeet } from '../../db/repositories/parts';
import { plateOf } from '../../db/repositories/plate';

/** A donor that nobody opened yet and that likely holds what is sought. */
export interface LikelyDonor {
  readonly code: string;
  readonly title: string;
  /** Opened ones like it, how many of them held such a part, and what that makes of this one: (k + 1)/(n + 2). */
  readonly opened: number;
  readonly held: number;
  readonly odds: number;
}

/** Donors looked through, and parts that meet a need. */
const DONORS = 1000;
const PARTS = 2000;
/** A donor is like another where it is of the same kind and its power within so many times. */
const LIKE = practice(2);

/**
 * Unopened donors that likely hold a part: by how many opened ones of the same kind and about the same power did, as the rule of
 * succession has it. The likeliest first.
 */
export async function likelyDonors(db: Queryable, filter: StockFilter, limit: number): Promise<readonly LikelyDonor[]> {
  if (!filter.kind) return [];
  const donors = await donorsByOpened(db, DONORS);
  if (!donors.some(({ isOpened }) => !isOpened)) return [];
  const meeting = await partsThatMeet(db, filter, { limit: PARTS, isOnBoard: false });
  const holders = new Set(
    meeting
      .filter(({ part, ratings }) => matchLot(filter, { ...part, grade: null, ratings }).verdict !== 'no')
      .map(({ donorCode }) => donorCode),
  );
  if (holders.size === 0) return [];
  const known = donors.map(({ donor, isOpened }) => ({ donor, isOpened, watts: wattsOf(donor) }));
  return known
    .filter(({ isOpened }) => !isOpened)
    .flatMap(({ donor, watts }): readonly LikelyDonor[] => {
      const alike = known.filter((one) => one.isOpened && one.donor.kind === donor.kind && isNear(watts, one.watts));
      const held = alike.filter((one) => holders.has(one.donor.code)).length;
      if (held === 0) return [];
      const opened = alike.length;
      return [
        {
          code: donor.code,
          title: donorTitle(donor) || kindLabel(donor.kind),
          opened,
          held,
          odds: (held + 1) / (opened + 2),
        },
      ];
    })
    .toSorted((a, b) => b.odds - a.odds || b.opened - a.opened || a.code.localeCompare(b.code))
    .slice(0, limit);
}

const kindLabel = (kind: UnitKindName) => UNIT_KINDS[kind].label;

function wattsOf(donor: Parameters<typeof plateOf>[0]): number | undefined {
  const watts = plateOf(donor).outputs.map((output) => outputPower(output));
  return watts.length === 0 || watts.some((one) => one === undefined)
    ? undefined
    : watts.reduce<number>((sum, one) => sum + (one ?? 0), 0);
}

const isNear = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined || (a <= LIKE * b && b <= LIKE * a);
