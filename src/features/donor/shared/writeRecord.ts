import type { BenchRecord } from '../../../core/benchline';
import type { StationName } from '../../../core/station';
import type { AppContext } from '../../../db/context';
import { run, type Outcome } from '../../../services/command';
import { identifyRecords, misfitOf } from '../identify/records';
import { intakeRecords } from '../intake/records';
import { safeRecords } from '../safe/records';
import { testRecords } from '../test/records';
import { traceRecords } from '../trace/records';
import { noteRecords } from './noteRecords';
import type { RecordHandler, RecordHandlers } from './recordHandler';

/** Who writes each kind of record down: the station that it belongs to. */
const HANDLERS: RecordHandlers<BenchRecord['kind']> = {
  ...noteRecords,
  ...intakeRecords,
  ...safeRecords,
  ...traceRecords,
  ...identifyRecords,
  ...testRecords,
};

/** Stores one record on a donor. */
export function record(
  app: AppContext,
  of: { code: string; station: StationName },
  entry: BenchRecord,
): Promise<Outcome> {
  const handler = HANDLERS[entry.kind] as RecordHandler<typeof entry.kind>;
  const { station = of.station, onConflict } = handler;
  return run(
    app,
    { scope: 'donor', code: of.code, station, ...(onConflict ? { onConflict: onConflict(entry as never) } : {}) },
    async (edit, donor) => {
      const done = await handler.write(edit, entry as never);
      const misfit = await misfitOf(edit, donor, entry);
      return misfit === undefined ? `${done}.` : `${done}. But does it fit? ${misfit}`;
    },
  );
}
