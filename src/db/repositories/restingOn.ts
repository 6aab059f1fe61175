import { and, eq, gt, inArray, isNull, like, or, type SQL } from 'drizzle-orm';
import type { Queryable } from '../client';
import {
  boardFacts,
  harvestSteps,
  journal,
  lots,
  measurements,
  needs,
  noteEvents,
  parts,
  photoPins,
  pinSpots,
  storeReadings,
  stockLedger,
} from '../schema';
import { changesFromText, type Change, type EditableName } from './changes';

/** Rows of a step beyond which what rests on each is not looked for; a long list answers for itself. */
const MOST_ROWS = 60;

/**
 * Later steps that rest on rows which a step made: they changed such a row, or put another one upon it (a reading on its store, a
 * lot on its part). Each in the words of its journal entry, the oldest first.
 */
export async function restingOn(
  tx: Queryable,
  entry: { readonly id: string },
  changes: readonly Change[],
): Promise<readonly string[]> {
  const made = changes.filter((change) => change.op === 'insert');
  const altered = changes.filter((change) => change.op === 'update');
  if (made.length + altered.length === 0 || made.length > MOST_ROWS) return [];
  const ids = made.map(({ id }) => id);
  const upon = (await rowsUpon(tx, made)).filter((id) => !ids.includes(id));
  const wanted = [...new Set([...ids, ...upon, ...altered.map(({ id }) => id)])];
  if (wanted.length > 8 * MOST_ROWS) return [];
  const since = and(gt(journal.id, entry.id), isNull(journal.undoneMs));
  const later = await tx
    .select({ id: journal.id, message: journal.message, changes: journal.changes })
    .from(journal)
    .where(and(since, or(...wanted.map((id) => like(journal.changes, `%${id}%`)))));
  const isHeld = (change: Change) =>
    (change.op === 'insert' && upon.includes(change.id)) ||
    (change.op === 'update' && (ids.includes(change.id) || altered.some((one) => isSameField(one, change))));
  const moved = await stepsOfStock(tx, { lots: of(made, 'lots'), needs: of(made, 'needs') }, since);
  const steps = [...later.filter((step) => changesFromText(step.changes).some(isHeld)), ...moved];
  const messages = new Map(steps.toSorted((a, b) => a.id.localeCompare(b.id)).map(({ id, message }) => [id, message]));
  return [...messages.values()];
}

type Update = Extract<Change, { op: 'update' }>;
const isSameField = (one: Update, other: Update) =>
  one.table === other.table && one.id === other.id && Object.keys(one.after).some((field) => field in other.after);

/** Steps that moved pieces of lots, or set some aside for needs. */
async function stepsOfStock(
  tx: Queryable,
  made: { readonly lots: readonly string[]; readonly needs: readonly string[] },
  since: SQL | undefined,
) {
  if (made.lots.length + made.needs.length === 0) return [];
  return tx
    .select({ id: journal.id, message: journal.message })
    .from(stockLedger)
    .innerJoin(journal, eq(journal.id, stockLedger.journalId))
    .where(and(or(inArray(stockLedger.lotId, [...made.lots]), inArray(stockLedger.needId, [...made.needs])), since));
}

const of = (made: readonly { readonly table: EditableName; readonly id: string }[], table: EditableName) =>
  made.filter((row) => row.table === table).map(({ id }) => id);

/** Keys of rows that stand upon others. */
async function rowsUpon(tx: Queryable, made: readonly { table: EditableName; id: string }[]): Promise<string[]> {
  const found: string[] = [];
  const look = async (from: Referring, where: SQL | undefined, owners: readonly string[]) => {
    if (owners.length === 0) return;
    const rows = await tx.select({ id: from.id }).from(from).where(where);
    found.push(...rows.map(({ id }) => id));
  };
  const [partIds, storeIds, photoIds] = [of(made, 'parts'), of(made, 'stores'), of(made, 'photos')];
  await look(measurements, and(inArray(measurements.partId, partIds), isNull(measurements.deletedMs)), partIds);
  await look(lots, and(inArray(lots.partId, partIds), isNull(lots.deletedMs)), partIds);
  await look(storeReadings, and(inArray(storeReadings.storeId, storeIds), isNull(storeReadings.deletedMs)), storeIds);
  await look(photoPins, and(inArray(photoPins.photoId, photoIds), isNull(photoPins.deletedMs)), photoIds);
  await look(pinSpots, and(inArray(pinSpots.photoId, photoIds), isNull(pinSpots.deletedMs)), photoIds);
  const noteIds = of(made, 'notes');
  await look(noteEvents, and(inArray(noteEvents.noteId, noteIds), isNull(noteEvents.deletedMs)), noteIds);
  const runIds = of(made, 'harvestRuns');
  await look(harvestSteps, and(inArray(harvestSteps.runId, runIds), isNull(harvestSteps.deletedMs)), runIds);
  const buildIds = of(made, 'builds');
  await look(needs, and(inArray(needs.buildId, buildIds), isNull(needs.deletedMs)), buildIds);
  const donorIds = of(made, 'donors');
  await look(parts, and(inArray(parts.donorId, donorIds), isNull(parts.deletedMs)), donorIds);
  for (const part of partIds.length > 0 ? await tx.select().from(parts).where(inArray(parts.id, partIds)) : [])
    await look(
      boardFacts,
      and(
        eq(boardFacts.donorId, part.donorId),
        isNull(boardFacts.deletedMs),
        or(like(boardFacts.a, `${part.ref}.%`), like(boardFacts.b, `${part.ref}.%`), eq(boardFacts.a, part.ref)),
      ),
      [part.id],
    );
  return found;
}

type Referring =
  | typeof measurements
  | typeof lots
  | typeof storeReadings
  | typeof photoPins
  | typeof pinSpots
  | typeof noteEvents
  | typeof harvestSteps
  | typeof needs
  | typeof parts
  | typeof boardFacts;
