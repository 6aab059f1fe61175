import { and, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { KindName } from '../../core/part';
import type { StationName } from '../../core/station';
import type { Queryable } from '../client';
import { builds, harvestRuns, harvestSteps, lots, needs, stockLedger, workSpells } from '../schema';

/** Minutes at a station, finished stretches only. */
export interface StationMinutes {
  readonly donorId: string;
  readonly station: StationName;
  readonly minutes: number;
}

/** What donors took in time, by station: stretches of work that ended, and the jobs of a harvest. */
export async function minutesByStation(db: Queryable, ids: readonly string[]): Promise<StationMinutes[]> {
  if (ids.length === 0) return [];
  const [spells, jobs] = await Promise.all([
    db
      .select({
        donorId: workSpells.donorId,
        station: workSpells.station,
        minutes: sql<number>`sum(${workSpells.endedMs} - ${workSpells.startedMs}) / 60000.0`.mapWith(Number),
      })
      .from(workSpells)
      .where(and(inArray(workSpells.donorId, [...ids]), isNotNull(workSpells.endedMs), isNull(workSpells.deletedMs)))
      .groupBy(workSpells.donorId, workSpells.station),
    db
      .select({
        donorId: harvestRuns.donorId,
        minutes: sql<number>`sum(${harvestSteps.takenS}) / 60.0`.mapWith(Number),
      })
      .from(harvestSteps)
      .innerJoin(harvestRuns, eq(harvestRuns.id, harvestSteps.runId))
      .where(and(inArray(harvestRuns.donorId, [...ids]), isNull(harvestSteps.deletedMs), isNull(harvestRuns.deletedMs)))
      .groupBy(harvestRuns.donorId),
  ]);
  return [...spells, ...jobs.map((one) => ({ ...one, station: 'harvest' as const }))];
}

/** What came out of donors, and what of it builds took or set aside. */
export interface DonorYield {
  readonly donorId: string;
  readonly lots: number;
  /** Pieces that ever came into the drawers. */
  readonly pieces: number;
  /** Pieces that builds and repairs used, and those that are set aside for one. */
  readonly used: number;
  readonly setAside: number;
  readonly builds: readonly string[];
  /** Pieces used, by kind. */
  readonly usedKinds: readonly { readonly kind: KindName; readonly pieces: number }[];
}

/** Pieces that left the drawers into builds and repairs, less those that came back. */
const usedPieces =
  sql<number>`sum(case when ${stockLedger.reason} = 'used' or (${stockLedger.reason} = 'undone' and ${stockLedger.onHandDelta} > 0) then -${stockLedger.onHandDelta} else 0 end)`.mapWith(
    Number,
  );

/** What donors gave, by donor; those that gave nothing are left out. */
export async function yieldsOf(db: Queryable, ids: readonly string[]): Promise<Map<string, DonorYield>> {
  if (ids.length === 0) return new Map();
  const own = and(inArray(lots.donorId, [...ids]), isNull(lots.deletedMs));
  const [totals, served] = await Promise.all([
    db
      .select({
        donorId: lots.donorId,
        lots: sql<number>`count(distinct ${lots.id})`.mapWith(Number),
        pieces:
          sql<number>`sum(case when ${stockLedger.reason} = 'harvested' then ${stockLedger.onHandDelta} else 0 end)`.mapWith(
            Number,
          ),
        used: usedPieces,
      })
      .from(lots)
      .innerJoin(stockLedger, eq(stockLedger.lotId, lots.id))
      .where(own)
      .groupBy(lots.donorId),
    db
      .selectDistinct({ donorId: lots.donorId, code: builds.code })
      .from(lots)
      .innerJoin(stockLedger, eq(stockLedger.lotId, lots.id))
      .innerJoin(needs, and(eq(needs.id, stockLedger.needId), isNull(needs.deletedMs)))
      .innerJoin(builds, and(eq(builds.id, needs.buildId), isNull(builds.deletedMs)))
      .where(own),
  ]);
  const kinds = await db
    .select({ donorId: lots.donorId, kind: lots.kind, pieces: usedPieces })
    .from(lots)
    .innerJoin(stockLedger, eq(stockLedger.lotId, lots.id))
    .where(own)
    .groupBy(lots.donorId, lots.kind);
  const aside = await db
    .select({ donorId: lots.donorId, pieces: sql<number>`sum(${lots.reserved})`.mapWith(Number) })
    .from(lots)
    .where(own)
    .groupBy(lots.donorId);
  return new Map(
    totals.flatMap((row): readonly [string, DonorYield][] =>
      row.donorId === null
        ? []
        : [
            [
              row.donorId,
              {
                donorId: row.donorId,
                lots: row.lots,
                pieces: row.pieces,
                used: row.used,
                setAside: aside.find(({ donorId }) => donorId === row.donorId)?.pieces ?? 0,
                usedKinds: kinds.filter(({ donorId, pieces }) => donorId === row.donorId && pieces > 0),
                builds: served.filter(({ donorId }) => donorId === row.donorId).map(({ code }) => code),
              },
            ],
          ],
    ),
  );
}
