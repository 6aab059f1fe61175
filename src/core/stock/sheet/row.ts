import { BIN_CODE } from '../../ident';
import { decodeMarking, type Decoding } from '../../marking';
import {
  isKindName,
  kindFromWord,
  kindRule,
  ratingFromUnit,
  RATINGS,
  type KindName,
  type RatingName,
} from '../../part';
import { DAMAGE_WORDS, damageFromWord, packageFromWord } from '../../part';
import type { Unit } from '../../quantity';
import type { AskedKind, StockFilter } from '../filter';
import { readQuestion } from '../question/readQuestion';
import type { RawLot } from '../rawLot';
import type { SheetColumn } from './columns';
import { TEXT_COLUMNS, type TextColumn } from './roles';

/** A row in the terms of a lot, or why it cannot be one, with the column that says so. */
export type ReadRow = { readonly raw: RawLot; readonly seen: StockFilter | undefined } | { readonly why: string };

const CONDEMNED =
  /^(?:defekt|defect(?:ive)?|bad|faulty|dead|kaputt|hs|scrap|schrott|waste|broken|blown|shorted|failed|fail|mort|grillé)$/i;
/** Kinds between which it does not matter for a list which one a word means. */
const FAMILIES: readonly (readonly KindName[])[] = [['diode', 'dual-diode']];
/** A reading of a marking is taken for the kind from here up. */
const SURE = 0.5;
/** And for what its number tells from here up: a guess at a number is no rating. */
const TOLD_FROM = 0.8;

/** Reads a row of a list by what its columns are. @param bin where pieces lie of which the list says nothing */
export function readRow(columns: readonly SheetColumn[], cells: readonly string[], bin: string): ReadRow {
  const texts: Partial<Record<TextColumn, string>> = {};
  const ratings: Record<string, string> = {};
  const ofUnit: { unit: Unit; cell: string; heading: string }[] = [];
  const values: string[] = [];
  const notes: string[] = [];
  for (const [place, { role, unit, heading }] of columns.entries()) {
    const cell = (cells[place] ?? '').trim();
    if (cell === '' || role === 'nothing') continue;
    if (role === 'note') notes.push(cell);
    else if (role === 'values') values.push(withUnit(cell, unit));
    else if (isText(role)) texts[role] = cell;
    else if (role.startsWith('of ')) ofUnit.push({ unit: role.slice(3) as Unit, cell: withUnit(cell, unit), heading });
    else ratings[role] = withUnit(cell, unit);
  }
  const condemned = condemnedBy([texts.grade ?? '', ...notes]);
  if (condemned) return { why: `It is called “${condemned}”: what is condemned does not come in as stock.` };
  const described = values.join(' ');
  const told = TELLING.find(([unit]) => ofUnit.some((one) => one.unit === unit))?.[1];
  const kind = kindOf(texts.kind ?? '', texts.marking ?? '', described, told);
  if ('why' in kind) return kind;
  const seen = described === '' ? undefined : readQuestion(`kind:${kind.kind} ${kind.asked?.words ?? ''} ${described}`);
  const filter = seen?.ok ? seen.filter : undefined;
  for (const demand of filter?.demands ?? []) ratings[demand.rating] ??= `${demand.value}`;
  for (const { unit, cell, heading } of ofUnit) {
    const rating = ratingFromUnit(kind.kind, unit);
    if (rating === undefined) return { why: `Column “${heading}”: a ${kindRule(kind.kind).label} has no such rating.` };
    ratings[rating] = cell;
  }
  const grade = texts.grade ?? '';
  const isOwnGrade = columns.some(({ role, by }) => role === 'grade' && by === 'name');
  const isGrade = /^[abc]$/i.test(grade) || grade === '' || isOwnGrade;
  if (!isGrade) notes.push(grade);
  const place = binOf(texts.bin ?? '', bin);
  if (place.was) notes.push(`was in ${place.was}`);
  const variant = texts.subtype ?? kind.asked?.variants?.[0] ?? filter?.kind?.variants?.[0] ?? '';
  const asVariant = kind.kind === 'dual-diode' ? 'technology' : 'subtype';
  const word = filter?.words.find((one) => /\d/.test(one));
  const marking = texts.marking ?? (word === undefined ? '' : word.toUpperCase());
  const { pieces: given, limits, ...words } = texts;
  return {
    raw: {
      texts: {
        ...words,
        kind: kind.kind,
        marking,
        [asVariant]: texts[asVariant] ?? variant,
        package: caseOf(texts.package) ?? filter?.packages?.[0] ?? '',
        grade: isGrade ? grade : '',
        bin: place.bin,
        note: notes.join('; ').slice(0, LONGEST_NOTE),
      },
      pieces: piecesOf(given),
      limits: limits ?? '',
      ratings,
    },
    seen: filter,
  };
}

/** Quantities that tell by themselves what a part is. */
const TELLING: readonly (readonly [Unit, KindName])[] = [
  ['farad', 'capacitor'],
  ['henry', 'inductor'],
  ['ohm', 'resistor'],
];

const LONGEST_NOTE = 120;
const isText = (role: string): role is TextColumn => (TEXT_COLUMNS as readonly string[]).includes(role);

/** A bare figure with the unit of its heading, decimal commas as points. */
export function withUnit(cell: string, unit: string | undefined): string {
  const plain = /^-?\d+,\d+(?=\D*$)/.test(cell) && !/^\d{1,3}(?:,\d{3})+$/.test(cell) ? cell.replace(',', '.') : cell;
  return unit !== undefined && /^-?[\d.]+$/.test(plain) ? `${plain}${unit}` : plain;
}

/** How many: “12 pcs”, “~20”, `1.000`; one where nothing is said. */
function piecesOf(text: string | undefined): string {
  if (text === undefined || text.trim() === '') return '1';
  const plain = text.replace(/(\d)[.,](?=\d{3}(?!\d))/g, '$1');
  return /^\D*(\d+)\s*(?:x|pcs?|pieces?|stk|stück|st)?\.?$/i.exec(plain.trim())?.[1] ?? text;
}

/** A bin code as it stands, or made of what stands there; what is none stays in the note where a bin for all is given. */
function binOf(text: string, fallback: string): { readonly bin: string; readonly was?: string } {
  const upper = text.trim().toUpperCase();
  if (upper === '') return { bin: fallback };
  if (BIN_CODE.pattern.test(upper)) return { bin: upper };
  const made = upper
    .replace(/^(?:DRAWER|BOX|BIN|SHELF|FACH|SCHUBLADE|TIROIR)\s+(?=\S*\d)/, '')
    .replace(/[\s/._]+/g, '-');
  if (BIN_CODE.pattern.test(made)) return { bin: made, ...(made === upper ? {} : { was: text.trim() }) };
  return fallback === '' ? { bin: text } : { bin: fallback, was: text.trim() };
}

const caseOf = (text: string | undefined) =>
  text === undefined || text === '' ? undefined : (packageFromWord(text.replace(/ /g, '-')) ?? text);

function condemnedBy(texts: readonly string[]): string | undefined {
  return texts
    .flatMap((text) => text.split(/[\s,;]+/))
    .find(
      (word) =>
        CONDEMNED.test(word) ||
        damageFromWord(word) !== undefined ||
        (DAMAGE_WORDS as readonly string[]).includes(word.toLowerCase()),
    );
}

/** The kind of part: as it is said, else as the values or the number tell. */
export function kindOf(
  said: string,
  marking: string,
  described: string,
  told: KindName | undefined,
): { readonly kind: KindName; readonly asked?: AskedKind } | { readonly why: string } {
  const lower = said.toLowerCase();
  const own = isKindName(lower) ? lower : kindFromWord(lower);
  const asked = kindIn(said) ?? (said === '' ? kindIn(described) : undefined);
  const lone = asked?.kinds.length === 1 ? asked.kinds[0] : undefined;
  if (lone) return { kind: lone, ...(asked ? { asked } : {}) };
  const decoded = marking === '' ? undefined : firstReading(marking);
  const isSure = decoded !== undefined && decoded.confidence >= SURE;
  if (asked) {
    const { kinds } = asked;
    const [first] = kinds;
    if (isSure && kinds.includes(decoded.kind)) return { kind: decoded.kind, asked };
    const isFamily = kinds.length === 1 || FAMILIES.some((family) => kinds.every((kind) => family.includes(kind)));
    if (first && isFamily) return { kind: own && kinds.includes(own) ? own : first, asked };
    return {
      why: `Kind “${said || described}” may be ${kinds.map((kind) => kindRule(kind).label).join(' or ')}; say which.`,
    };
  }
  if (own) return { kind: own };
  if (said !== '') return { why: `Kind “${said}” is not known; a word such as nmos, capacitor or choke is expected.` };
  if (isSure) return { kind: decoded.kind };
  if (told) return { kind: told };
  return {
    why: `Nothing says what kind of part it is; a column with words such as nmos, capacitor or choke is expected.`,
  };
}

/** Lists hold the same numbers again and again. */
const READINGS = new Map<string, Decoding | undefined>();
const MOST_REMEMBERED = 5000;

function firstReading(marking: string, kind?: KindName, package_ = ''): Decoding | undefined {
  const key = [marking.toUpperCase(), kind, package_].join(' ');
  if (READINGS.has(key)) return READINGS.get(key);
  if (READINGS.size >= MOST_REMEMBERED) READINGS.clear();
  const [best] = decodeMarking(marking.toUpperCase(), { kind, ...(package_ === '' ? {} : { package: package_ }) });
  READINGS.set(key, best);
  return best;
}

/** And the same words for kinds. */
const KINDS_SAID = new Map<string, AskedKind | undefined>();

function kindIn(text: string): AskedKind | undefined {
  if (text === '') return undefined;
  if (KINDS_SAID.has(text)) return KINDS_SAID.get(text);
  if (KINDS_SAID.size >= MOST_REMEMBERED) KINDS_SAID.clear();
  const read = readQuestion(text);
  const kind = read.ok ? read.filter.kind : undefined;
  KINDS_SAID.set(text, kind);
  return kind;
}

/** Values that the number of a part tells and the list does not. */
export function decodedRatings(
  kind: KindName,
  marking: string,
  package_: string,
  known: Readonly<Record<string, unknown>>,
): Partial<Record<RatingName, { value: number; source: 'decoded' | 'remembered'; confidence: number }>> {
  if (marking === '') return {};
  const best = firstReading(marking, kind, package_);
  if (best?.kind !== kind || best.confidence < TOLD_FROM) return {};
  return Object.fromEntries(
    Object.entries(best.ratings)
      .filter(([name]) => !(name in known) && name in RATINGS && kindRule(kind).ratings.includes(name as RatingName))
      .map(([name, value]) => [name, { value, source: best.source, confidence: best.confidence }]),
  );
}
