import { and, desc, eq, isNull } from 'drizzle-orm';
import type { StationName } from '../../core/station';
import type { Bench } from '../context';
import type { Queryable } from '../client';
import { sendBack } from './lotImport';
import {
  bins,
  boardFacts,
  donors,
  harvestRuns,
  harvestSteps,
  journal,
  lotRatings,
  lots,
  datasheets,
  measurements,
  noteEvents,
  notes,
  openingSteps,
  partRatings,
  parts,
  photoPairs,
  photoPins,
  photos,
  pinSpots,
  powerEvents,
  reassemblies,
  savedFilters,
  soakRows,
  stationMarks,
  stockLedger,
  storeReadings,
  stores,
  typeAliases,
  typeRatings,
  types,
  workSpells,
} from '../schema';

/** Tables whose rows a person changes and may want back as they were. */
const EDITABLE = {
  boardFacts,
  donors,
  stationMarks,
  notes,
  noteEvents,
  powerEvents,
  soakRows,
  stores,
  storeReadings,
  harvestRuns,
  harvestSteps,
  openingSteps,
  workSpells,
  reassemblies,
  photos,
  photoPins,
  photoPairs,
  pinSpots,
  parts,
  partRatings,
  measurements,
  lots,
  lotRatings,
  bins,
  savedFilters,
  types,
  typeRatings,
  typeAliases,
  datasheets,
};
/** SQLite binds some thousands of values a statement. */
const ROWS_AT_ONCE = 200;
type EditableName = keyof typeof EDITABLE;
type NewRow<T extends EditableName> = Omit<(typeof EDITABLE)[T]['$inferInsert'], 'id'>;
type Patch<T extends EditableName> = Partial<(typeof EDITABLE)[T]['$inferInsert']>;
type Fields = Record<string, unknown>;
type LedgerEntry = Omit<typeof stockLedger.$inferInsert, 'id' | 'atMs'>;

type Change =
  | { readonly op: 'insert'; readonly table: EditableName; readonly id: string }
  | {
      readonly op: 'update';
      readonly table: EditableName;
      readonly id: string;
      readonly before: Fields;
      readonly after: Fields;
    }
  | { readonly op: 'ledger'; readonly id: string }
  /** Lots that came in together; the lines of the ledger that brought them carry the note. */
  | { readonly op: 'lots-in'; readonly note: string };

/** An open edit: every row it touches is remembered for undo. */
export interface Edit {
  readonly tx: Queryable;
  readonly bench: Bench;
  /** Empty for a step that is the whole shop's. */
  readonly donorId: string;
  readonly station: StationName;
  /** Returns the row's id, a new one unless given. */
  insert<T extends EditableName>(table: T, row: NewRow<T>, id?: string): Promise<string>;
  /** Inserts many rows at once, each with its id. */
  insertMany<T extends EditableName>(table: T, rows: readonly (NewRow<T> & { id: string })[]): Promise<void>;
  update<T extends EditableName>(table: T, id: string, patch: Patch<T>): Promise<void>;
  remove(table: EditableName, id: string): Promise<void>;
  ledger(entry: LedgerEntry): Promise<void>;
  /** Remembers lots that `bringIn` wrote all at once, by the note on their ledger lines. */
  broughtIn(note: string): void;
}

/** What an edit left behind: its journal entry, for undo. */
export interface Recorded {
  readonly journalId: string;
  readonly says: string;
}

/**
 * Runs one edit of a donor, or of the whole shop with an empty id, in a transaction and writes its journal entry with the rows it changed.
 * @param work returns the sentence for the journal
 */
export function recordEdit(
  bench: Bench,
  of: { donorId: string; station: StationName },
  work: (edit: Edit) => Promise<string>,
): Promise<Recorded> {
  return bench.db.write(async (tx) => {
    const changes: Change[] = [];
    const says = await work(openEdit(tx, bench, of, changes));
    const journalId = bench.newKey();
    await tx.insert(journal).values({
      id: journalId,
      donorId: of.donorId || null,
      station: of.station,
      atMs: bench.now(),
      says,
      changes: JSON.stringify(changes),
    });
    return { journalId, says };
  });
}

function openEdit(tx: Queryable, bench: Bench, of: { donorId: string; station: StationName }, changes: Change[]): Edit {
  const update = async (table: EditableName, id: string, patch: Fields) => {
    const before = await rowById(tx, table, id);
    if (!before) throw new Error(`${table} ${id} is gone.`);
    const keys = Object.keys(patch).filter((field) => JSON.stringify(before[field]) !== JSON.stringify(patch[field]));
    if (keys.length === 0) return;
    const pick = (row: Fields) => Object.fromEntries(keys.map((field) => [field, row[field] ?? null]));
    await writeRow(tx, table, id, pick(patch));
    changes.push({ op: 'update', table, id, before: pick(before), after: pick(patch) });
  };
  return {
    tx,
    bench,
    ...of,
    insert: async (table, row, id = bench.newKey()) => {
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
    remove: (table, id) => update(table, id, { deletedMs: bench.now() }),
    ledger: async (entry) => {
      changes.push({ op: 'ledger', id: await appendLedger(tx, bench, entry) });
    },
    broughtIn: (note) => {
      changes.push({ op: 'lots-in', note });
    },
  };
}

/** Adds one line to the stock ledger; the database keeps the balance and refuses to go below zero. */
export async function appendLedger(tx: Queryable, bench: Bench, entry: LedgerEntry): Promise<string> {
  const id = bench.newKey();
  await tx.insert(stockLedger).values({ id, atMs: bench.now(), ...entry });
  return id;
}

/** Takes one ledger line back with an opposite one, if there is such a line. A line is taken back at most once. */
async function takeBackLedgerLine(tx: Queryable, bench: Bench, id: string, note: string): Promise<boolean> {
  const [line] = await tx.select().from(stockLedger).where(eq(stockLedger.id, id));
  if (!line) return false;
  await appendLedger(tx, bench, {
    lotId: line.lotId,
    onHandDelta: -line.onHandDelta,
    reservedDelta: -line.reservedDelta,
    reason: 'undone',
    needId: line.needId,
    note,
    undoesId: id,
  });
  return true;
}

export type UndoOutcome =
  | { readonly kind: 'undone'; readonly says: string }
  | { readonly kind: 'not-found' }
  | { readonly kind: 'already-undone' }
  | { readonly kind: 'changed-since'; readonly says: string };

/**
 * Takes one journal entry, or one ledger line written outside a journal, back: whole or not at all.
 * Rows that something else has changed since stand in the way: then nothing is touched.
 */
export function undoEdit(bench: Bench, id: string): Promise<UndoOutcome> {
  return orChangedSince(
    bench.db.write(async (tx): Promise<UndoOutcome> => {
      const [entry] = await tx.select().from(journal).where(eq(journal.id, id));
      if (!entry)
        return (await takeBackLedgerLine(tx, bench, id, ''))
          ? { kind: 'undone', says: 'the change of stock.' }
          : { kind: 'not-found' };
      if (entry.undoneMs !== null) return { kind: 'already-undone' };
      for (const change of (JSON.parse(entry.changes) as Change[]).reverse())
        await takeBack(tx, bench, change, entry.says);
      await tx.update(journal).set({ undoneMs: bench.now() }).where(eq(journal.id, id));
      return { kind: 'undone', says: entry.says };
    }),
  );
}

/** A refusal by the database, or a row that changed since, stands in the way of an undo; other errors are bugs. */
function orChangedSince(work: Promise<UndoOutcome>): Promise<UndoOutcome> {
  return work.catch((error: unknown) => {
    if (error instanceof ChangedSince || isConstraintFailure(error))
      return { kind: 'changed-since', says: error instanceof Error ? error.message : '' };
    throw error;
  });
}

class ChangedSince extends Error {}

async function takeBack(tx: Queryable, bench: Bench, change: Change, says: string): Promise<void> {
  if (change.op === 'ledger') {
    await takeBackLedgerLine(tx, bench, change.id, says);
    return;
  }
  if (change.op === 'lots-in') {
    if (!(await sendBack(tx, bench, change.note))) throw new ChangedSince(says);
    return;
  }
  const now = await rowById(tx, change.table, change.id);
  if (!now) throw new ChangedSince(says);
  if (change.op === 'insert') {
    // Other pieces may have joined a lot since it was begun; they must not vanish with it.
    if (change.table === 'lots' && now.onHand !== 0) throw new ChangedSince(says);
    if (change.table === 'types' && (await isTypeCarried(tx, change.id))) throw new ChangedSince(says);
    if ('deletedMs' in now) await writeRow(tx, change.table, change.id, { deletedMs: bench.now() });
    else await tx.delete(EDITABLE[change.table]).where(eq(EDITABLE[change.table].id, change.id));
    return;
  }
  const untouched = Object.entries(change.after).every(
    ([field, value]) => JSON.stringify(now[field] ?? null) === JSON.stringify(value),
  );
  if (!untouched) throw new ChangedSince(says);
  await writeRow(tx, change.table, change.id, change.before);
}

/** Whether a part or a lot rests on a type. */
async function isTypeCarried(tx: Queryable, typeId: string): Promise<boolean> {
  const [onParts, inLots] = await Promise.all([
    tx
      .select({ id: parts.id })
      .from(parts)
      .where(and(eq(parts.typeId, typeId), isNull(parts.deletedMs)))
      .limit(1),
    tx
      .select({ id: lots.id })
      .from(lots)
      .where(and(eq(lots.typeId, typeId), isNull(lots.deletedMs)))
      .limit(1),
  ]);
  return onParts.length + inLots.length > 0;
}

async function rowById(tx: Queryable, table: EditableName, id: string): Promise<Fields | undefined> {
  const [row] = await tx.select().from(EDITABLE[table]).where(eq(EDITABLE[table].id, id));
  return row;
}

async function writeRow(tx: Queryable, table: EditableName, id: string, fields: Fields): Promise<void> {
  await tx.update(EDITABLE[table]).set(fields).where(eq(EDITABLE[table].id, id));
}

/** Whether the database refused a row: a unique name taken, a balance below zero. */
export function isConstraintFailure(error: unknown): boolean {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause)
    if (/SQLITE_CONSTRAINT/.test(String((cause as { code?: string }).code) + cause.message)) return true;
  return false;
}

export interface JournalEntry {
  readonly id: string;
  readonly atMs: number;
  readonly station: StationName;
  readonly says: string;
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
  return rows.map(({ id, atMs, station, says, undoneMs }) => ({ id, atMs, station, says, undone: undoneMs !== null }));
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
