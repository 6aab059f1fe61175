import { describeRecord } from '../../../core/benchline';
import { unitHistory } from '../../../db/repositories/power';
import { addSoakRow } from '../../../db/repositories/soaks';
import type { RecordHandlers } from '../shared/recordHandler';

/** Rows of a run under load. */
export const intakeRecords: RecordHandlers<'soak'> = {
  soak: {
    station: 'intake',
    async write(edit, record) {
      const isNewRun = await addSoakRow(edit, {
        inputW: record.watts ?? null,
        caseC: record.celsius ?? null,
        outputV: record.volts ?? null,
        loadA: record.load ?? null,
        remark: record.remark,
        elapsed: record.elapsed,
      });
      const { appliedAt, removedAt } = await unitHistory(edit.tx, edit.donorId);
      const isOn = appliedAt !== undefined && (removedAt === undefined || removedAt < appliedAt);
      // A run under load is power applied, whether or not anyone said so.
      const done = `${describeRecord(record)}${isNewRun ? '; a new run begins with it' : ''}`;
      if (isOn) return done;
      await edit.insert('powerEvents', {
        donorId: edit.donorId,
        applied: true,
        atMs: edit.app.now(),
        note: 'soak',
      });
      return `${done}; power is on, so no store counts as dead`;
    },
  },
};
