import { STATION_LABEL, type StationName } from '../../../core/station';
import type { Bench } from '../../../db/bench';
import { donorOverview } from '../../../db/repositories/donors';
import type { FormOutcome } from '../../../ui/form/outcome';
import { notDeadSays } from '../notDead';
import { editDonor, refuse } from './outcome';
import { record } from './recordLine';

/** Writes down a note or a question at a station. */
export function addNote(
  bench: Bench,
  code: string,
  form: { station: StationName; text: string; question: boolean },
): Promise<FormOutcome> {
  return record(bench, { code, station: form.station }, { kind: 'note', text: form.text, question: form.question });
}

/** Marks a question as answered. */
export function answerQuestion(bench: Bench, of: { code: string; noteId: string }): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'record' }, async (edit) => {
    await edit.update('notes', of.noteId, { answeredMs: bench.now() });
    return 'The question is answered.';
  });
}

/** Declares a station done, which the line shows; a store that is not measured dead stays as it is. */
export function finishStation(bench: Bench, of: { code: string; station: StationName }): Promise<FormOutcome> {
  return editDonor(bench, of, async (edit, donor) => {
    await edit.insert('stationMarks', { donorId: donor.id, station: of.station, mark: 'done', createdMs: bench.now() });
    return `${STATION_LABEL[of.station]} is done.`;
  });
}

/** Records that the person goes on at a station beside what is not measured dead. */
export function goOn(bench: Bench, of: { code: string; station: StationName }): Promise<FormOutcome> {
  return editDonor(bench, of, async (edit, donor) => {
    const notDead = notDeadSays(await donorOverview(edit.tx, donor));
    if (notDead === null) return refuse('Every listed store is measured dead; there is nothing to go on beside.');
    await edit.insert('stationMarks', {
      donorId: donor.id,
      station: of.station,
      mark: 'went-on',
      createdMs: bench.now(),
    });
    return `Went on with ${STATION_LABEL[of.station]} all the same. ${notDead}.`;
  });
}
