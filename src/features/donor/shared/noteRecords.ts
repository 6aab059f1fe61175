import { describeRecord } from '../../../core/benchline';
import { addNote, moveNote, openNoteOn } from '../../../db/repositories/notes';
import { refuse } from '../../../services/command';
import type { RecordHandlers } from './recordHandler';

/** Notes, claims and what becomes of them: of the station where they are written. */
export const noteRecords: RecordHandlers<'note' | 'claim' | 'status'> = {
  note: {
    async write(edit, record) {
      const { text, ref, question } = record;
      await addNote(edit, { text, ref, question, claim: false, station: edit.station || 'record' });
      return describeRecord(record);
    },
  },
  claim: {
    async write(edit, record) {
      const { text, ref } = record;
      await addNote(edit, { text, ref, question: false, claim: true, station: edit.station || 'record' });
      return describeRecord(record);
    },
  },
  status: {
    async write(edit, record) {
      const note = await openNoteOn(edit.tx, edit.donorId, record.ref);
      if (!note) return refuse('nothing-open', { ref: record.ref });
      await moveNote(edit, note, record);
      return `${record.ref}: “${note.text}” is ${record.status}${record.because ? `, ${record.because}` : ''}`;
    },
  },
};
