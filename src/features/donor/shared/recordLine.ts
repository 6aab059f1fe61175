import { benchProblemText, understand, type BenchContext, type BenchRecord } from '../../../core/benchline';
import type { StationName } from '../../../core/station';
import type { Bench } from '../../../db/context';
import { findDonor, type Donor } from '../../../db/repositories/donors';
import { listReferences } from '../../../db/repositories/parts';
import { listStores } from '../../../db/repositories/stores';
import { listTypeNames } from '../../../db/repositories/types';
import type { FormOutcome } from '../../../ui/form/outcome';
import { editDonor } from '../../../services/command/outcome';
import { doubtOf, stationOf, writeRecord } from './writeRecord';

/** What a bench line may refer to on a donor; with the numbers of all known types when asked. */
export async function benchContext(
  bench: Bench,
  donor: Donor,
  of: { types: boolean } = { types: false },
): Promise<BenchContext> {
  const [parts, stores, types] = await Promise.all([
    listReferences(bench.db.read, donor.id),
    listStores(bench.db.read, donor.id),
    of.types ? listTypeNames(bench.db.read) : undefined,
  ]);
  return { parts, stores: stores.map(({ store }) => store.name), ...(types ? { types } : {}) };
}

/** Reads one bench line and stores what it means, or says which word was not understood. */
export async function recordLine(
  bench: Bench,
  of: { code: string; station: StationName; line: string },
): Promise<FormOutcome> {
  const donor = await findDonor(bench.db.read, of.code);
  if (!donor) return { ok: false, problems: [{ message: `There is no donor ${of.code} any more.` }] };
  const understood = understand(of.line, await benchContext(bench, donor, { types: true }));
  if (!understood.ok) return { ok: false, problems: [{ message: benchProblemText(understood.problem) }] };
  return record(bench, of, understood.record);
}

/** Stores one record on a donor. */
export function record(
  bench: Bench,
  of: { code: string; station: StationName },
  entry: BenchRecord,
): Promise<FormOutcome> {
  return editDonor(
    bench,
    {
      code: of.code,
      station: stationOf(entry, of.station),
      ...(entry.kind === 'store'
        ? { taken: { field: 'name', message: `There is a store ${entry.name} already.` } }
        : {}),
    },
    async (edit, donor) => {
      const says = await writeRecord(edit, entry);
      const doubt = await doubtOf(edit, donor, entry);
      return doubt === undefined ? `${says}.` : `${says}. But does it fit? ${doubt}`;
    },
  );
}
