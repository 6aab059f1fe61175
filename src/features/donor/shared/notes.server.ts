import 'server-only';
import { ISSUE_STATUSES, type IssueStatus, type Note } from '../../../core/benchline';
import { STATION_LABEL, type StationName } from '../../../core/station';

import { listJournal } from '../../../db/repositories/journal';
import { eventsOfNotes, isOpen } from '../../../db/repositories/notes';
import { clockOf, dayOf } from '../../../ui/value/moments';
import type { Dossier } from '../../../services/dossier';

export interface NoteView {
  readonly id: string;
  readonly when: string;
  readonly station: string;
  /** Reference of the part it is about, or empty. */
  readonly ref: string;
  readonly text: string;
  readonly question: boolean;
  readonly claim: boolean;
  /** Whether it still waits for something. */
  readonly open: boolean;
  /** It is told to the next unit of its kind. */
  readonly told: boolean;
  /** Whom it was put to and by when an answer is expected; empty where nobody said. */
  readonly asked: string;
  /** The word that stands before it: what sort it is, and how it stands. */
  readonly sign: string;
  /** How it came to stand so, oldest first. */
  readonly steps: readonly { readonly when: string; readonly status: string; readonly because: string }[];
  /** Where it may go from here. */
  readonly next: readonly IssueStatus[];
}

/** Notes, questions and claims of a donor, of one station or one part when given. */
export async function notesView(
  dossier: Dossier,
  of: { station?: StationName; ref?: string } = {},
): Promise<NoteView[]> {
  const { db, now } = dossier;
  const rows = (await dossier.notes()).filter(
    ({ station, ref }) => (!of.station || station === of.station) && (!of.ref || ref === of.ref),
  );
  const events = await eventsOfNotes(
    db,
    rows.map(({ id }) => id),
  );
  const when = (ms: number) => `${dayOf(ms, now)} ${clockOf(ms)}`;
  return rows.map((note) => ({
    id: note.id,
    when: when(note.createdMs),
    station: STATION_LABEL[note.station],
    ref: note.ref,
    text: note.text,
    question: note.question,
    claim: note.claim,
    open: isOpen(note),
    told: note.tellNext,
    asked: [
      note.askedOf === '' ? '' : `asked of ${note.askedOf}`,
      note.dueMs === null
        ? ''
        : `${note.dueMs < now && isOpen(note) ? 'overdue since' : 'by'} ${dayOf(note.dueMs, now)}`,
    ]
      .filter((word) => word !== '')
      .join(', '),
    sign: signOf(note),
    steps: (events.get(note.id) ?? []).map(({ atMs, status, because }) => ({ when: when(atMs), status, because })),
    next: nextStatuses(note.status, note.claim),
  }));
}

function signOf(note: Note): string {
  if (note.claim) return note.status;
  return note.question ? (isOpen(note) ? 'asked' : 'answered') : '';
}

/** A claim may be supported, a question only settled; what is settled may be superseded by what is learnt later. */
function nextStatuses(status: IssueStatus | '', claim: boolean): IssueStatus[] {
  return ISSUE_STATUSES.filter(
    (next) => next !== 'claimed' && next !== status && (claim || next === 'settled') && status !== 'superseded',
  );
}

/** What was done to a donor, newest first. */
export async function journalView({ db, donor, now }: Dossier, limit = 200) {
  return (await listJournal(db, donor.id, limit)).map(({ id, atMs, station, message, undone }) => ({
    id,
    when: `${dayOf(atMs, now)} ${clockOf(atMs)}`,
    station: station && STATION_LABEL[station],
    message,
    undone,
  }));
}
