import { describeRecord, joinedPairs } from '../../../core/benchline';
import { addBoardFact, fixedOn } from '../../../db/repositories/boardFacts';
import { knownPart } from '../shared/knownPart';
import type { RecordHandlers } from '../shared/recordHandler';

/** What the meter said between pins, and what a person fixed. */
export const traceRecords: RecordHandlers<'join' | 'sweep' | 'fix'> = {
  join: {
    station: 'trace',
    async write(edit, record) {
      for (const [a, b] of joinedPairs(record))
        await addBoardFact(edit, { relation: record.relation, a, b, ohms: record.ohms, drop: record.drop });
      return describeRecord(record);
    },
  },
  sweep: {
    station: 'trace',
    async write(edit, record) {
      await addBoardFact(edit, { relation: 'swept', a: record.pin });
      return describeRecord(record);
    },
  },
  fix: {
    station: 'trace',
    async write(edit, record) {
      await knownPart(edit, record.ref);
      const earlier = await fixedOn(edit.tx, edit.donorId, record.ref);
      if (earlier) await edit.remove('boardFacts', earlier.id);
      await addBoardFact(edit, { relation: 'fixed', a: record.ref, b: record.as });
      return describeRecord(record);
    },
  },
};
