import Papa from 'papaparse';
import type { RefusedLine } from '../../core/table';
import { asTypeTable, type ColumnRole, type SheetColumn } from '../../core/stock';
import { readEntry, readTypeTable, type ReadFile } from '../../core/typebook';
import { z } from 'zod';

/** Most rows that one file may bring. */
const MOST_ROWS = 50_000;

/** A file of types in JSON, `zorvek.types/1`. Unknown fields are left aside. */
const typesFile = z.object({
  format: z.literal('zorvek.types/1', 'A file of the format zorvek.types/1 is expected.'),
  types: z.array(z.unknown()).max(50_000),
});

const typeInFile = z.object({
  kind: z.string(),
  name: z.string(),
  aliases: z.array(z.string()).default([]),
  technology: z.string().default(''),
  package: z.string().default(''),
  note: z.string().default(''),
  ratings: z
    .record(
      z.string(),
      z.object({ value: z.number(), source: z.string().default('typed'), page: z.number().int().optional() }),
    )
    .default({}),
});

/** A list of types, and what its columns were understood as where it was not written by Types itself. */
export type ReadTypes = ReadFile & { readonly columns?: readonly SheetColumn[] };

/** Reads a file of types, CSV or JSON by its first character; every row is read or refused with a reason. */
export function readTypesFile(text: string, roles: readonly (ColumnRole | undefined)[] = []): ReadTypes {
  const bare = text.replace(/^\uFEFF/, '').trim();
  if (bare === '') return failed('The file is empty; a CSV or JSON list of types is expected.');
  return bare.startsWith('{') || bare.startsWith('[') ? readJson(bare) : readCsv(bare, roles);
}

const failed = (why: string): ReadFile => ({ read: [], refused: [{ line: 1, what: 'the file', why }] });

function readCsv(text: string, roles: readonly (ColumnRole | undefined)[]): ReadTypes {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false });
  if (data.length > MOST_ROWS + 1)
    return failed(`The file has ${data.length} rows; ${MOST_ROWS} at most are taken at once.`);
  const { rows, columns } = asTypeTable(data, roles);
  return { ...readTypeTable(rows), columns };
}

function readJson(text: string): ReadFile {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    return failed(`The file is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const file = typesFile.safeParse(parsed);
  if (!file.success) return failed(file.error.issues.map(({ message }) => message).join(' '));
  const refused: RefusedLine[] = [];
  const seen = new Map<string, number>();
  const read = file.data.types.flatMap((raw, index) => {
    const line = index + 1;
    const one = typeInFile.safeParse(raw);
    if (!one.success) {
      const [issue] = one.error.issues;
      refused.push({
        line,
        what: JSON.stringify(raw).slice(0, 60),
        why: `${issue?.path.join('.') || 'The type'}: ${issue?.message ?? 'it cannot be read'}`,
      });
      return [];
    }
    const { ratings, aliases, ...texts } = one.data;
    const entry = readEntry({
      ...texts,
      aliases: aliases.join(','),
      source: '',
      ratings,
    });
    const what = `${one.data.kind} ${one.data.name}`;
    if ('why' in entry) {
      refused.push({ line, what, why: entry.why });
      return [];
    }
    const key = `${entry.kind} ${entry.name}`;
    const before = seen.get(key);
    if (before !== undefined) {
      refused.push({ line, what, why: `Entry ${before} names the same type already; one entry a type is expected.` });
      return [];
    }
    seen.set(key, line);
    return [{ line, entry }];
  });
  return { read, refused };
}
