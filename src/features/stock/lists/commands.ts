import { noPause, partOf, stepByStep } from '../../../core/steps';
import type { AppContext } from '../../../db/context';
import type { Queryable } from '../../../db/client';
import { bringIn, codesTaken } from '../../../db/repositories/lotImport';
import { readStock, type ReadStock } from '../../../formats/stock';
import { refusal, refused as refusedBy, run, type Outcome } from '../../../services/command';

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
export async function importStock(app: AppContext, text: string, pause = noPause): Promise<Outcome> {
  const { read, refused } = await soundRows(app.db.read, await stepByStep(readStock(text), partOf(pause, 0, READING)));
  if (read.length === 0) return refusedBy(refusal('list-empty', { why: refused[0]?.why }));
  const note = `list ${app.newKey()}`;
  return run(app, { scope: 'stock' }, async (edit) => {
    await bringIn(edit.tx, app, {
      entries: read.map(({ entry }) => entry),
      note,
      pause: partOf(pause, READING, 1),
    });
    edit.broughtIn(note);
    const left = refused.length > 0 ? `; ${refused.length} rows were refused` : '';
    return `${read.length} lots came in from a list${left}.`;
  });
}
