import { and, asc, eq, gte, isNull, like, or } from 'drizzle-orm';
import { makeKey } from '../../core/ident';
import type { FormSeen } from '../context';
import type { Queryable } from '../client';
import { journal, stockLedger } from '../schema';
import { changesFromText, type Change, type EditableName, type Fields } from './changes';

/** What a form would save over: a field that someone else changed since the form’s page was read. */
export interface Met {
  /** By which the answer to it is named. */
  readonly key: string;
  readonly table: EditableName | 'setting' | 'count';
  readonly field: string;
  readonly theirs: unknown;
  readonly mine: unknown;
}

/** Fields of a row with the value each had when the form's page was read, of those that others changed since. */
type Since = ReadonlyMap<string, unknown>;

/**
 * Puts what a form says of a row together with what others changed of it since the form was read: a field that the form left
 * as it was stays as the others made it, one that both changed is asked about until the person has said whose counts.
 * @param before the row as it stands now
 * @returns what is to be written, and what must be asked
 */
export async function meet(
  tx: Queryable,
  form: FormSeen,
  { table, id, before, patch }: { table: EditableName; id: string; before: Fields; patch: Fields },
): Promise<{ readonly patch: Fields; readonly met: readonly Met[] }> {
  const since = await changedSince(tx, form, { table, id });
  if (since.size === 0) return { patch, met: [] };
  const kept: Fields = {};
  const met: Met[] = [];
  for (const [field, mine] of Object.entries(patch)) {
    // Moments are set by the step, not by the person.
    if (!since.has(field) || field.endsWith('Ms') || isSame(mine, before[field])) kept[field] = mine;
    else if (isSame(mine, since.get(field))) continue;
    else {
      const one: Met = { key: `${table}.${id}.${field}`, table, field, theirs: before[field], mine };
      const answer = answerTo(form, one);
      if (answer === 'mine') kept[field] = mine;
      else if (answer !== 'theirs') met.push(one);
    }
  }
  return { patch: kept, met };
}

/** The value of a setting, as a form may save it: undefined when the other window's counts. */
export async function meetSetting(
  tx: Queryable,
  form: FormSeen,
  { name, before, mine }: { name: string; before: unknown; mine: unknown },
): Promise<{ readonly keep: 'mine' | 'theirs' } | { readonly met: Met }> {
  const since = await changedSince(tx, form, { table: 'setting', id: name });
  if (!since.has(name) || isSame(mine, before)) return { keep: 'mine' };
  if (isSame(mine, since.get(name))) return { keep: 'theirs' };
  const met: Met = { key: `setting.${name}`, table: 'setting', field: name, theirs: before, mine };
  const answer = answerTo(form, met);
  return answer === undefined ? { met } : { keep: answer };
}

/** Whose value counts, as far as that was answered; when the others changed it once more it is asked again. */
export function answerTo({ answers }: FormSeen, { key, theirs }: Met): 'mine' | 'theirs' | undefined {
  const [whose, shown] = splitOnce(answers.get(key) ?? '');
  return shown === seenAs(theirs) && (whose === 'mine' || whose === 'theirs') ? whose : undefined;
}

const splitOnce = (text: string): readonly [string, string] => {
  const at = text.indexOf(':');
  return [text.slice(0, at), text.slice(at + 1)];
};

/** A value in so few letters that a form may send it back; two of them are told apart. */
export const seenAs = (value: unknown): string => JSON.stringify(value ?? null).slice(0, 500);

/** No key of a moment or later sorts before it. */
const firstKeyAt = (ms: number): string => makeKey(ms, 0, 0);

async function changedSince(
  tx: Queryable,
  { readMs, own }: FormSeen,
  { table, id }: { table: EditableName | 'setting'; id: string },
): Promise<Since> {
  const rows = await tx
    .select()
    .from(journal)
    // Keys sort by time: both sides are read off an index, and only late steps are looked into.
    .where(
      and(or(gte(journal.id, firstKeyAt(readMs)), gte(journal.undoneMs, readMs)), like(journal.changes, `%${id}%`)),
    )
    .orderBy(asc(journal.id));
  const since = new Map<string, unknown>();
  for (const row of rows) {
    const isUndone = row.undoneMs !== null;
    // Made and taken back since: nothing is left of it.
    if (isUndone && row.atMs >= readMs) continue;
    for (const change of changesFromText(row.changes))
      for (const [field, was, is] of fieldsOf(change, table, id)) {
        if (own.includes(row.id)) since.delete(field);
        else if (!since.has(field)) since.set(field, isUndone ? is : was);
      }
  }
  return since;
}

function fieldsOf(change: Change, table: string, id: string): (readonly [string, unknown, unknown])[] {
  if (change.op === 'setting')
    return table === 'setting' && change.name === id ? [[id, change.before, change.after]] : [];
  if (change.op !== 'update' || change.table !== table || change.id !== id) return [];
  return Object.keys(change.after).map((field) => [field, change.before[field], change.after[field]]);
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** Whether a row was written by someone else since the form was read. */
export async function isOthers(tx: Queryable, { readMs, own }: FormSeen, id: string): Promise<boolean> {
  const rows = await tx
    .select({ id: journal.id })
    .from(journal)
    .where(and(gte(journal.id, firstKeyAt(readMs)), isNull(journal.undoneMs), like(journal.changes, `%${id}%`)));
  return rows.some((row) => !own.includes(row.id));
}

/** Whether pieces of a lot were moved by someone else since the form was read. */
export async function isStockMoved(tx: Queryable, { readMs, own }: FormSeen, lotId: string): Promise<boolean> {
  const rows = await tx
    .select({ step: stockLedger.journalId, delta: stockLedger.onHandDelta })
    .from(stockLedger)
    .where(and(eq(stockLedger.lotId, lotId), gte(stockLedger.atMs, readMs)));
  return rows.some(({ step, delta }) => delta !== 0 && !own.includes(step ?? ''));
}
