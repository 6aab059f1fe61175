import type { BenchContext } from '../../core/benchline';
import type { Queryable } from '../../db/client';
import { listReferences } from '../../db/repositories/parts';
import { listStores } from '../../db/repositories/stores';
import { listTypeNames } from '../../db/repositories/types';

/** What a bench line may refer to on a donor; with the numbers of all known types when asked. */
export async function lineContext(
  db: Queryable,
  donorId: string,
  of: { types: boolean } = { types: false },
): Promise<BenchContext> {
  const [parts, stores, types] = await Promise.all([
    listReferences(db, donorId),
    listStores(db, donorId),
    of.types ? listTypeNames(db) : undefined,
  ]);
  return { parts, stores: stores.map(({ store }) => store.name), ...(types ? { types } : {}) };
}
