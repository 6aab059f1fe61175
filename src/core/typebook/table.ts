import { isRatingName, RATING_NAMES, RATINGS } from '../part';
import { formatShorthand } from '../quantity';
import { neutralised, plainCell, readHeading, type RefusedLine } from '../table';
import type { EntryRating, ReadEntry, ReadFile, TypeEntry } from './entry';
import { readEntry } from './readEntry';

const TEXT_COLUMNS = ['kind', 'name', 'aliases', 'technology', 'package', 'note', 'source'] as const;
type TextColumn = (typeof TEXT_COLUMNS)[number];

/**
 * Reads a table of types: a heading with `kind` and `name`, further text columns, and one column a
 * rating by its name. Rows that cannot be used are refused with the value that is wrong.
 * @param rows cells by row, the heading first
 */
export function readTypeTable(rows: readonly (readonly string[])[]): ReadFile {
  const [heading = [], ...body] = rows;
  const head = readHeading(heading, {
    needed: ['kind', 'name'],
    isKnown: (column) => isTextColumn(column) || ratingOf(column) !== undefined,
  });
  if (!head.isUsable) return { read: [], refused: head.refused };
  const { columns } = head;
  const read: ReadEntry[] = [];
  const refused: RefusedLine[] = [...head.refused];
  const seen = new Map<string, number>();
  body.forEach((cells, index) => {
    const line = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const texts: Record<TextColumn, string> = {
      kind: '',
      name: '',
      aliases: '',
      technology: '',
      package: '',
      note: '',
      source: '',
    };
    const ratings: Record<string, string> = {};
    columns.forEach((column, place) => {
      const cell = plainCell((cells[place] ?? '').trim());
      const rating = ratingOf(column);
      if (isTextColumn(column)) texts[column.toLowerCase() as TextColumn] = cell;
      else if (rating) ratings[rating] = cell;
    });
    const entry = readEntry({ ...texts, ratings });
    const what = [texts.kind, texts.name].filter((text) => text !== '').join(' ');
    if ('why' in entry) {
      refused.push({ line, what, why: entry.why });
      return;
    }
    const key = `${entry.kind} ${entry.name}`;
    const before = seen.get(key);
    if (before !== undefined) {
      refused.push({ line, what, why: `Line ${before} names the same type already; one line a type is expected.` });
      return;
    }
    seen.set(key, line);
    read.push({ line, entry });
  });
  return { read, refused };
}

function isTextColumn(column: string): boolean {
  return (TEXT_COLUMNS as readonly string[]).includes(column.toLowerCase());
}

/** The rating that a column is headed by: its name, with or without a unit in brackets. */
function ratingOf(column: string): string | undefined {
  const name = column.replace(/\s*[([].*$/, '');
  if (isRatingName(name)) return name;
  return RATING_NAMES.find((rating) => rating.toLowerCase() === name.toLowerCase());
}

/** Types as a table: a heading, then a row each; only ratings that some type has get a column. */
export function typeTable(types: readonly TypeEntry[]): string[][] {
  const used = RATING_NAMES.filter((name) => types.some(({ ratings }) => ratings[name]));
  const texts = TEXT_COLUMNS.filter((column) => column !== 'source');
  return [
    [...texts, ...used],
    ...types.map((type) => [
      ...[type.kind, type.name, type.aliases.join(', '), type.technology, type.package, type.note].map(neutralised),
      ...used.map((name) => {
        const rating = type.ratings[name];
        return rating ? neutralised(ratingCell(name, rating)) : '';
      }),
    ]),
  ];
}

function ratingCell(name: (typeof RATING_NAMES)[number], { value, source, page }: EntryRating): string {
  return `${formatShorthand(value, RATINGS[name].unit)}; ${source}${page === undefined ? '' : ` p. ${page}`}`;
}
