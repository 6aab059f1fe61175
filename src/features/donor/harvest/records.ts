import { describeRecord } from '../../../core/benchline';
import { knownPart } from '../shared/knownPart';
import type { RecordHandlers } from '../shared/recordHandler';

/** What sits on which heat sink, as the plan takes it. */
export const harvestRecords: RecordHandlers<'mount'> = {
  mount: {
    async write(edit, record) {
      await knownPart(edit, record.sink);
      for (const ref of record.refs) {
        const { id, mounting } = await knownPart(edit, ref);
        const ways = [...new Set([...mounting.ways, ...record.ways])];
        await edit.update('parts', id, { mounting: { ...mounting, ways, sink: record.sink } });
      }
      return describeRecord(record);
    },
  },
};
