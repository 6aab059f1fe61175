import { isKindName, isRatingName, KIND_NAMES, kindFromWord, kindRule, RATINGS, type RatingName } from '../part';
import { parseQuantity, UNITS } from '../quantity';
import { FILE_SOURCES, LONGEST_NAME, type EntryRating, type TypeEntry } from './entry';
import type { Source } from '../evidence';

/** A rating of a file that keeps values as numbers. */
export interface RawRating {
  readonly value: number;
  readonly source: string;
  readonly page?: number | undefined;
}

/** A row of a file before it is held against the rules: every field a text. */
export interface RawEntry {
  readonly kind: string;
  readonly name: string;
  readonly aliases: string;
  readonly technology: string;
  readonly package: string;
  readonly note: string;
  /** Source of ratings that state none. */
  readonly source: string;
  /** Ratings by name: each a cell like `650 V; datasheet p. 3`, or a value in SI base units with its source. */
  readonly ratings: Readonly<Record<string, string | RawRating>>;
}

/** Reads one row, or says which of its values is wrong and what was expected. */
export function readEntry(raw: RawEntry): TypeEntry | { readonly why: string } {
  const name = raw.name.trim().toUpperCase();
  if (name === '') return { why: 'The name is missing; a number such as IRF840 is expected.' };
  if (name.length > LONGEST_NAME)
    return { why: `The name has ${name.length} characters; ${LONGEST_NAME} at most are expected.` };
  const word = raw.kind.trim().toLowerCase();
  const kind = isKindName(word) ? word : kindFromWord(word);
  if (!kind)
    return {
      why: `Kind “${raw.kind.trim()}” is not known; one of ${KIND_NAMES.slice(0, 8).join(', ')} … is expected.`,
    };
  const stated = raw.source.trim().toLowerCase();
  if (stated !== '' && !isFileSource(stated)) return { why: sourceProblem(stated) };
  const usual = stated === '' ? undefined : stated;
  const ratings: Partial<Record<RatingName, EntryRating>> = {};
  for (const [rating, given] of Object.entries(raw.ratings)) {
    if (typeof given === 'string' && given.trim() === '') continue;
    if (!isRatingName(rating) || !kindRule(kind).ratings.includes(rating))
      return {
        why: `A ${kindRule(kind).label} has no rating “${rating}”; ${kindRule(kind).ratings.join(', ') || 'none'} are expected.`,
      };
    const read = typeof given === 'string' ? readRating(rating, given, usual) : checkRating(rating, given);
    if ('why' in read) return read;
    ratings[rating] = read;
  }
  const aliases = raw.aliases
    .split(/[,;|]/)
    .map((alias) => alias.trim().toUpperCase())
    .filter((alias) => alias !== '' && alias !== name);
  return {
    kind,
    name,
    aliases: [...new Set(aliases)],
    technology: raw.technology.trim(),
    package: raw.package.trim(),
    note: raw.note.trim(),
    ratings,
  };
}

function readRating(name: RatingName, text: string, usual: Source | undefined): EntryRating | { readonly why: string } {
  const [amount = '', ...rest] = text.split(';');
  const { unit, label } = RATINGS[name];
  const parsed = parseQuantity(amount.trim().replace(/^'/, ''), unit);
  if (!parsed.ok)
    return {
      why: `${label} “${amount.trim()}” is unreadable; a ${UNITS[unit].word} such as ${UNITS[unit].example} is expected.`,
    };
  const said = rest.join(' ').trim().toLowerCase();
  const page = /\bp(?:age)?\.?\s*(\d{1,4})\b/.exec(said)?.[1];
  const source =
    /^[a-z]+/.exec(said.replace(/\bp(?:age)?\.?\s*\d+/, '').trim())?.[0] ?? usual ?? (page ? 'datasheet' : 'typed');
  if (!isFileSource(source)) return { why: sourceProblem(source) };
  return { value: parsed.quantity.value, source, ...(page ? { page: Number(page) } : {}) };
}

function checkRating(name: RatingName, { value, source, page }: RawRating): EntryRating | { readonly why: string } {
  if (!Number.isFinite(value))
    return {
      why: `${RATINGS[name].label} “${value}” is no number; a value in ${UNITS[RATINGS[name].unit].word} is expected.`,
    };
  const word = source.trim().toLowerCase();
  if (!isFileSource(word)) return { why: sourceProblem(word) };
  return { value, source: word, ...(page === undefined ? {} : { page }) };
}

function isFileSource(word: string): word is Source {
  return (FILE_SOURCES as readonly string[]).includes(word);
}

function sourceProblem(word: string): string {
  return word === 'measured'
    ? 'Source “measured” is one part’s own and no fact of the number; datasheet, decoded or typical is expected.'
    : `Source “${word}” is not known; one of ${FILE_SOURCES.join(', ')} is expected.`;
}
