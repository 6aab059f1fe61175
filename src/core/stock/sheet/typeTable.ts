import { kindRule, ratingFromUnit, type KindName, type RatingName } from '../../part';
import type { Unit } from '../../quantity';
import { readQuestion } from '../question/readQuestion';
import { columnsOf, type SheetColumn } from './columns';
import type { ColumnRole } from './roles';
import { kindOf, withUnit } from './row';

/** Columns of a list of types as Types writes them, by what a column of any list is. */
const TEXTS: Partial<Record<SheetColumn['role'], string>> = {
  kind: 'kind',
  marking: 'name',
  technology: 'technology',
  subtype: 'technology',
  package: 'package',
  note: 'note',
};

/**
 * A list of types of another hand in the form that Types writes: columns known by their names in three languages, by units in the
 * heading or by what stands in them. One that has a kind and a name already is left as it is.
 */
export function asTypeTable(
  rows: readonly (readonly string[])[],
  said: readonly (ColumnRole | undefined)[] = [],
): { readonly rows: readonly (readonly string[])[]; readonly columns: readonly SheetColumn[] } {
  const own = (rows[0] ?? []).map((cell) => cell.trim().toLowerCase());
  if (rows.length < 2 || (own.includes('kind') && own.includes('name'))) return { rows, columns: [] };
  const columns = columnsOf(rows, said);
  const texts = [...new Set(columns.flatMap(({ role }) => TEXTS[role] ?? []))];
  if (!texts.includes('name')) return { rows, columns };
  const body = rows.slice(1).map((cells) => rowOf(columns, cells));
  const ratings = [...new Set(body.flatMap((row) => Object.keys(row.ratings)))];
  const heading = [...new Set(['kind', ...texts]), ...ratings];
  const table = [heading, ...body.map((row) => heading.map((name) => row.texts[name] ?? row.ratings[name] ?? ''))];
  return { rows: table, columns };
}

interface TypeRow {
  readonly texts: Readonly<Record<string, string>>;
  readonly ratings: Readonly<Record<string, string>>;
}

function rowOf(columns: readonly SheetColumn[], cells: readonly string[]): TypeRow {
  const texts: Record<string, string> = {};
  const ratings: Record<string, string> = {};
  const values: string[] = [];
  const ofUnit: { readonly unit: Unit; readonly cell: string }[] = [];
  for (const [place, { role, unit }] of columns.entries()) {
    const cell = (cells[place] ?? '').trim();
    if (cell === '' || role === 'nothing') continue;
    const text = TEXTS[role];
    if (text !== undefined) texts[text] = cell;
    else if (role === 'values') values.push(withUnit(cell, unit));
    else if (role.startsWith('of ')) ofUnit.push({ unit: role.slice(3) as Unit, cell: withUnit(cell, unit) });
    else ratings[role] = withUnit(cell, unit);
  }
  const kind = kindOf(texts.kind ?? '', texts.name ?? '', values.join(' '), undefined);
  if ('why' in kind) return { texts, ratings };
  for (const { unit, cell } of ofUnit) {
    const rating = ratingFromUnit(kind.kind, unit);
    if (rating) ratings[rating] = cell;
  }
  for (const [rating, value] of Object.entries(described(kind.kind, values))) ratings[rating] ??= value;
  return { texts: { ...texts, kind: kind.kind }, ratings };
}

/** Values of a description, by the ratings of the kind. */
function described(kind: KindName, values: readonly string[]): Partial<Record<RatingName, string>> {
  const read = values.length === 0 ? undefined : readQuestion(`kind:${kind} ${values.join(' ')}`);
  if (!read?.ok) return {};
  const { ratings } = kindRule(kind);
  return Object.fromEntries(
    read.filter.demands.flatMap(({ rating, value }) => (ratings.includes(rating) ? [[rating, String(value)]] : [])),
  );
}
