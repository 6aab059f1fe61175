import { describeRecord } from '../../../core/benchline';
import { addMeasurement } from '../../../db/repositories/parts';
import { knownPart } from '../shared/knownPart';
import type { RecordHandlers } from '../shared/recordHandler';

/** Measurements of parts. */
export const testRecords: RecordHandlers<'measurement'> = {
  measurement: {
    station: 'test',
    async write(edit, record) {
      await addMeasurement(edit, (await knownPart(edit, record.ref)).id, record);
      return describeRecord(record);
    },
  },
};
