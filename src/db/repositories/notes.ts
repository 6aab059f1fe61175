import { and, desc, eq, inArray, isNotNull, isNull, ne, or, sql } from 'drizzle-orm';
import type { IssueStatus, Note, NoteEvent } from '../../core/benchline';
import type { StationName } from '../../core/station';
import type { Queryable } from '../client';
import { donors, noteEvents, notes, parts } from '../schema';
import type { Edit } from './journal';

/** Statuses that close an issue. */
const CLOSED: readonly IssueStatus[] = ['settled', 'superseded'];

/** Whether a claim or question still waits for something. */
export function isOpen({ question, claim, answeredMs, status }: Note): boolean {
  return (question || claim) && answeredMs === null && !CLOSED.includes(status as IssueStatus);
}

const stillOpen = and(
  or(notes.question, notes.claim),
  isNull(notes.answeredMs),
  ne(notes.status, 'settled'),
  ne(notes.status, 'superseded'),
  isNull(notes.deletedMs),
);

const issueColumns = {
  id: notes.id,
  text: notes.text,
  ref: notes.ref,
  claim: notes.claim,
  status: notes.status,
  askedOf: notes.askedOf,
  dueMs: notes.dueMs,
  createdMs: notes.createdMs,
  answeredMs: notes.answeredMs,
  donorCode: donors.code,
};

/** Open questions and claims over all donors: those that are overdue first, then oldest first. */
export async function openIssues(db: Queryable, limit: number, now: number) {
  return db
    .select(issueColumns)
    .from(notes)
    .innerJoin(donors, eq(donors.id, notes.donorId))
    .where(and(stillOpen, isNull(donors.deletedMs)))
    .orderBy(sql`coalesce(${notes.dueMs} < ${now}, 0) desc`, notes.id)
    .limit(limit);
}

/** Questions and claims that were settled, the latest first, with what settled them. */
export async function settledIssues(db: Queryable, limit: number) {
  const rows = await db
    .select(issueColumns)
    .from(notes)
    .innerJoin(donors, eq(donors.id, notes.donorId))
    .where(
      and(
        or(notes.question, notes.claim),
        eq(notes.status, 'settled'),
        isNull(notes.deletedMs),
        isNull(donors.deletedMs),
      ),
    )
    .orderBy(desc(notes.id))
    .limit(limit);
  const events = await eventsOfNotes(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map((row) => ({ ...row, last: events.get(row.id)?.findLast(({ status }) => status === 'settled') }));
}

/** What was settled about parts with a marking, the latest first: the marking, what was asked or claimed, and what settled it. */
export async function settledOfMarkings(
  db: Queryable,
): Promise<
  readonly { readonly marking: string; readonly text: string; readonly because: string; readonly code: string }[]
> {
  const rows = await db
    .select({ id: notes.id, text: notes.text, marking: parts.marking, code: donors.code })
    .from(notes)
    .innerJoin(donors, eq(donors.id, notes.donorId))
    .innerJoin(parts, and(eq(parts.donorId, notes.donorId), eq(parts.ref, notes.ref), isNull(parts.deletedMs)))
    .where(
      and(
        or(notes.question, notes.claim),
        eq(notes.status, 'settled'),
        isNotNull(parts.marking),
        isNull(notes.deletedMs),
        isNull(donors.deletedMs),
      ),
    )
    .orderBy(desc(notes.id));
  const events = await eventsOfNotes(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map(({ id, marking, text, code }) => ({
    marking: marking ?? '',
    text,
    code,
    because: events.get(id)?.findLast(({ status }) => status === 'settled')?.because ?? '',
  }));
}

/** Notes, questions and claims of a donor, in order; of one station or one part when given. */
export async function listNotes(
  db: Queryable,
  donorId: string,
  of: { station?: StationName | undefined; ref?: string | undefined } = {},
): Promise<Note[]> {
  return db
    .select()
    .from(notes)
    .where(
      and(
        eq(notes.donorId, donorId),
        isNull(notes.deletedMs),
        of.station ? eq(notes.station, of.station) : undefined,
        of.ref ? eq(notes.ref, of.ref) : undefined,
      ),
    )
    .orderBy(notes.id);
}

/** The steps of claims and questions, by note, oldest first. */
export async function eventsOfNotes(db: Queryable, noteIds: readonly string[]): Promise<Map<string, NoteEvent[]>> {
  const rows = noteIds.length
    ? await db
        .select()
        .from(noteEvents)
        .where(and(inArray(noteEvents.noteId, [...noteIds]), isNull(noteEvents.deletedMs)))
        .orderBy(noteEvents.id)
    : [];
  const byNote = new Map<string, NoteEvent[]>();
  for (const row of rows) byNote.set(row.noteId, [...(byNote.get(row.noteId) ?? []), row]);
  return byNote;
}

/** Writes a note, a question or a claim down; a claim begins its life as claimed. */
export async function addNote(
  edit: Edit,
  of: {
    text: string;
    ref?: string | undefined;
    question: boolean;
    claim: boolean;
    station: StationName;
    tellNext?: boolean;
    askedOf?: string;
    dueMs?: number | null;
  },
): Promise<void> {
  const now = edit.app.now();
  const noteId = await edit.insert('notes', {
    donorId: edit.donorId,
    station: of.station,
    ref: of.ref ?? '',
    text: of.text,
    question: of.question,
    claim: of.claim,
    status: of.claim ? 'claimed' : '',
    tellNext: of.tellNext ?? false,
    askedOf: of.askedOf ?? '',
    dueMs: of.dueMs ?? null,
    createdMs: now,
  });
  if (of.claim) await edit.insert('noteEvents', { noteId, status: 'claimed', because: '', atMs: now });
}

/** Moves a claim or a question on. A question that is settled counts as answered. */
export async function moveNote(edit: Edit, note: Note, to: { status: IssueStatus; because: string }): Promise<void> {
  const now = edit.app.now();
  await edit.insert('noteEvents', { noteId: note.id, status: to.status, because: to.because, atMs: now });
  await edit.update('notes', note.id, {
    status: to.status,
    answeredMs: note.question && CLOSED.includes(to.status) ? now : null,
  });
}

/** The latest open claim or question about a part. */
export async function openNoteOn(db: Queryable, donorId: string, ref: string): Promise<Note | undefined> {
  const [row] = await db
    .select()
    .from(notes)
    .where(and(eq(notes.donorId, donorId), eq(notes.ref, ref), stillOpen))
    .orderBy(desc(notes.id))
    .limit(1);
  return row;
}

/** A note of a donor by its id. */
export async function noteById(db: Queryable, donorId: string, id: string): Promise<Note | undefined> {
  const [row] = await db
    .select()
    .from(notes)
    .where(and(eq(notes.donorId, donorId), eq(notes.id, id), isNull(notes.deletedMs)));
  return row;
}
