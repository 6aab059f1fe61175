import type { Source } from '../../core/evidence';
import type { Grade } from '../../core/measure';
import type { KindName, RatingName } from '../../core/part';
import type { AppContext } from '../context';
import { bins, donors, lotRatings, lots, partRatings, parts, stockLedger } from '../schema';

/** A lot in one line: ratings as `[value, source, confidence]`. */
export interface LotSketch {
  readonly code: string;
  readonly kind: KindName;
  readonly marking?: string;
  readonly package?: string;
  readonly technology?: string;
  readonly grade?: Grade;
  readonly bin?: string;
  readonly pieces?: number;
  readonly ratings?: Partial<Record<RatingName, readonly [number, Source, number?]>>;
}

export const DONOR_CODE = 'K7F-2QM';

/** Fills a bench with a donor, its parts on the board, and lots that came from it. */
export async function aShop(
  app: AppContext,
  of: { lots: readonly LotSketch[]; onBoard?: readonly Pick<LotSketch, 'code' | 'kind' | 'marking' | 'ratings'>[] },
): Promise<void> {
  await app.db.write(async (tx) => {
    const donorId = app.newKey();
    await tx.insert(donors).values({ id: donorId, code: DONOR_CODE, description: 'adapter', createdMs: app.now() });
    const binIds = new Map<string, string>();
    for (const sketch of of.lots) {
      const bin = sketch.bin ?? 'A1';
      const binId = binIds.get(bin) ?? app.newKey();
      if (!binIds.has(bin)) await tx.insert(bins).values({ id: binId, code: bin, createdMs: app.now() });
      binIds.set(bin, binId);
      const id = app.newKey();
      const { code, kind, marking = '', package: case_ = null, technology = null, grade = null } = sketch;
      await tx
        .insert(lots)
        .values({ id, code, kind, marking, package: case_, technology, grade, binId, donorId, createdMs: app.now() });
      for (const [name, [valueSi, source, confidence]] of ratingsOf(sketch))
        await tx.insert(lotRatings).values({
          id: app.newKey(),
          lotId: id,
          name,
          valueSi,
          source,
          confidence: confidence ?? null,
          recordedMs: app.now(),
        });
      await tx.insert(stockLedger).values({
        id: app.newKey(),
        lotId: id,
        atMs: app.now(),
        onHandDelta: sketch.pieces ?? 1,
        reservedDelta: 0,
        reason: 'counted',
      });
    }
    for (const sketch of of.onBoard ?? []) {
      const id = app.newKey();
      const { code: ref, kind, marking = null } = sketch;
      await tx
        .insert(parts)
        .values({ id, donorId, ref, kind, marking, damage: [], state: 'on-board', createdMs: app.now() });
      for (const [name, [valueSi, source]] of ratingsOf(sketch))
        await tx
          .insert(partRatings)
          .values({ id: app.newKey(), partId: id, name, valueSi, source, recordedMs: app.now() });
    }
  });
}

function ratingsOf({ ratings = {} }: Pick<LotSketch, 'ratings'>) {
  return Object.entries(ratings) as [RatingName, readonly [number, Source, number?]][];
}
