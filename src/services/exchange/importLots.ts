import { limitText } from '../../core/measure';
import { kindRule, RATINGS, type RatingName } from '../../core/part';
import { counted, formatQuantity } from '../../core/quantity';
import type { LotEntry, SheetColumn, SheetSaid } from '../../core/stock';
import { noPause, partOf, stepByStep } from '../../core/steps';
import type { AppContext } from '../../db/context';
import type { Queryable } from '../../db/client';
import { bringIn, codesTaken } from '../../db/repositories/lotImport';
import { typesNamed } from '../../db/repositories/types';
import { readStock, type ReadStock } from '../../formats/stock';
import { refusal, refused as refusedBy, run, type Outcome } from '../command';
import { lotRoles, remembered, type SaidOfColumns } from './remembered';
import { headingsOf, isJson } from './rowsOf';

/** Rows whose code is free; the others are refused, so that nothing is counted in twice. */
export async function soundRows(
  db: Queryable,
  { columns, isOwn = true, read, refused }: ReadStock,
): Promise<ReadStock> {
  const codes = read.flatMap(({ entry }) => (entry.code ? [entry.code] : []));
  const taken = await codesTaken(db, codes);
  const clash = read.filter(({ entry }) => taken.has(entry.code));
  const free = read.filter(({ entry }) => !taken.has(entry.code));
  return {
    ...(columns ? { columns } : {}),
    read: isOwn ? free : await withKnownTypes(db, free),
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

/** What the shop knows of a type fills in what a list leaves out, and what its number alone tells. */
async function withKnownTypes(db: Queryable, read: ReadStock['read']): Promise<ReadStock['read']> {
  const known = await typesNamed(
    db,
    [...new Set(read.map(({ entry }) => entry.marking.toUpperCase()))].filter((name) => name !== ''),
  );
  return read.map((row) => {
    const { entry } = row;
    const type = known.get(`${entry.kind} ${entry.marking.toUpperCase()}`);
    if (!type) return row;
    const own = Object.fromEntries(
      Object.entries(type).map(([name, { value, source, confidence }]) => [
        name,
        { value, source, ...(confidence === undefined ? {} : { confidence }) },
      ]),
    ) as LotEntry['ratings'];
    const said = Object.entries(entry.ratings).filter(
      ([, { source }]) => source !== 'decoded' && source !== 'remembered',
    );
    return { ...row, entry: { ...entry, ratings: { ...entry.ratings, ...own, ...Object.fromEntries(said) } } };
  });
}

/** Share of the time that reading takes; writing takes the rest. */
const READING = 0.3;

/** Takes the sound rows of a file in: all of them or none, as one step that can be undone. */
export async function importLots(
  app: AppContext,
  text: string,
  pause = noPause,
  said: SaidOfColumns = {},
): Promise<Outcome> {
  const told = await sheetSaid(app, text, said);
  const { read, refused } = await soundRows(
    app.db.read,
    await stepByStep(readStock(text, told), partOf(pause, 0, READING)),
  );
  if (read.length === 0) return refusedBy(refusal('list-empty', { why: refused[0]?.why }));
  const note = `list ${app.newKey()}`;
  return run(app, { scope: 'stock' }, async (edit) => {
    await bringIn(edit.tx, app, {
      entries: read.map(({ entry }) => entry),
      note,
      pause: partOf(pause, READING, 1),
    });
    edit.broughtIn(note);
    const left = refused.length > 0 ? `; ${counted(refused.length, 'row was', 'rows were')} refused` : '';
    return `${counted(read.length, 'lot')} came in from a list${left}.`;
  });
}

async function sheetSaid(app: AppContext, text: string, said: SaidOfColumns): Promise<SheetSaid> {
  if (isJson(text)) return {};
  const known = await remembered(app, 'lots', headingsOf(text), said);
  return { roles: lotRoles(known), bin: known.bin };
}

/** Rows of a preview. */
const SHOWN = 50;

export interface LotsPreview {
  readonly columns: readonly SheetColumn[];
  /** Where pieces go of which the list says nothing. */
  readonly bin: string;
  readonly lots: number;
  readonly pieces: number;
  readonly bins: number;
  readonly rows: readonly { line: number; what: string; message: string }[];
  readonly refusedCount: number;
  readonly refused: readonly { line: number; what: string; why: string }[];
}

/** What a file of lots would bring. */
export async function previewLots(
  app: AppContext,
  text: string,
  pause = noPause,
  said: SaidOfColumns = {},
): Promise<LotsPreview> {
  const told = await sheetSaid(app, text, said);
  const { columns = [], read, refused } = await soundRows(app.db.read, await stepByStep(readStock(text, told), pause));
  return {
    columns,
    bin: told.bin ?? '',
    lots: read.length,
    pieces: read.reduce((sum, { entry }) => sum + entry.pieces, 0),
    bins: new Set(read.map(({ entry }) => entry.bin)).size,
    rows: read.slice(0, SHOWN).map(({ line, entry }) => ({
      line,
      what: [entry.marking, kindRule(entry.kind).label].filter((word) => word !== '').join(', '),
      message: [
        ...Object.entries(entry.ratings).map(([name, { value, source }]) => {
          const { label, unit } = RATINGS[name as RatingName];
          return `${label} ${formatQuantity(value, unit)} (${source})`;
        }),
        entry.package,
        `${entry.pieces} into ${entry.bin}`,
        entry.grade && `grade ${entry.grade}`,
        entry.limits.map(limitText).join(', '),
        entry.note && `“${entry.note}”`,
      ]
        .filter(Boolean)
        .join(', '),
    })),
    refusedCount: refused.length,
    refused: refused.slice(0, SHOWN),
  };
}
