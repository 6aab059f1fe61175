import { eq } from 'drizzle-orm';
import type { Queryable } from '../client';
import {
  bins,
  boardFacts,
  builds,
  donors,
  harvestRuns,
  harvestSteps,
  keptSums,
  lotRatings,
  lots,
  datasheets,
  measurements,
  meterChecks,
  needs,
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
  powerUpMarks,
  recordings,
  repairFacts,
  savedFilters,
  soakRows,
  stationMarks,
  type stockLedger,
  storeReadings,
  stores,
  typeAliases,
  typeRatings,
  types,
  workSpells,
} from '../schema';

/** Tables whose rows a person changes and may want back as they were. */
export const EDITABLE = {
  boardFacts,
  donors,
  stationMarks,
  notes,
  noteEvents,
  keptSums,
  powerUpMarks,
  repairFacts,
  powerEvents,
  meterChecks,
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
  recordings,
  lots,
  lotRatings,
  bins,
  savedFilters,
  types,
  typeRatings,
  typeAliases,
  datasheets,
  builds,
  needs,
};
export type EditableName = keyof typeof EDITABLE;
export type NewRow<T extends EditableName> = Omit<(typeof EDITABLE)[T]['$inferInsert'], 'id'>;
export type Patch<T extends EditableName> = Partial<(typeof EDITABLE)[T]['$inferInsert']>;
export type Fields = Record<string, unknown>;
export type LedgerEntry = Omit<typeof stockLedger.$inferInsert, 'id' | 'atMs' | 'journalId'>;

/** One change of a step, with what is needed to undo it. */
export type Change =
  /** The row itself stands here once it was taken back for good, so that it can come again. */
  | { readonly op: 'insert'; readonly table: EditableName; readonly id: string; readonly row?: Fields }
  | {
      readonly op: 'update';
      readonly table: EditableName;
      readonly id: string;
      readonly before: Fields;
      readonly after: Fields;
    }
  | { readonly op: 'ledger'; readonly id: string }
  /** Lots that came in together; the lines of the ledger that brought them carry the note. */
  | { readonly op: 'lots-in'; readonly note: string }
  /** A setting of the shop; undefined is as shipped. */
  | { readonly op: 'setting'; readonly name: string; readonly before?: unknown; readonly after?: unknown };

/** The shape in which changes are written now. A later shape reads this one too. */
const VERSION = 2;

/** Changes as the journal keeps them. */
export function changesToText(changes: readonly Change[]): string {
  return JSON.stringify({ version: VERSION, changes });
}

/** Fields that had another name when the first shape was written. */
const RENAMED: Partial<Record<EditableName, Readonly<Record<string, string>>>> = {
  notes: { standing: 'status' },
  noteEvents: { standing: 'status' },
};

/** Changes read back, those of an earlier shape in today's. Before version 2 they were a bare list. */
export function changesFromText(text: string): Change[] {
  const stored = JSON.parse(text) as Change[] | { version: number; changes: Change[] };
  if (!Array.isArray(stored)) return stored.changes;
  return stored.map((change): Change => {
    if (change.op !== 'update') return change;
    const names = RENAMED[change.table] ?? {};
    const renamed = (fields: Fields): Fields =>
      Object.fromEntries(Object.entries(fields).map(([name, value]) => [names[name] ?? name, value]));
    return { ...change, before: renamed(change.before), after: renamed(change.after) };
  });
}

/** A row of any editable table. */
export async function rowById(tx: Queryable, table: EditableName, id: string): Promise<Fields | undefined> {
  const [row] = await tx.select().from(EDITABLE[table]).where(eq(EDITABLE[table].id, id));
  return row;
}

/** Changes fields of a row of any editable table. */
export async function writeRow(tx: Queryable, table: EditableName, id: string, fields: Fields): Promise<void> {
  await tx.update(EDITABLE[table]).set(fields).where(eq(EDITABLE[table].id, id));
}
