import { STATION_LABEL, type StationName } from '../../../core/station';
import type { IssueStatus } from '../../../core/benchline';
import type { AppContext } from '../../../db/context';
import { donorOverview } from '../../../db/repositories/donors';
import { moveNote, noteById } from '../../../db/repositories/notes';
import { poweredDonors } from '../../../db/repositories/power';
import { refusal, refuse, refused, run, type Outcome } from '../../../services/command';
import { notDeadMessage } from '../../../services/dossier';
import { record } from './writeRecord';

/** Writes down a note, a question or a claim at a station, about a part when one is named. */
export function addNote(
  app: AppContext,
  code: string,
  form: { station: StationName; ref: string; text: string; sort: 'note' | 'question' | 'claim' },
): Promise<Outcome> {
  const about = form.ref === '' ? {} : { ref: form.ref.toUpperCase() };
  return record(app, { code, station: form.station }, [
    form.sort === 'claim'
      ? { kind: 'claim', text: form.text, ...about }
      : { kind: 'note', text: form.text, question: form.sort === 'question', ...about },
  ]);
}

/** Moves a claim or a question on: supported, superseded, settled, with the reason. */
export function moveIssue(
  app: AppContext,
  of: { code: string; noteId: string },
  to: { status: IssueStatus; because: string },
): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'record' }, async (edit, donor) => {
    const note = await noteById(edit.tx, donor.id, of.noteId);
    if (!note) return refuse('note-gone', {});
    await moveNote(edit, note, to);
    return `“${note.text}” is ${to.status}${to.because ? `: ${to.because}` : ''}.`;
  });
}

/** Declares a station done, which the line shows; a store that is not measured dead stays as it is. */
export function finishStation(app: AppContext, of: { code: string; station: StationName }): Promise<Outcome> {
  return run(app, { scope: 'donor', ...of }, async (edit, donor) => {
    await edit.insert('stationMarks', { donorId: donor.id, station: of.station, mark: 'done', createdMs: app.now() });
    return `${STATION_LABEL[of.station]} is done.`;
  });
}

/** Records that the person goes on at a station beside what is not measured dead. */
export function goOn(app: AppContext, of: { code: string; station: StationName }): Promise<Outcome> {
  return run(app, { scope: 'donor', ...of }, async (edit, donor) => {
    const notDead = notDeadMessage(await donorOverview(edit.tx, donor), of.station);
    if (notDead === null) return refuse('all-measured-dead', {});
    await edit.insert('stationMarks', {
      donorId: donor.id,
      station: of.station,
      mark: 'went-on',
      createdMs: app.now(),
    });
    return `Went on at ${STATION_LABEL[of.station]} all the same. ${notDead}.`;
  });
}

/** Notes that power was put to a unit, or taken away: what was read before says nothing any more. */
export function notePower(app: AppContext, of: { code: string; applied: boolean }): Promise<Outcome> {
  return record(app, { code: of.code, station: 'make-safe' }, [{ kind: 'power', applied: of.applied }]);
}

/** Says that the unit with power on is unplugged; when several have it, which one must be said. */
export async function unplugThePowered(app: AppContext): Promise<Outcome> {
  const [code, ...others] = await poweredDonors(app.db.read);
  if (code === undefined) return refused(refusal('none-powered', {}));
  if (others.length > 0) return refused(refusal('several-powered', { codes: [code, ...others].join(', ') }));
  return notePower(app, { code, applied: false });
}
