import { SOURCES, type Source } from '../evidence';
import { BIN_CODE, readCode } from '../ident';
import { isUse, USE_NAMES, type Limit } from '../measure';
import {
  isKindName,
  isRatingName,
  kindFromWord,
  kindRule,
  RATING_NAMES,
  RATINGS,
  type KindName,
  type RatingName,
} from '../part';
import { formatShorthand, parseQuantity, problemText, UNITS } from '../quantity';
import type { Steps } from '../steps';
import { neutralised, plainCell, type RefusedLine } from '../table';
import type { RawLimit, RawLot, RawRating } from './rawLot';
import { columnsOf, type SheetColumn } from './sheet/columns';
import { TEXT_COLUMNS, type ColumnRole } from './sheet/roles';
import { decodedRatings, readRow } from './sheet/row';

/** A lot as a file carries it. */
export interface LotEntry {
  /** Empty for one that gets a code of its own. */
  readonly code: string;
  readonly kind: KindName;
  readonly subtype: string;
  readonly technology: string;
  readonly marking: string;
  readonly package: string;
  readonly grade: '' | 'A' | 'B' | 'C';
  readonly limits: readonly Limit[];
  readonly pieces: number;
  readonly bin: string;
  readonly note: string;
  readonly ratings: Readonly<
    Partial<Record<RatingName, { readonly value: number; readonly source: Source; readonly confidence?: number }>>
  >;
}

export interface ReadLot {
  readonly line: number;
  readonly entry: LotEntry;
}

const TEXTS = TEXT_COLUMNS;
type Column = (typeof TEXTS)[number];
type TextOnly = Exclude<Column, 'pieces' | 'limits'>;
const LONGEST = 120;
const MOST_PIECES = 1_000_000;

/** Lots as a table: a heading, then a row each; only ratings that some lot has get a column. No cell begins a formula. */
export function lotTable(lots: readonly LotEntry[]): string[][] {
  const used = RATING_NAMES.filter((name) => lots.some(({ ratings }) => ratings[name]));
  return [
    [...TEXTS, ...used],
    ...lots.map((lot) => [
      ...TEXTS.map((column) =>
        neutralised(column === 'limits' ? lot.limits.map(limitWord).join(', ') : String(lot[column])),
      ),
      ...used.map((name) => {
        const rating = lot.ratings[name];
        return rating ? neutralised(`${formatShorthand(rating.value, RATINGS[name].unit, 9)}; ${rating.source}`) : '';
      }),
    ]),
  ];
}

/** A limit as a file has it: the use it forbids, or a rating with its share, like `vds 80%`. */
const limitWord = (limit: Limit): string =>
  limit.kind === 'not-for' ? `no ${limit.use}` : `${limit.rating} ${Number((100 * limit.share).toPrecision(6))}%`;

/** Numbers of parts are read in lists up to so many rows: in longer ones that would take minutes. */
const DECODED_UP_TO = 20_000;
/** Columns of which one at least is needed. */
const TELLING_WHAT: readonly ColumnRole[] = ['kind', 'marking', 'values', 'of farad', 'of henry', 'of ohm'];
/** Rows between two pauses. */
const ROWS_A_STEP = 1000;

/** What a person says of a list that its heading does not. */
export interface SheetSaid {
  /** What each column is, where it was put right. */
  readonly roles?: readonly (ColumnRole | undefined)[];
  /** Where pieces lie of which the list says nothing. */
  readonly bin?: string;
  /** Codes are the list’s own, whatever they look like: it is only read, not brought in. */
  readonly keepsCodes?: boolean;
}

export interface ReadSheet {
  /** Stock wrote it itself: it says all there is. */
  readonly isOwn: boolean;
  readonly columns: readonly SheetColumn[];
  readonly read: readonly ReadLot[];
  readonly refused: readonly RefusedLine[];
}

/**
 * Reads a list of lots from any spreadsheet: its columns are known by name, by what people call them, or by what stands in them. A
 * column may hold one rating, one quantity, or several values at once; the number of a part tells what the list leaves out. Every row
 * is read, or refused with the column and the value that is wrong.
 * @param rows cells by row, the heading first
 */
export function* readLotTable(
  rows: readonly (readonly string[])[],
  { roles = [], bin = '', keepsCodes = false }: SheetSaid = {},
): Steps<ReadSheet> {
  // A title may stand over the heading.
  const from = Math.max(
    0,
    rows.findIndex((cells) => cells.filter((cell) => cell.trim() !== '').length > 1),
  );
  const body = rows.slice(from + 1);
  const columns = columnsOf(rows.slice(from), roles);
  const isOwn = TEXTS.every((name) => columns.some(({ role, by }) => role === name && by === 'name'));
  const has = (role: ColumnRole) => columns.some((column) => column.role === role);
  const refused: RefusedLine[] = columns
    .filter(
      ({ role, heading, samples, by }) =>
        role === 'nothing' && by !== 'person' && by !== 'alias' && (heading !== '' || samples.length > 0),
    )
    .map(({ heading }) => ({
      line: 1,
      what: heading,
      why: `Column “${heading}” is left out: nothing tells what it is. Say what it is if it is needed.`,
    }));
  const headings = columns
    .map(({ heading }) => heading)
    .join(', ')
    .slice(0, 80);
  const useless = (why: string): ReadSheet => ({
    isOwn,
    columns,
    read: [],
    refused: [{ line: 1, what: headings, why }, ...refused],
  });
  if (!TELLING_WHAT.some(has))
    return useless('No column says what the parts are: one for the kind, the marking or the values is expected.');
  if (!has('bin') && bin === '')
    return useless('No column says where the parts lie: say which column is the bin, or give one bin for all.');
  const isDecoded = !isOwn && body.length <= DECODED_UP_TO;
  if (!isOwn && !isDecoded && has('marking'))
    refused.push({
      line: 1,
      what: headings,
      why: `Of more than ${DECODED_UP_TO} rows the numbers of the parts are not read for what the list leaves out. Bring it in parts if they should be.`,
    });
  const read: ReadLot[] = [];
  const seen = new Map<string, number>();
  for (const [index, cells] of body.entries()) {
    if (index % ROWS_A_STEP === 0) yield index / body.length;
    const line = from + index + 2;
    if (cells.every((cell) => cell.trim() === '')) continue;
    const row = readRow(
      columns,
      cells.map((cell) => plainCell(cell.trim())),
      bin,
    );
    const entry = 'why' in row ? row : readLotEntry(row.raw, keepsCodes);
    const what = columns
      .flatMap(({ role }, place) =>
        ['code', 'kind', 'marking', 'values'].includes(role) ? [(cells[place] ?? '').trim()] : [],
      )
      .filter((cell) => cell !== '')
      .join(' ')
      .slice(0, 60);
    if ('why' in entry) refused.push({ line, what, why: entry.why });
    else if (entry.code !== '' && seen.has(entry.code))
      refused.push({ line, what, why: `Line ${seen.get(entry.code)} has the code ${entry.code} already.` });
    else {
      if (entry.code !== '') seen.set(entry.code, line);
      const decoded = isDecoded ? decodedRatings(entry.kind, entry.marking, entry.package, entry.ratings) : {};
      read.push({ line, entry: { ...entry, ratings: { ...decoded, ...entry.ratings } } });
    }
  }
  return { isOwn, columns, read, refused };
}

function ratingOf(column: string): RatingName | undefined {
  const name = column.replace(/\s*[([].*$/, '');
  return isRatingName(name) ? name : RATING_NAMES.find((rating) => rating.toLowerCase() === name.toLowerCase());
}

/** Reads one lot, or says which of its values is wrong and what was expected. @param keepsCodes its code stands as it is written */
export function readLotEntry(raw: RawLot, keepsCodes = false): LotEntry | { readonly why: string } {
  const text = (column: TextOnly) => (raw.texts[column] ?? '').trim();
  const all = { ...raw.texts, ...(typeof raw.limits === 'string' ? { limits: raw.limits } : {}) };
  for (const column of TEXTS) {
    const { length } = ((all as Partial<Record<Column, string>>)[column] ?? '').trim();
    if (length > LONGEST) return { why: `The ${column} has ${length} characters; ${LONGEST} at most are expected.` };
  }
  const word = text('kind').toLowerCase();
  const kind = isKindName(word) ? word : kindFromWord(word);
  if (!kind)
    return { why: `Kind “${text('kind')}” is not known; a word such as nmos, capacitor or choke is expected.` };
  const code = text('code') === '' ? '' : readCode(text('code'));
  if (!keepsCodes && (code === undefined || (code !== '' && code.owner !== 'lot')))
    return { why: `Code “${text('code')}” is no lot’s code; leave it out to get a new one.` };
  const given = String(raw.pieces).trim();
  const pieces = Number(given);
  if (given === '' || !Number.isInteger(pieces) || pieces < 1 || pieces > MOST_PIECES)
    return { why: `Pieces “${given}”: a whole number from 1 to ${MOST_PIECES} is expected.` };
  const bin = text('bin').toUpperCase();
  if (!BIN_CODE.pattern.test(bin)) return { why: `Bin “${text('bin')}”: ${BIN_CODE.expected}` };
  const grade = text('grade').toUpperCase();
  if (grade !== '' && grade !== 'A' && grade !== 'B' && grade !== 'C')
    return { why: `Grade “${text('grade')}”: A, B, C or nothing is expected.` };
  const limits = typeof raw.limits === 'string' ? readLimits(raw.limits) : checkLimits(raw.limits);
  if ('why' in limits) return limits;
  const ratings = readRatings(kind, raw.ratings);
  if ('why' in ratings) return ratings;
  return {
    code: keepsCodes ? text('code') : code === undefined || code === '' ? '' : code.code,
    kind,
    subtype: text('subtype'),
    technology: text('technology'),
    marking: text('marking'),
    package: text('package'),
    grade,
    limits: limits.limits,
    pieces,
    bin,
    note: text('note'),
    ratings: ratings.ratings,
  };
}

const isShare = (percent: number): boolean => percent >= 1 && percent <= 100;
const limitProblem = (said: string) => ({
  why: `Limit “${said}”: a use such as no mains (${USE_NAMES.join(', ')}) or a share from 1 to 100 such as vds 80% is expected.`,
});

function readLimits(text: string): { limits: readonly Limit[] } | { why: string } {
  const limits: Limit[] = [];
  for (const word of text
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')) {
    const use = /^(?:no|not for)\s+(\S+)$/i.exec(word)?.[1]?.toLowerCase() ?? '';
    const share = /^(\S+)\s+(?:to\s+)?(\d+(?:\.\d+)?)\s*%$/.exec(word);
    const rating = share?.[1] ? ratingOf(share[1]) : undefined;
    if (isUse(use)) limits.push({ kind: 'not-for', use });
    else if (rating && isShare(Number(share?.[2])))
      limits.push({ kind: 'derated', rating, share: Number(share?.[2]) / 100 });
    else return limitProblem(word);
  }
  return { limits };
}

function checkLimits(given: readonly RawLimit[]): { limits: readonly Limit[] } | { why: string } {
  const limits: Limit[] = [];
  for (const limit of given) {
    if (limit.kind === 'not-for') {
      if (!isUse(limit.use)) return limitProblem(`no ${limit.use}`);
      limits.push({ kind: 'not-for', use: limit.use });
    } else {
      const rating = ratingOf(limit.rating);
      if (!rating || !isShare(100 * limit.share)) return limitProblem(`${limit.rating} ${100 * limit.share}%`);
      limits.push({ kind: 'derated', rating, share: limit.share });
    }
  }
  return { limits };
}

function readRatings(kind: KindName, given: RawLot['ratings']): { ratings: LotEntry['ratings'] } | { why: string } {
  const ratings: Partial<Record<RatingName, { value: number; source: Source }>> = {};
  for (const [name, entry] of Object.entries(given)) {
    if ((typeof entry === 'string' && entry.trim() === '') || !isRatingName(name)) continue;
    if (!kindRule(kind).ratings.includes(name))
      return {
        why: `A ${kindRule(kind).label} has no rating “${name}”; ${kindRule(kind).ratings.join(', ') || 'none'} are expected.`,
      };
    const raw = typeof entry === 'string' ? readRating(name, entry) : checkValue(name, entry);
    if ('why' in raw) return raw;
    const source = SOURCES.find((one) => one === raw.source.trim().toLowerCase());
    if (!source) return { why: `Source “${raw.source}”: one of ${SOURCES.join(', ')} is expected.` };
    ratings[name] = { value: raw.value, source };
  }
  return { ratings };
}

/** A cell such as `650 V; datasheet`; a value without a source is only typed. */
function readRating(name: RatingName, cell: string): RawRating | { why: string } {
  const [valueText = '', source = 'typed'] = cell.split(';').map((part) => part.trim());
  const parsed = parseQuantity(valueText, RATINGS[name].unit);
  if (!parsed.ok) return { why: `${RATINGS[name].label}: ${problemText(parsed.problem)}` };
  return { value: parsed.quantity.value, source };
}

function checkValue(name: RatingName, { value, source }: RawRating): RawRating | { why: string } {
  const { label, unit } = RATINGS[name];
  if (!Number.isFinite(value) || (value < 0 && !UNITS[unit].signed))
    return { why: `${label} “${value}”: a ${UNITS[unit].word} of zero or more is expected.` };
  return { value, source };
}
