import type { BenchContext } from '../../core/benchline';
import type { Queryable } from '../../db/client';
import { listReferences } from '../../db/repositories/parts';
import { listStores, type StoreWithReadings } from '../../db/repositories/stores';
import { listTypeNames } from '../../db/repositories/types';

/** What a bench line may refer to on a donor; with the numbers of all known types when asked. Stores may be at hand already. */
export async function lineContext(
  db: Queryable,
  donorId: string,
  of: { readonly types?: boolean; readonly stores?: Promise<readonly StoreWithReadings[]> } = {},
): Promise<BenchContext> {
  const [parts, stores, types] = await Promise.all([
    listReferences(db, donorId),
    of.stores ?? listStores(db, donorId),
    of.types ? listTypeNames(db) : undefined,
  ]);
  return { parts, stores: stores.map(({ store }) => store.name), ...(types ? { types } : {}) };
}
