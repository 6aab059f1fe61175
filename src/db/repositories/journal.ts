import { and, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { StationName } from '../../core/station';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { journal, stockLedger, type JournalScope } from '../schema';
import {
  changesToText,
  EDITABLE,
  rowById,
  writeRow,
  type Change,
  type EditableName,
  type Fields,
  type LedgerEntry,
  type NewRow,
  type Patch,
} from './changes';
import { meet, meetSetting, type Met } from './meeting';
import { readSetting, writeSetting } from './settings';

export type { LedgerEntry } from './changes';

/** SQLite binds some thousands of values a statement. */
const ROWS_AT_ONCE = 200;

/** An open edit: every row it touches is remembered for undo. */
export interface Edit {
  readonly tx: Queryable;
  readonly app: AppContext;
  /** Empty for a step that is the whole shop's. */
  readonly donorId: string;
  /** Empty for a step that is the whole shop's. */
  readonly station: StationName | '';
  /** Returns the row's id, a new one unless given. */
  insert<T extends EditableName>(table: T, row: NewRow<T>, id?: string): Promise<string>;
  /** Inserts many rows at once, each with its id. */
  insertMany<T extends EditableName>(table: T, rows: readonly (NewRow<T> & { id: string })[]): Promise<void>;
  update<T extends EditableName>(table: T, id: string, patch: Patch<T>): Promise<void>;
  remove(table: EditableName, id: string): Promise<void>;
  /** Removes a row of the edit's donor. Returns whether there was such a row. */
  removeOwn(table: OwnedName, id: string): Promise<boolean>;
  /** Changes a row of the edit's donor. Returns whether there was such a row. */
  updateOwn<T extends OwnedName>(table: T, id: string, patch: Patch<T>): Promise<boolean>;
  ledger(entry: LedgerEntry): Promise<void>;
  /** Changes a setting of the shop; undefined puts it back to what is shipped. */
  setting(name: string, value: unknown): Promise<void>;
  /** Asks about what would be saved over; nothing is stored until it is answered. */
  ask(met: Met): void;
  /** Remembers lots that `bringIn` wrote all at once, by the note on their ledger lines. */
  broughtIn(note: string): void;
}

/** Tables whose rows say which donor they belong to. */
export type OwnedName = {
  [T in EditableName]: 'donorId' extends keyof (typeof EDITABLE)[T]['$inferSelect'] ? T : never;
}[EditableName];

/** What an edit left behind: its journal entry, for undo. */
export interface Recorded {
  readonly journalId: string;
  readonly message: string;
}

/**
 * Runs one edit in a transaction and writes its journal entry with the rows it changed.
 * @param work begins the edit, for a donor or for the whole shop with an empty id, and returns the sentence for the journal
 */
export function recordEdit(
  app: AppContext,
  scope: JournalScope,
  work: (begin: (of: { donorId: string; station: StationName | '' }) => Edit) => Promise<string>,
): Promise<Recorded> {
  return app.db.write(async (tx) => {
    const changes: Change[] = [];
    const journalId = app.newKey();
    let of = { donorId: '', station: '' as StationName | '' };
    const met: Met[] = [];
    const message = await work((begun) => {
      of = begun;
      return openEdit(tx, app, { ...of, journalId }, changes, met);
    });
    if (met.length > 0) throw new MetOthers(met);
    await tx.insert(journal).values({
      id: journalId,
      scope,
      donorId: of.donorId || null,
      station: of.station,
      atMs: app.now(),
      message,
      changes: changesToText(changes),
    });
    return { journalId, message };
  });
}

/** The form would save over what others changed since; the whole step is taken back. */
export class MetOthers extends Error {
  constructor(readonly met: readonly Met[]) {
    super('Someone else changed it since.');
  }
}

function openEdit(
  tx: Queryable,
  app: AppContext,
  { journalId, ...of }: { donorId: string; station: StationName | ''; journalId: string },
  changes: Change[],
  asked: Met[],
): Edit {
  const update = async (table: EditableName, id: string, said: Fields) => {
    const before = await rowById(tx, table, id);
    if (!before) throw new Error(`${table} ${id} is gone.`);
    const { patch, met } = app.form
      ? await meet(tx, app.form, { table, id, before, patch: said })
      : { patch: said, met: [] };
    asked.push(...met);
    const keys = Object.keys(patch).filter((field) => JSON.stringify(before[field]) !== JSON.stringify(patch[field]));
    if (keys.length === 0) return;
    const pick = (row: Fields) => Object.fromEntries(keys.map((field) => [field, row[field] ?? null]));
    await writeRow(tx, table, id, pick(patch));
    changes.push({ op: 'update', table, id, before: pick(before), after: pick(patch) });
  };
  const updateOwn = async (table: OwnedName, id: string, patch: Fields) => {
    const row = await rowById(tx, table, id);
    if (!row || row.donorId !== of.donorId || row.deletedMs !== null) return false;
    await update(table, id, patch);
    return true;
  };
  return {
    tx,
    app,
    ...of,
    insert: async (table, row, id = app.newKey()) => {
      await tx.insert(EDITABLE[table]).values({ id, ...row } as never);
      changes.push({ op: 'insert', table, id });
      return id;
    },
    insertMany: async (table, rows) => {
      for (let start = 0; start < rows.length; start += ROWS_AT_ONCE) {
        const some = rows.slice(start, start + ROWS_AT_ONCE);
        await tx.insert(EDITABLE[table]).values(some as never);
        changes.push(...some.map(({ id }): Change => ({ op: 'insert', table, id })));
      }
    },
    update: (table, id, patch) => update(table, id, patch as Fields),
    remove: (table, id) => update(table, id, { deletedMs: app.now() }),
    removeOwn: (table, id) => updateOwn(table, id, { deletedMs: app.now() }),
    updateOwn: (table, id, patch) => updateOwn(table, id, patch as Fields),
    ledger: async (entry) => {
      changes.push({ op: 'ledger', id: await appendLedger(tx, app, { ...entry, journalId }) });
    },
    setting: async (name, after) => {
      if (app.form) {
        const of = { name, before: await readSetting(tx, name), mine: after };
        const found = await meetSetting(tx, app.form, of);
        if ('met' in found) asked.push(found.met);
        if (!('keep' in found) || found.keep === 'theirs') return;
      }
      const before = await writeSetting(tx, name, after);
      changes.push({ op: 'setting', name, before, after });
    },
    ask: (met) => {
      asked.push(met);
    },
    broughtIn: (note) => {
      changes.push({ op: 'lots-in', note });
    },
  };
}

/** Adds one line to the stock ledger; the database keeps the balance and refuses to go below zero. */
export async function appendLedger(
  tx: Queryable,
  app: AppContext,
  entry: LedgerEntry & { journalId?: string },
): Promise<string> {
  const id = app.newKey();
  await tx.insert(stockLedger).values({ id, atMs: app.now(), ...entry });
  return id;
}

/** Whether the database refused a row: a unique name taken, a balance below zero. */
export function isConstraintFailure(error: unknown): boolean {
  return hasCause(error, /SQLITE_CONSTRAINT/);
}

/** Whether another process holds the database. */
export function isBusy(error: unknown): boolean {
  return hasCause(error, /SQLITE_BUSY|SQLITE_LOCKED/);
}

function hasCause(error: unknown, pattern: RegExp): boolean {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause)
    if (pattern.test(String((cause as { code?: string }).code) + cause.message)) return true;
  return false;
}

export interface JournalEntry {
  readonly id: string;
  readonly atMs: number;
  readonly station: StationName | '';
  readonly message: string;
  readonly undone: boolean;
}

/** The latest entries of a donor's journal, newest first. */
export async function listJournal(db: Queryable, donorId: string, limit: number): Promise<JournalEntry[]> {
  const rows = await db
    .select()
    .from(journal)
    .where(eq(journal.donorId, donorId))
    .orderBy(desc(journal.id))
    .limit(limit);
  return rows.map(({ id, atMs, station, message, undoneMs }) => ({
    id,
    atMs,
    station,
    message,
    undone: undoneMs !== null,
  }));
}

/** A mark that is another one whenever a step was made or taken back. */
export async function shopMark(db: Queryable): Promise<string> {
  const [[steps], [undone], [lines]] = await Promise.all([
    db.select({ last: sql<string>`max(id)` }).from(journal),
    db
      .select({ last: sql<number>`max(undone_ms)` })
      .from(journal)
      .where(isNotNull(journal.undoneMs)),
    db.select({ last: sql<string>`max(id)` }).from(stockLedger),
  ]);
  return [steps, undone, lines].map((part) => part?.last ?? '').join('.');
}

/** The newest entry of a donor that still stands. */
export async function latestEntry(db: Queryable, donorId: string): Promise<string | undefined> {
  const [row] = await db
    .select({ id: journal.id })
    .from(journal)
    .where(and(eq(journal.donorId, donorId), isNull(journal.undoneMs)))
    .orderBy(desc(journal.id))
    .limit(1);
  return row?.id;
}
