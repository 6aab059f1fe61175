import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { AppContext } from '../context';
import type { Queryable } from '../client';
import { journal, lots, needs, parts, stockLedger } from '../schema';
import {
  changesFromText,
  changesToText,
  EDITABLE,
  rowById,
  writeRow,
  type Change,
  type EditableName,
  type Fields,
} from './changes';
import { appendLedger, isConstraintFailure } from './journal';
import { restingOn } from './restingOn';
import { sendBack } from './lotImport';
import { readSetting, writeSetting } from './settings';

export type UndoOutcome =
  | { readonly kind: 'undone'; readonly message: string }
  | { readonly kind: 'not-found' }
  | { readonly kind: 'already-undone' }
  | { readonly kind: 'changed-since'; readonly holds?: Holds };

/** What holds a step, where it can be named: lots of a list that were moved since, or later steps in their words. */
export interface Holds {
  readonly lots?: readonly string[];
  readonly steps?: readonly string[];
}

/**
 * Undoes one journal entry, or one ledger line written outside a journal: whole or not at all.
 * Rows that something else has changed since stand in the way: then nothing is touched.
 */
export async function undoEdit(app: AppContext, id: string): Promise<UndoOutcome> {
  try {
    return await app.db.write(async (tx): Promise<UndoOutcome> => {
      const [entry] = await tx.select().from(journal).where(eq(journal.id, id));
      if (!entry)
        return (await takeBackLedgerLine(tx, app, id, ''))
          ? { kind: 'undone', message: 'the change of stock.' }
          : { kind: 'not-found' };
      if (entry.undoneMs !== null) return { kind: 'already-undone' };
      const changes = changesFromText(entry.changes);
      const steps = await restingOn(tx, entry, changes);
      if (steps.length > 0) throw new ChangedSince({ steps });
      const kept = await withRows(tx, changes);
      for (const batch of batches(kept.toReversed())) await takeBack(tx, app, batch, entry.message);
      await tx
        .update(journal)
        .set({ undoneMs: app.now(), ...(kept === changes ? {} : { changes: changesToText(kept) }) })
        .where(eq(journal.id, id));
      return { kind: 'undone', message: entry.message };
    });
  } catch (error) {
    return standing(error);
  }
}

/** A refusal by the database, or a row that changed since, stands in the way; other errors are bugs. */
function standing(error: unknown): UndoOutcome {
  if (error instanceof ChangedSince)
    return { kind: 'changed-since', ...(Object.keys(error.holds).length > 0 ? { holds: error.holds } : {}) };
  if (isConstraintFailure(error)) return { kind: 'changed-since' };
  throw error;
}

class ChangedSince extends Error {
  constructor(readonly holds: Holds = {}) {
    super('Something was done to it since.');
  }
}

/** Rows whose table keeps nothing that was deleted, noted in the changes before they go. */
async function withRows(tx: Queryable, changes: readonly Change[]): Promise<readonly Change[]> {
  if (!changes.some((change) => change.op === 'insert' && !('deletedMs' in EDITABLE[change.table]))) return changes;
  const kept: Change[] = [];
  for (const change of changes) {
    const goes = change.op === 'insert' && !('deletedMs' in EDITABLE[change.table]);
    const row = goes ? await rowById(tx, change.table, change.id) : undefined;
    kept.push(goes && row ? { ...change, row } : change);
  }
  return kept;
}

/** Does a step again that was taken back: whole or not at all. A list of lots is brought in anew instead. */
export async function redoEdit(app: AppContext, id: string): Promise<UndoOutcome> {
  try {
    return await app.db.write(async (tx): Promise<UndoOutcome> => {
      const [entry] = await tx.select().from(journal).where(eq(journal.id, id));
      if (!entry || entry.undoneMs === null) return { kind: 'not-found' };
      const again: Change[] = [];
      for (const change of changesFromText(entry.changes)) again.push(await doAgain(tx, app, change, id));
      await tx
        .update(journal)
        .set({ undoneMs: null, changes: changesToText(again) })
        .where(eq(journal.id, id));
      return { kind: 'undone', message: entry.message };
    });
  } catch (error) {
    return standing(error);
  }
}

async function doAgain(tx: Queryable, app: AppContext, change: Change, journalId: string): Promise<Change> {
  switch (change.op) {
    case 'lots-in':
      throw new ChangedSince();
    case 'ledger': {
      const [line] = await tx.select().from(stockLedger).where(eq(stockLedger.id, change.id));
      if (!line) throw new ChangedSince();
      const { lotId, onHandDelta, reservedDelta, reason, needId, note } = line;
      return {
        op: 'ledger',
        id: await appendLedger(tx, app, { lotId, onHandDelta, reservedDelta, reason, needId, note, journalId }),
      };
    }
    case 'setting':
      if (!isSame(await readSetting(tx, change.name), change.before)) throw new ChangedSince();
      await writeSetting(tx, change.name, change.after);
      return change;
    case 'insert': {
      const { row, ...plain } = change;
      if (row) await tx.insert(EDITABLE[change.table]).values(row as never);
      else if (await rowById(tx, change.table, change.id))
        await writeRow(tx, change.table, change.id, { deletedMs: null });
      else throw new ChangedSince();
      return plain;
    }
    case 'update': {
      const now = await rowById(tx, change.table, change.id);
      const isUntouched = now && Object.entries(change.before).every(([field, value]) => isSame(now[field], value));
      if (!isUntouched) throw new ChangedSince();
      await writeRow(tx, change.table, change.id, change.after);
      return change;
    }
  }
}

/** Takes one ledger line back with an opposite one, if there is such a line. A line is taken back at most once. */
async function takeBackLedgerLine(tx: Queryable, app: AppContext, id: string, note: string): Promise<boolean> {
  const [line] = await tx.select().from(stockLedger).where(eq(stockLedger.id, id));
  if (!line) return false;
  await appendLedger(tx, app, {
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

type Inserts = { readonly op: 'inserts'; readonly table: EditableName; readonly ids: readonly string[] };
type Batch = Exclude<Change, { op: 'insert' }> | Inserts;

/** Ids that one statement may name. */
const IDS_AT_ONCE = 500;

/** Rows of one table that were inserted one behind the other are taken back together. */
function batches(changes: readonly Change[]): Batch[] {
  const found: Batch[] = [];
  for (const change of changes) {
    const last = found.at(-1);
    if (change.op !== 'insert') found.push(change);
    else if (last?.op === 'inserts' && last.table === change.table && last.ids.length < IDS_AT_ONCE)
      found.splice(-1, 1, { ...last, ids: [...last.ids, change.id] });
    else found.push({ op: 'inserts', table: change.table, ids: [change.id] });
  }
  return found;
}

async function takeBack(tx: Queryable, app: AppContext, change: Batch, message: string): Promise<void> {
  switch (change.op) {
    case 'ledger':
      await takeBackLedgerLine(tx, app, change.id, message);
      return;
    case 'lots-in': {
      const held = await sendBack(tx, app, change.note);
      if (held.length > 0) throw new ChangedSince({ lots: held });
      return;
    }
    case 'setting':
      if (!isSame(await readSetting(tx, change.name), change.after)) throw new ChangedSince();
      await writeSetting(tx, change.name, change.before);
      return;
    case 'inserts': {
      const table = EDITABLE[change.table];
      const own = inArray(table.id, [...change.ids]);
      const rows: Fields[] = await tx.select().from(table).where(own);
      if (rows.length < change.ids.length || (await areRestedOn(tx, change, rows))) throw new ChangedSince();
      if ('deletedMs' in table)
        await tx
          .update(table)
          .set({ deletedMs: app.now() } as never)
          .where(own);
      else await tx.delete(table).where(own);
      return;
    }
    case 'update': {
      const now = await rowById(tx, change.table, change.id);
      const isUntouched = now && Object.entries(change.after).every(([field, value]) => isSame(now[field], value));
      if (!isUntouched) throw new ChangedSince();
      await writeRow(tx, change.table, change.id, change.before);
    }
  }
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** Whether something came to rest on rows since they were made, which must not vanish with them. */
async function areRestedOn(tx: Queryable, { table, ids }: Inserts, rows: readonly Fields[]): Promise<boolean> {
  switch (table) {
    // Other pieces may have joined a lot since it was begun.
    case 'lots':
      return rows.some(({ onHand }) => onHand !== 0);
    case 'types':
      return areTypesCarried(tx, ids);
    case 'builds': {
      const live = and(inArray(needs.buildId, [...ids]), isNull(needs.deletedMs));
      return (await tx.select({ id: needs.id }).from(needs).where(live).limit(1)).length > 0;
    }
    case 'needs': {
      const [sum] = await tx
        .select({ held: sql<number>`coalesce(sum(reserved_delta - on_hand_delta), 0)`.mapWith(Number) })
        .from(stockLedger)
        .where(inArray(stockLedger.needId, [...ids]));
      return (sum?.held ?? 0) !== 0;
    }
    default:
      return false;
  }
}

/** Whether a part or a lot rests on one of some types. */
async function areTypesCarried(tx: Queryable, ids: readonly string[]): Promise<boolean> {
  const [onParts, inLots] = await Promise.all([
    tx
      .select({ id: parts.id })
      .from(parts)
      .where(and(inArray(parts.typeId, [...ids]), isNull(parts.deletedMs)))
      .limit(1),
    tx
      .select({ id: lots.id })
      .from(lots)
      .where(and(inArray(lots.typeId, [...ids]), isNull(lots.deletedMs)))
      .limit(1),
  ]);
  return onParts.length + inLots.length > 0;
}
