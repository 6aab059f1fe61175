import { packageFromWord } from '../../part';
import { readFigure } from '../question/readFigure';
import { senseOf } from '../question/senseOf';
import { roleOfHeading, type ColumnRole } from './roles';

/** A column of a list as it was understood. */
export interface SheetColumn {
  readonly heading: string;
  readonly role: ColumnRole;
  /** By what it was known: the name that Stock writes, another name, what stands in it, or a person said so. */
  readonly by: 'name' | 'alias' | 'content' | 'person' | 'none';
  /** Behind bare figures of it. */
  readonly unit?: string;
  /** The first cells that hold something. */
  readonly samples: readonly string[];
}

const LOOKED_AT = 200;
const SAMPLES = 3;
/** So many of the cells must look alike. */
const MOSTLY = 0.6;
/** Columns of which one is enough. */
const ONCE: ReadonlySet<ColumnRole> = new Set(['code', 'kind', 'pieces', 'bin', 'package', 'grade', 'marking']);

/**
 * What each column of a list is: by the name of its heading, by what people call it, else by what stands in it. What a person said of a
 * column comes first.
 */
export function columnsOf(
  rows: readonly (readonly string[])[],
  said: readonly (ColumnRole | undefined)[] = [],
): readonly SheetColumn[] {
  const [heading = [], ...body] = rows;
  const looked = body.slice(0, LOOKED_AT);
  const cellsOf = (place: number) => looked.map((row) => (row[place] ?? '').trim()).filter((cell) => cell !== '');
  const headed = heading.map((cell) => roleOfHeading(cell));
  const taken = new Set<ColumnRole>();
  const take = (role: ColumnRole) => {
    if (ONCE.has(role)) taken.add(role);
    return role;
  };
  for (const role of said) if (role) take(role);
  const known = heading.map((cell, place): SheetColumn | undefined => {
    const { role, by, unit } = headed[place] ?? { role: undefined, by: 'alias' };
    const cells = cellsOf(place);
    const column = { heading: cell.trim(), ...(unit === undefined ? {} : { unit }), samples: cells.slice(0, SAMPLES) };
    const own = said[place];
    if (own) return { ...column, role: own, by: 'person' };
    if (!role || (ONCE.has(role) && taken.has(role))) return undefined;
    // “Type” is the kind of part in one list and its number in another: what stands there decides.
    const meant = by === 'alias' ? (fits(role, cells) ? role : byContent(cells, taken)) : role;
    if (!meant || (ONCE.has(meant) && taken.has(meant))) return undefined;
    return { ...column, role: take(meant), by: meant === role ? by : 'content' };
  });
  return heading.map((cell, place): SheetColumn => {
    const found = known[place];
    if (found) return found;
    const cells = cellsOf(place);
    const role = byContent(cells, taken);
    return {
      heading: cell.trim(),
      role: role ? take(role) : 'nothing',
      by: role ? 'content' : 'none',
      ...(headed[place]?.unit === undefined ? {} : { unit: headed[place].unit }),
      samples: cells.slice(0, SAMPLES),
    };
  });
}

const share = (cells: readonly string[], is: (cell: string) => boolean) =>
  cells.length === 0 ? 0 : cells.filter(is).length / cells.length;
const isKind = (cell: string) => senseOf(cell.toLowerCase()) !== undefined;
const isCount = (cell: string) => /^(?:~|ca\.?\s*)?\d{1,6}(?:\s*(?:x|pcs?|pieces?|stk|stück|st)\.?)?$/i.test(cell);
const isCase = (cell: string) => packageFromWord(cell.replace(/ /g, '-')) !== undefined;
const isBin = (cell: string) => /^[a-z]{1,2}\d{1,2}(?:-\d{1,3})?$/i.test(cell);
const isType = (cell: string) =>
  /^(?=.*\d)(?=.*[a-z])[a-z\d][a-z\d\-/.]{3,}$/i.test(cell) && readFigure(cell) === undefined && !isBin(cell);
const isValue = (cell: string) =>
  cell.split(/[\s,;/]+/).some((word) => readFigure(word) !== undefined && !/^\d+$/.test(word));

/** Whether the cells of a column may be what its heading says. */
function fits(role: ColumnRole, cells: readonly string[]): boolean {
  if (cells.length === 0) return true;
  switch (role) {
    case 'kind':
      return share(cells, isKind) >= MOSTLY;
    case 'pieces':
      return share(cells, (cell) => /\d/.test(cell)) >= MOSTLY && share(cells, isKind) < MOSTLY;
    case 'marking':
      return share(cells, isKind) < MOSTLY;
    case 'values':
    case 'note':
    case 'bin':
    case 'package':
    case 'grade':
    case 'subtype':
    case 'technology':
    case 'nothing':
    case 'code':
    case 'limits':
      return true;
    default:
      // A rating or a quantity holds figures.
      return share(cells, (cell) => /^[\d.,+-]/.test(cell)) >= MOSTLY;
  }
}

/** What stands in a column whose heading says nothing. */
function byContent(cells: readonly string[], taken: ReadonlySet<ColumnRole>): ColumnRole | undefined {
  const looks: readonly (readonly [ColumnRole, (cell: string) => boolean])[] = [
    ['kind', isKind],
    ['package', isCase],
    ['pieces', isCount],
    ['bin', isBin],
    ['marking', isType],
    ['values', isValue],
  ];
  return looks.find(([role, is]) => !taken.has(role) && share(cells, is) >= MOSTLY)?.[0];
}
