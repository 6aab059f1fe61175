import { limitText } from '../../core/measure';
import { kindRule } from '../../core/part';
import { noPause, partOf, stepByStep } from '../../core/steps';
import type { AppContext } from '../../db/context';
import type { Queryable } from '../../db/client';
import { bringIn, codesTaken } from '../../db/repositories/lotImport';
import { readStock, type ReadStock } from '../../formats/stock';
import { refusal, refused as refusedBy, run, type Outcome } from '../command';

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
        why: `${entry.code} was given to a lot already, and a code is never given twice. Leave it out to count the pieces in as a new lot.`,
      })),
    ].sort((a, b) => a.line - b.line),
  };
}

/** Share of the time that reading takes; writing takes the rest. */
const READING = 0.3;

/** Takes the sound rows of a file in: all of them or none, as one step that can be undone. */
export async function importLots(app: AppContext, text: string, pause = noPause): Promise<Outcome> {
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

/** Rows of a preview. */
const SHOWN = 50;

export interface LotsPreview {
  readonly lots: number;
  readonly pieces: number;
  readonly bins: number;
  readonly rows: readonly { line: number; what: string; message: string }[];
  readonly refusedCount: number;
  readonly refused: readonly { line: number; what: string; why: string }[];
}

/** What a file of lots would bring. */
export async function previewLots(app: AppContext, text: string, pause = noPause): Promise<LotsPreview> {
  const { read, refused } = await soundRows(app.db.read, await stepByStep(readStock(text), pause));
  return {
    lots: read.length,
    pieces: read.reduce((sum, { entry }) => sum + entry.pieces, 0),
    bins: new Set(read.map(({ entry }) => entry.bin)).size,
    rows: read.slice(0, SHOWN).map(({ line, entry }) => ({
      line,
      what: [entry.marking, kindRule(entry.kind).label].filter((word) => word !== '').join(', '),
      message: [
        `${entry.pieces} into ${entry.bin}`,
        entry.grade && `grade ${entry.grade}`,
        entry.limits.map(limitText).join(', '),
      ]
        .filter(Boolean)
        .join(', '),
    })),
    refusedCount: refused.length,
    refused: refused.slice(0, SHOWN),
  };
}
