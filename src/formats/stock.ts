import Papa from 'papaparse';
import { z } from 'zod';
import type { Steps } from '../core/steps';
import type { RefusedLine } from '../core/table';
import {
  lotTable,
  readLotEntry,
  readLotTable,
  type LotEntry,
  type ReadLot,
  type SheetColumn,
  type SheetSaid,
} from '../core/stock';

export const STOCK_FORMAT = 'zorvek.stock/1';
/** Most lots that one file may bring. */
const MOST_ROWS = 100_000;
/** Lots of a file in JSON between two pauses. */
const LOTS_A_STEP = 1000;

export interface ReadStock {
  /** What the columns of a table were understood as; none of a file in JSON. */
  readonly columns?: readonly SheetColumn[];
  /** A list of another hand says not all: what is known of a type fills it in. */
  readonly isOwn?: boolean;
  readonly read: readonly ReadLot[];
  readonly refused: readonly RefusedLine[];
}

const text = z.string().optional();
const lotInFile = z.object({
  code: text,
  kind: z.string(),
  subtype: text,
  technology: text,
  marking: text,
  package: text,
  grade: text,
  limits: z
    .array(
      z.union([
        z.object({ kind: z.literal('not-for'), use: z.string() }),
        z.object({ kind: z.literal('derated'), rating: z.string(), share: z.number().positive().max(1) }),
      ]),
    )
    .optional(),
  pieces: z.number(),
  bin: z.string(),
  note: text,
  ratings: z.record(z.string(), z.object({ value: z.number(), source: z.string() })).optional(),
});
const stockFile = z.object({ format: z.literal(STOCK_FORMAT), lots: z.array(z.unknown()).max(MOST_ROWS) });

/**
 * Reads a file of lots: JSON by its first character, else a table from any spreadsheet. Every row is read or refused with a reason.
 * @param said what a person put right of the columns
 */
export function* readStock(content: string, said: SheetSaid = {}): Steps<ReadStock> {
  const bare = content.replace(/^\uFEFF/, '').trim();
  if (bare === '') return failed('The file is empty; a CSV or JSON list of lots is expected.');
  if (bare.startsWith('{') || bare.startsWith('[')) return yield* readJson(bare);
  const { data } = Papa.parse<string[]>(bare, { skipEmptyLines: false });
  if (data.length > MOST_ROWS + 1)
    return failed(`The file has ${data.length} rows; ${MOST_ROWS} at most are taken at once.`);
  return yield* readLotTable(data, said);
}

const failed = (why: string): ReadStock => ({ read: [], refused: [{ line: 1, what: 'the file', why }] });

function* readJson(content: string): Steps<ReadStock> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(content);
  } catch (error) {
    return failed(`The file is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const file = stockFile.safeParse(parsed);
  if (!file.success) return failed(`A list of lots of the format ${STOCK_FORMAT} is expected.`);
  const read: ReadLot[] = [];
  const refused: RefusedLine[] = [];
  const seen = new Map<string, number>();
  for (const [index, raw] of file.data.lots.entries()) {
    if (index % LOTS_A_STEP === 0) yield index / file.data.lots.length;
    const line = index + 1;
    const entry = readOne(raw);
    const what = JSON.stringify(raw).slice(0, 60);
    if ('why' in entry) refused.push({ line, what, why: entry.why });
    else if (entry.code !== '' && seen.has(entry.code))
      refused.push({ line, what, why: `Entry ${seen.get(entry.code)} has the code ${entry.code} already.` });
    else {
      if (entry.code !== '') seen.set(entry.code, line);
      read.push({ line, entry });
    }
  }
  return { read, refused };
}

function readOne(raw: unknown): LotEntry | { why: string } {
  const one = lotInFile.safeParse(raw);
  if (!one.success) {
    const [issue] = one.error.issues;
    return { why: `${issue?.path.join('.') || 'The lot'}: ${issue?.message ?? 'it cannot be read'}` };
  }
  const { ratings = {}, limits = [], pieces, ...texts } = one.data;
  return readLotEntry({ texts: withoutUndefined(texts), pieces, limits, ratings });
}

function withoutUndefined(texts: Record<string, string | undefined>): Record<string, string> {
  return Object.fromEntries(Object.entries(texts).filter((pair): pair is [string, string] => pair[1] !== undefined));
}

/** Lots as CSV, ready for a spreadsheet: no cell begins a formula. */
export function stockAsCsv(lots: readonly LotEntry[]): string {
  return Papa.unparse(lotTable(lots), { newline: '\r\n' }) + '\r\n';
}

/** Lots as JSON of the format `zorvek.stock/1`. */
export function stockAsJson(lots: readonly LotEntry[]): string {
  return `${JSON.stringify({ format: STOCK_FORMAT, lots }, null, 1)}\n`;
}
