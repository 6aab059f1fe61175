import type { Donor } from '../../core/donor';
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

/** Unopened donors that likely hold what a filter asks, the likeliest first. */
export type DonorOdds = (filter: StockFilter, limit: number) => Promise<readonly LikelyDonor[]>;

/**
 * Odds of unopened donors: by how many opened ones of the same kind and about the same power held such a part, as the rule of
 * succession has it. The donors are read once, and the plates of those that count, however many needs are asked.
 */
export function donorOdds(db: Queryable): DonorOdds {
  let read: ReturnType<typeof donorsByOpened> | undefined;
  const watts = new Map<string, number | undefined>();
  const wattsOnce = (donor: Donor) => {
    if (!watts.has(donor.id)) watts.set(donor.id, wattsOf(donor));
    return watts.get(donor.id);
  };
  return async (filter, limit) => {
    if (!filter.kind) return [];
    const donors = await (read ??= donorsByOpened(db, DONORS));
    const unopened = donors.filter(({ isOpened }) => !isOpened);
    if (unopened.length === 0) return [];
    const meeting = await partsThatMeet(db, filter, { limit: PARTS, isOnBoard: false });
    const holders = new Set(
      meeting
        .filter(({ part, ratings }) => matchLot(filter, { ...part, grade: null, ratings }).verdict !== 'no')
        .map(({ donorCode }) => donorCode),
    );
    const kinds = new Set(donors.flatMap(({ donor }) => (holders.has(donor.code) ? [donor.kind] : [])));
    const opened = donors.filter(({ isOpened, donor }) => isOpened && kinds.has(donor.kind));
    return unopened
      .filter(({ donor }) => kinds.has(donor.kind))
      .flatMap(({ donor }): readonly LikelyDonor[] => {
        const alike = opened.filter(
          (one) => one.donor.kind === donor.kind && isNear(wattsOnce(donor), wattsOnce(one.donor)),
        );
        const held = alike.filter((one) => holders.has(one.donor.code)).length;
        return held === 0
          ? []
          : [
              {
                code: donor.code,
                title: donorTitle(donor) || kindLabel(donor.kind),
                opened: alike.length,
                held,
                odds: (held + 1) / (alike.length + 2),
              },
            ];
      })
      .toSorted((a, b) => b.odds - a.odds || b.opened - a.opened || a.code.localeCompare(b.code))
      .slice(0, limit);
  };
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
