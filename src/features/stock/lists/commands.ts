import { noPause, partOf, stepByStep } from '../../../core/steps';
import type { Bench } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { recordEdit } from '../../../db/repositories/journal';
import { bringIn, codesTaken } from '../../../db/repositories/lotImport';
import { readStock, type ReadStock } from '../../../formats/stock';
import type { FormOutcome } from '../../../ui/form/outcome';

/** Rows whose code is free; the others are refused, so that nothing is counted in twice. */
export async function soundRows(db: Queryable, { read, refused }: ReadStock): Promise<ReadStock> {
  const codes = read.flatMap(({ entry }) => (entry.code ? [entry.code] : []));
  const taken = await codesTaken(db, codes);
  const clash = read.filter(({ entry }) => taken.has(entry.code));
  return {
    read: read.filter(({ entry }) => !taken.has(entry.code)),
    refused: [
      ...refused,
      ...clash.map(({ line, entry }) => ({
        line,
        what: entry.code,
        why: `${entry.code} is in stock already; leave its code out to count the pieces in as a new lot.`,
      })),
    ].sort((a, b) => a.line - b.line),
  };
}

/** Share of the time that reading takes; writing takes the rest. */
const READING = 0.3;

/** Takes the sound rows of a file in: all of them or none, as one step that can be taken back. */
export async function importStock(bench: Bench, text: string, pause = noPause): Promise<FormOutcome> {
  const { read, refused } = await soundRows(
    bench.db.read,
    await stepByStep(readStock(text), partOf(pause, 0, READING)),
  );
  if (read.length === 0)
    return { ok: false, problems: [{ message: `No row can be taken in. ${refused[0]?.why ?? 'The file has none.'}` }] };
  const note = `list ${bench.newKey()}`;
  const { journalId } = await recordEdit(bench, { donorId: '', station: 'harvest' }, async (edit) => {
    await bringIn(edit.tx, bench, {
      entries: read.map(({ entry }) => entry),
      note,
      pause: partOf(pause, READING, 1),
    });
    edit.broughtIn(note);
    return `${read.length} lots came in from a list.`;
  });
  const left = refused.length > 0 ? `; ${refused.length} rows were refused` : '';
  return { ok: true, says: `${read.length} lots came in${left}.`, undo: journalId };
}
