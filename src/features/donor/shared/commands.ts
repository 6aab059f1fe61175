import { STATION_LABEL, type StationName } from '../../../core/station';
import type { Standing } from '../../../core/benchline';
import type { Bench } from '../../../db/context';
import { donorOverview } from '../../../db/repositories/donors';
import { moveNote, noteById } from '../../../db/repositories/notes';
import type { FormOutcome } from '../../../ui/form/outcome';
import { notDeadSays } from '../../../services/dossier/notDead';
import { editDonor, refuse } from '../../../services/command/outcome';
import { record } from './recordLine';

/** Writes down a note, a question or a claim at a station, about a part when one is named. */
export function addNote(
  bench: Bench,
  code: string,
  form: { station: StationName; ref: string; text: string; sort: 'note' | 'question' | 'claim' },
): Promise<FormOutcome> {
  const about = form.ref === '' ? {} : { ref: form.ref.toUpperCase() };
  return record(
    bench,
    { code, station: form.station },
    form.sort === 'claim'
      ? { kind: 'claim', text: form.text, ...about }
      : { kind: 'note', text: form.text, question: form.sort === 'question', ...about },
  );
}

/** Moves a claim or a question on: supported, superseded, settled, with the reason. */
export function moveMatter(
  bench: Bench,
  of: { code: string; noteId: string },
  to: { standing: Standing; because: string },
): Promise<FormOutcome> {
  return editDonor(bench, { code: of.code, station: 'record' }, async (edit, donor) => {
    const note = await noteById(edit.tx, donor.id, of.noteId);
    if (!note) return refuse('That note is not there any more.');
    await moveNote(edit, note, to);
    return `“${note.text}” is ${to.standing}${to.because ? `: ${to.because}` : ''}.`;
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
