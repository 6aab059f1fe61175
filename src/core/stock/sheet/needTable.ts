import { KIND_NAMES, kindRule, packageFromWord, type KindName } from '../../part';
import type { RefusedLine } from '../../table';
import { asNeedQuestion, partDuty } from '../duty/duty';
import { readFigure } from '../question/readFigure';
import { questionProblemText, readQuestion } from '../question/readQuestion';
import { filterText } from '../question/say';
import type { Demand } from '../filter';
import { columnsOf, type SheetColumn } from './columns';
import { ROLE_NAMES, roleOfHeading, type ColumnRole } from './roles';
import { kindOf, withUnit } from './row';

/** What a column of a list of needs is: as in a list of lots, or what the part is for in the build. */
export type NeedRole = ColumnRole | 'for';
export interface NeedColumn extends Omit<SheetColumn, 'role'> {
  readonly role: NeedRole;
}

const LEFT_OUT: ReadonlySet<string> = new Set(['bin', 'code', 'limits', 'grade']);

/** Every role of a list of needs, with what a person is told of it. */
export const NEED_ROLE_NAMES: Readonly<Record<string, string>> = {
  for: 'what it is for',
  ...Object.fromEntries(Object.entries(ROLE_NAMES).filter(([name]) => !LEFT_OUT.has(name))),
};
export const isNeedRole = (text: string): text is NeedRole => Object.hasOwn(NEED_ROLE_NAMES, text);

/** What people call the column that says what a part is for. Common practice, no source. */
const FOR =
  /^(?:for|role|purpose|used (?:as|for|in)|function|where|designators?|refs?|references?|ref(?:erence)? ?des(?:ignators?)?|position|zweck|verwendung|für|funktion|referenz|repères?|rôle|fonction|pour)$/i;

/** A line of a list of needs, read. */
export interface ReadNeed {
  readonly line: number;
  readonly role: string;
  /** In the words of a question to the drawers. */
  readonly filter: string;
  readonly quantity: number;
}

export interface ReadNeeds {
  readonly columns: readonly NeedColumn[];
  readonly read: readonly ReadNeed[];
  readonly refused: readonly RefusedLine[];
}

const MOST_PIECES = 1000;
const LONGEST_ROLE = 60;

/**
 * Reads a list of needs: a table from any spreadsheet, whose columns are known as those of lots are, or lines as a person writes them,
 * `output: 3 x 1000u 25V low esr`. Each line becomes a question to the drawers; what is none is refused with the reason.
 * @param rows cells by row
 * @param said what a person put right of the columns
 */
export function readNeedTable(
  rows: readonly (readonly string[])[],
  said: readonly (NeedRole | undefined)[] = [],
): ReadNeeds {
  const from = rows.findIndex((cells) => cells.some((cell) => cell.trim() !== ''));
  const table = rows.slice(Math.max(0, from));
  const columns = needColumns(table, said);
  const isHeading = (cell: string) => FOR.test(cell.trim()) || roleOfHeading(cell).role !== undefined;
  const isTable = said.length > 0 || (table[0] ?? []).filter(isHeading).length >= 2;
  const read: ReadNeed[] = [];
  const refused: RefusedLine[] = [];
  for (const [index, cells] of (isTable ? table.slice(1) : table).entries()) {
    if (cells.every((cell) => cell.trim() === '')) continue;
    const line = Math.max(0, from) + index + (isTable ? 2 : 1);
    const what = cells.join(' ').trim().slice(0, 60);
    const need = asNeed(isTable ? inColumns(columns, cells) : inWords(cells.join(' ')));
    if ('why' in need) refused.push({ line, what, why: need.why });
    else read.push({ line, ...need });
  }
  return { columns: isTable ? columns : [], read, refused };
}

function needColumns(rows: readonly (readonly string[])[], said: readonly (NeedRole | undefined)[]): NeedColumn[] {
  const forPlace = said.includes('for')
    ? said.indexOf('for')
    : (rows[0] ?? []).findIndex((heading, place) => FOR.test(heading.trim()) && said[place] === undefined);
  const others = said.map((role) => (role === 'for' ? undefined : role));
  // What a part is for says nothing of what it is: the column is set apart before the others are looked at.
  const without = rows.map((cells) => cells.map((cell, place) => (place === forPlace ? '' : cell)));
  return columnsOf(without, others).map((column, place): NeedColumn => {
    if (place !== forPlace) return LEFT_OUT.has(column.role) ? { ...column, role: 'nothing' } : column;
    const samples = rows.slice(1).flatMap((cells) => (cells[place]?.trim() ? [cells[place].trim()] : []));
    return {
      ...column,
      heading: (rows[0]?.[place] ?? '').trim(),
      samples: samples.slice(0, 3),
      role: 'for',
      by: said[place] === 'for' ? 'person' : 'alias',
    };
  });
}

/** What a line says, still in its own words. */
interface Said {
  readonly role: string;
  readonly kind: string;
  readonly marking: string;
  readonly values: string;
  readonly quantity: string;
}

function inColumns(columns: readonly NeedColumn[], cells: readonly string[]): Said {
  const of: Record<'for' | 'kind' | 'marking' | 'pieces', string> = { for: '', kind: '', marking: '', pieces: '' };
  const values: string[] = [];
  for (const [place, { role, unit }] of columns.entries()) {
    const cell = (cells[place] ?? '').trim();
    if (cell === '' || role === 'nothing' || role === 'note') continue;
    if (role === 'for' || role === 'kind' || role === 'marking' || role === 'pieces') of[role] = cell;
    else if (role === 'values' || role === 'package' || role === 'subtype' || role === 'technology')
      values.push(withUnit(cell, unit));
    else if (role.startsWith('of ')) values.push(withUnit(cell, unit));
    else values.push(`${role} ${withUnit(cell, unit)}`);
  }
  return { role: of.for, kind: of.kind, marking: of.marking, values: values.join(' '), quantity: of.pieces };
}

/** `output: 3 x 1000u 25V`, `2 nmos 600V 10A (switch)`, `resistor 0R22 2W x 4`. */
function inWords(text: string): Said {
  const told = /^([^:=]{1,60}?)\s*[:=]\s+(.+)$/.exec(text.trim());
  const [before, behind] = [told?.[1] ?? '', told?.[2] ?? text];
  const [, inBrackets = ''] = /\(([^()]{1,60})\)\s*$/.exec(behind) ?? [];
  const plain = behind.replace(/\s*\([^()]*\)\s*$/, '').trim();
  const [, first, rest] = /^(\d{1,4})\s*(?:x|×|pcs?|pieces?|stk|stück|off?|of)\s+(.+)$/i.exec(plain) ?? [];
  const [, what, last] = /^(.+?)\s*(?:x|×)\s*(\d{1,4})$/i.exec(rest ?? plain) ?? [];
  const [, count, bare] = /^(\d{1,3})\s+(?=[a-zäöüß])(.+)$/i.exec(rest ?? what ?? plain) ?? [];
  return {
    role: before || inBrackets,
    kind: '',
    marking: '',
    values: bare ?? what ?? rest ?? plain,
    quantity: first ?? last ?? count ?? '',
  };
}

function asNeed({ role, kind, marking, values, quantity }: Said): Omit<ReadNeed, 'line'> | { readonly why: string } {
  const refs = role.split(/[\s,;]+/).filter((word) => /^[a-z]{1,4}\d+[a-z]?$/i.test(word));
  const isRefs = refs.length > 0 && role.replace(/[\s,;]+/g, '').length === refs.join('').length;
  const byLetters = isRefs ? kindOfLetters(refs[0] ?? '') : undefined;
  const { asked: bare, behind } = partDuty(asNeedQuestion(values));
  // A number alone tells what it is.
  const number = marking !== '' || kind !== '' ? marking : (bare.split(' ').find(isNumber) ?? '');
  const found = kindOf(kind, number, bare, byLetters);
  if ('why' in found) return { why: found.why };
  const asked = kind !== '' ? kind : (found.asked?.words ?? kindRule(found.kind).words[0] ?? found.kind);
  // What it is put under is said last.
  const question = (words: string) =>
    readQuestion([words, bare, marking, behind && `duty ${behind}`].filter((word) => word).join(' '));
  const plain = question(kind === '' && found.asked ? '' : asked);
  const read = plain.ok && plain.filter.kind ? plain : question(kindRule(found.kind).words[0] ?? found.kind);
  if (!read.ok) return { why: questionProblemText(read.problem) };
  if (!read.filter.kind) return { why: `“${values}”: name the kind of part, like nmos 600V or capacitor 470u 35V.` };
  const given = quantity.replace(/\D+/g, ' ').trim();
  const pieces = quantity.trim() === '' ? (isRefs ? refs.length : 1) : Number(given || NaN);
  if (!Number.isInteger(pieces) || pieces < 1 || pieces > MOST_PIECES)
    return { why: `Pieces “${quantity}”: a whole number from 1 to ${MOST_PIECES} is expected.` };
  return {
    role: (role || read.filter.kind.says).slice(0, LONGEST_ROLE),
    filter: filterText({ ...read.filter, demands: read.filter.demands.map(asLeast) }),
    quantity: pieces,
  };
}

/** A word of letters and digits such as TL431 that is neither a value nor a case. */
const isNumber = (word: string): boolean =>
  /^(?=.*[a-z])(?=.*\d)[a-z\d-]{4,}$/i.test(word) &&
  readFigure(word) === undefined &&
  packageFromWord(word) === undefined;

/** What a part is said to take is the least that it must. */
const asLeast = (demand: Demand): Demand => {
  if (demand.rating !== 'power' || demand.comparison !== 'about') return demand;
  const { within: _within, ...rest } = demand;
  return { ...rest, comparison: 'at-least' };
};

/** The kind that the letters of a reference stand for, where they stand for one. */
function kindOfLetters(ref: string): KindName | undefined {
  const letters = /^[a-z]+/i.exec(ref)?.[0].toUpperCase() ?? '';
  const kinds = KIND_NAMES.filter((kind) => kindRule(kind).prefixes[0] === letters);
  return kinds.length === 1 ? kinds[0] : undefined;
}
