import { and, eq, inArray, isNull } from 'drizzle-orm';
import { RUN_GAP_SECONDS, type Store, type RecordedReading } from '../../core/safety';
import type { Queryable } from '../client';
import { storeReadings, stores } from '../schema';
import type { Edit } from './journal';

export interface StoreWithReadings {
  readonly store: Store;
  /** In the order they were taken. */
  readonly readings: readonly RecordedReading[];
}

/** The stores of a donor with their readings. */
export async function listStores(db: Queryable, donorId: string): Promise<StoreWithReadings[]> {
  const rows = await db
    .select()
    .from(stores)
    .where(and(eq(stores.donorId, donorId), isNull(stores.deletedMs)))
    .orderBy(stores.id);
  const readings = rows.length
    ? await db
        .select()
        .from(storeReadings)
        .where(
          and(
            inArray(
              storeReadings.storeId,
              rows.map(({ id }) => id),
            ),
            isNull(storeReadings.deletedMs),
          ),
        )
        .orderBy(storeReadings.takenMs, storeReadings.id)
    : [];
  return rows.map((store) => ({ store, readings: readings.filter(({ storeId }) => storeId === store.id) }));
}

/** The store of a donor with a name, upper case. */
export async function findStore(db: Queryable, donorId: string, name: string): Promise<Store | undefined> {
  const [row] = await db
    .select()
    .from(stores)
    .where(and(eq(stores.donorId, donorId), eq(stores.name, name), isNull(stores.deletedMs)));
  return row;
}

/**
 * Adds a reading. Without a time it counts by the clock from the run's first reading. A time before
 * the run's last begins a new run, since a discharge never goes back; so does a long pause, and a bleed tool that was put on
 * or taken off.
 */
export async function addReading(
  edit: Edit,
  store: Store,
  reading: { voltage: number; resolution: number; elapsed?: number | undefined },
): Promise<void> {
  const earlier = await edit.tx
    .select()
    .from(storeReadings)
    .where(and(eq(storeReadings.storeId, store.id), isNull(storeReadings.deletedMs)))
    .orderBy(storeReadings.takenMs, storeReadings.id);
  const last = earlier.at(-1);
  const first = earlier.find(({ run }) => run === last?.run);
  const now = edit.app.now();
  const byClock = first ? first.elapsedS + (now - first.takenMs) / 1000 : 0;
  const elapsed = reading.elapsed ?? Math.round(byClock * 10) / 10;
  const paused = last !== undefined && now - last.takenMs > RUN_GAP_SECONDS * 1000 && reading.elapsed === undefined;
  const isBledAnew = last !== undefined && last.toolOhm !== store.toolOhm;
  const newRun = last !== undefined && (elapsed <= last.elapsedS || paused || isBledAnew);
  await edit.insert('storeReadings', {
    storeId: store.id,
    run: (last?.run ?? 1) + (newRun ? 1 : 0),
    elapsedS: newRun && reading.elapsed === undefined ? 0 : elapsed,
    voltageV: reading.voltage,
    resolutionV: reading.resolution,
    takenMs: now,
    toolOhm: store.toolOhm,
  });
}
