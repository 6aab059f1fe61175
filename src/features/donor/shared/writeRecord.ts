import type { BenchRecord } from '../../../core/benchline';
import type { StationName } from '../../../core/station';
import type { AppContext } from '../../../db/context';
import { lotFollows } from '../../../services/board';
import { run, type Outcome } from '../../../services/command';
import { identifyRecords, misfitOf } from '../identify/records';
import { harvestRecords } from '../harvest/records';
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
  ...harvestRecords,
};

/** Stores what one line said of a donor: one record or several, as one step. */
export function record(
  app: AppContext,
  of: { code: string; station: StationName },
  entries: readonly BenchRecord[],
): Promise<Outcome> {
  const handled = entries.map((entry) => ({
    entry,
    handler: HANDLERS[entry.kind] as RecordHandler<typeof entry.kind>,
  }));
  const station = handled.findLast(({ handler }) => handler.station !== undefined)?.handler.station ?? of.station;
  const [conflict] = handled.flatMap(({ entry, handler }) => handler.onConflict?.(entry as never) ?? []);
  return run(
    app,
    { scope: 'donor', code: of.code, station, ...(conflict ? { onConflict: conflict } : {}) },
    async (edit, donor) => {
      const sentences: string[] = [];
      const misfits: string[] = [];
      const followed: string[] = [];
      for (const { entry, handler } of handled) {
        sentences.push(await handler.write(edit, entry as never));
        if (entry.kind === 'measurement' || (entry.kind === 'part' && entry.damage.length > 0))
          for (const ref of [entry.ref, ...(entry.kind === 'part' ? (entry.others ?? []) : [])])
            followed.push((await lotFollows(edit, donor, ref)) ?? '');
        const misfit = await misfitOf(edit, donor, entry);
        if (misfit !== undefined) misfits.push(misfit);
      }
      const said = sentences.join('; ');
      const done = `${said.charAt(0).toUpperCase()}${said.slice(1)}${followed.join('')}.`;
      return misfits.length === 0 ? done : `${done} But does it fit? ${misfits.join(' ')}`;
    },
  );
}
