import { STATION_LABEL, type StationName } from '../../../core/station';
import { bench } from '../../../db/bench';
import { listNotes, type Donor } from '../../../db/repositories/donors';
import { listJournal } from '../../../db/repositories/journal';
import { clockOf, dayOf } from './words';

export interface NoteView {
  readonly id: string;
  readonly when: string;
  readonly station: string;
  readonly text: string;
  readonly question: boolean;
  readonly answered: boolean;
}

/** Notes and questions of a donor, of one station when given. */
export async function notesView(donor: Donor, station?: StationName): Promise<NoteView[]> {
  const { db, now } = bench();
  const moment = now();
  return (await listNotes(db.read, donor.id, station)).map((note) => ({
    id: note.id,
    when: `${dayOf(note.createdMs, moment)} ${clockOf(note.createdMs)}`,
    station: STATION_LABEL[note.station],
    text: note.text,
    question: note.question,
    answered: note.answeredMs !== null,
  }));
}

/** What was done to a donor, newest first. */
export async function journalView(donor: Donor, limit = 200) {
  const { db, now } = bench();
  const moment = now();
  return (await listJournal(db.read, donor.id, limit)).map(({ id, atMs, station, says, undone }) => ({
    id,
    when: `${dayOf(atMs, moment)} ${clockOf(atMs)}`,
    station: STATION_LABEL[station],
    says,
    undone,
  }));
}
