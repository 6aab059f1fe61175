import { SOURCES, type Source } from '../evidence';
import { isUse, USE_NAMES, type Use } from '../measure';
import {
  kindFromWord,
  kindRule,
  packageFromWord,
  RATINGS,
  ratingFromUnit,
  ratingFromWord,
  type KindName,
  type RatingName,
} from '../part';
import { parseQuantity, UNITS, type Unit } from '../quantity';

export type Comparison = 'at-least' | 'at-most' | 'above' | 'below' | 'equal' | 'near' | 'between';

/** One demand on a rating, in the SI base unit. */
export interface Demand {
  readonly rating: RatingName;
  readonly comparison: Comparison;
  readonly value: number;
  /** Upper end of a range. */
  readonly upper?: number;
}

/** What a person asked stock for. */
export interface StockFilter {
  readonly kind?: KindName;
  readonly demands: readonly Demand[];
  readonly package?: string;
  readonly bin?: string;
  readonly donor?: string;
  readonly source?: Source;
  /** This grade or better. */
  readonly grade?: 'A' | 'B' | 'C';
  /** What it is to be used for; a lot whose limits forbid it does not fit. */
  readonly uses?: readonly Use[];
  /** Words to find in markings, packages and bins. */
  readonly words: readonly string[];
}

export type FilterProblem =
  | { readonly kind: 'bad-value'; readonly token: string; readonly expected: string }
  | { readonly kind: 'unknown-rating'; readonly token: string }
  | { readonly kind: 'kind-needed'; readonly token: string }
  | { readonly kind: 'no-such-rating'; readonly token: string; readonly partKind: KindName };

/** What to tell a person about a filter that cannot be read. */
export function filterProblemText(problem: FilterProblem): string {
  switch (problem.kind) {
    case 'bad-value':
      return `“${problem.token}”: ${problem.expected} is expected behind the sign.`;
    case 'unknown-rating':
      return `“${problem.token}”: no rating of that name. Known: vds, id, rds, vr, if, c, v, r, esr and more.`;
    case 'kind-needed':
      return `“${problem.token}”: say the kind first, like nmos >=600V, or name the rating, like vds>=600.`;
    case 'no-such-rating':
      return `“${problem.token}”: a ${kindRule(problem.partKind).label} has no such rating.`;
  }
}

const SIGNS: Readonly<Record<string, Comparison>> = {
  '>=': 'at-least',
  '≥': 'at-least',
  '<=': 'at-most',
  '≤': 'at-most',
  '>': 'above',
  '<': 'below',
  '=': 'equal',
  '~': 'near',
};
/** Width of `=` and `~` as a fraction of the value. */
export const EQUAL_WITHIN = 0.02;
export const NEAR_WITHIN = 0.2;

/**
 * Reads the filter language of stock and of a build's needs: a kind, demands on ratings
 * (`vds>=600`, `rds<1.3`, `c~100u`, a range `1000u..2200u`, or bare `>=600V` once the kind is known), a package,
 * `low` for a low-impedance series, what it is for (`for:mains`), `bin:C2`, `from:K7F-2QM`, `grade:B`,
 * `evidence:measured`, and plain words for markings.
 * @example parseFilter('nmos >=600V') // kind nmos, vds at least 600
 */
export function parseFilter(text: string): { ok: true; filter: StockFilter } | { ok: false; problem: FilterProblem } {
  const tokens = text
    .replace(/(>=|<=|≥|≤|>|<|=|~)\s+/g, '$1')
    .replace(/(\S+)\s+(?:>=|<=|≥|≤|>|<|=|~)(\S*)/g, (spaced, word: string, value: string) =>
      namesRatingOf(word, value) ? spaced.replace(/\s+/, '') : spaced,
    )
    .trim()
    .split(/\s+/)
    .filter((token) => token !== '');
  const kinds = tokens.map(kindFromWord).filter((found) => found !== undefined);
  // “schottky dual-diode”: the word of a subtype stands for a diode, but the closer word decides.
  const kind = kinds.find((found) => found !== 'diode') ?? kinds[0];
  const filter: { -readonly [K in keyof StockFilter]: StockFilter[K] } = {
    ...(kind ? { kind } : {}),
    demands: [],
    words: [],
  };
  const demands: Demand[] = [];
  const words: string[] = [];
  for (const token of tokens) {
    const compared = /^([a-z0-9]*)(>=|<=|≥|≤|>|<|=|~)(.*)$/i.exec(token);
    const labelled = /^(bin|from|grade|evidence|for):(.+)$/i.exec(token);
    const range = /^(?:([a-z0-9]+)[=:])?([^=:<>]+)\.\.([^=:<>]+)$/i.exec(token);
    if (range) {
      const demand = readRange(token, range, kind);
      if ('problem' in demand) return { ok: false, problem: demand.problem };
      demands.push(demand);
    } else if (compared) {
      const demand = readDemand(token, compared[1] ?? '', SIGNS[compared[2] ?? ''] ?? 'equal', compared[3] ?? '', kind);
      if ('problem' in demand) return { ok: false, problem: demand.problem };
      demands.push(demand);
    } else if (labelled?.[1] && labelled[2]) {
      const problem = readLabel(filter, labelled[1].toLowerCase(), labelled[2], token);
      if (problem) return { ok: false, problem };
    } else if (token.toLowerCase() === 'low' && kind === 'capacitor') {
      words.push('low-impedance');
    } else if (kindFromWord(token) !== undefined) {
      if (!['rectifier', 'schottky', 'zener', 'tvs'].includes(token.toLowerCase())) continue;
      words.push(token.toLowerCase());
    } else {
      const packageName = packageFromWord(token);
      if (packageName) filter.package = packageName;
      else words.push(token.toLowerCase());
    }
  }
  return { ok: true, filter: { ...filter, demands, words } };
}

/** Whether a word before a sign names the rating: in `cap >=25V` it is the kind, since no capacitance is in volts. */
function namesRatingOf(word: string, valueText: string): boolean {
  const rating = ratingFromWord(word);
  if (!rating) return false;
  return kindFromWord(word) === undefined || parseQuantity(valueText, RATINGS[rating].unit).ok;
}

function readDemand(
  token: string,
  name: string,
  comparison: Comparison,
  valueText: string,
  kind: KindName | undefined,
): Demand | { problem: FilterProblem } {
  if (name === '') {
    const unit = (['volt', 'ampere', 'ohm', 'farad', 'henry', 'watt', 'celsius'] as Unit[]).find((candidate) =>
      endsInUnit(valueText, candidate),
    );
    if (!kind || !unit) return { problem: { kind: 'kind-needed', token } };
    const rating = ratingFromUnit(kind, unit);
    if (!rating) return { problem: { kind: 'no-such-rating', token, partKind: kind } };
    return withValue(token, rating, comparison, valueText);
  }
  const rating = ratingFromWord(name, kind);
  if (!rating) return { problem: { kind: 'unknown-rating', token } };
  return withValue(token, rating, comparison, valueText);
}

/** A range of one rating; a bare one is the main value of the kind. */
function readRange(
  token: string,
  [, name, lowText = '', highText = '']: RegExpExecArray,
  kind: KindName | undefined,
): Demand | { problem: FilterProblem } {
  const named = name === undefined ? undefined : ratingFromWord(name, kind);
  if (name !== undefined && !named) return { problem: { kind: 'unknown-rating', token } };
  if (!named && !kind) return { problem: { kind: 'kind-needed', token } };
  const candidates = named ? [named] : kind ? kindRule(kind).ratings : [];
  for (const rating of candidates) {
    const { unit } = RATINGS[rating];
    // In `10..47u` the unit behind the range is that of both ends.
    const suffix = /^[\d.,]+$/.test(lowText) ? highText.replace(/^[\d.,]+/, '') : '';
    const [low, high] = [parseQuantity(lowText + suffix, unit), parseQuantity(highText, unit)];
    if (!low.ok || !high.ok) continue;
    if (low.quantity.value > high.quantity.value)
      return { problem: { kind: 'bad-value', token, expected: 'the smaller value first, like 10u..47u,' } };
    return { rating, comparison: 'between', value: low.quantity.value, upper: high.quantity.value };
  }
  return { problem: { kind: 'bad-value', token, expected: 'a range such as 1000u..2200u' } };
}

function withValue(
  token: string,
  rating: RatingName,
  comparison: Comparison,
  text: string,
): Demand | { problem: FilterProblem } {
  const { unit } = RATINGS[rating];
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok)
    return { problem: { kind: 'bad-value', token, expected: `a ${UNITS[unit].word} such as ${UNITS[unit].example}` } };
  return { rating, comparison, value: parsed.quantity.value };
}

function endsInUnit(text: string, unit: Unit): boolean {
  return (
    UNITS[unit].spellings.some((spelling) => text.toLowerCase().endsWith(spelling)) && parseQuantity(text, unit).ok
  );
}

function readLabel(
  filter: { -readonly [K in keyof StockFilter]: StockFilter[K] },
  label: string,
  value: string,
  token: string,
): FilterProblem | undefined {
  if (label === 'bin') filter.bin = value.toUpperCase();
  else if (label === 'from') filter.donor = value.toUpperCase();
  else if (label === 'grade') {
    const grade = value.toUpperCase();
    if (grade !== 'A' && grade !== 'B' && grade !== 'C') return { kind: 'bad-value', token, expected: 'A, B or C' };
    filter.grade = grade;
  } else if (label === 'for') {
    const use = value.toLowerCase();
    if (!isUse(use)) return { kind: 'bad-value', token, expected: `one of ${USE_NAMES.join(', ')}` };
    filter.uses = [...(filter.uses ?? []), use];
  } else {
    const source = SOURCES.find((name) => name === value.toLowerCase());
    if (!source) return { kind: 'bad-value', token, expected: `one of ${SOURCES.join(', ')}` };
    filter.source = source;
  }
  return undefined;
}

/** The closed interval of values that satisfies a demand. */
export function demandedRange({ comparison, value, upper = value }: Demand): { low: number; high: number } {
  const width = comparison === 'near' ? NEAR_WITHIN : EQUAL_WITHIN;
  switch (comparison) {
    case 'at-least':
      return { low: value * (1 - 1e-9), high: Infinity };
    case 'above':
      return { low: value * (1 + 1e-9), high: Infinity };
    case 'at-most':
      return { low: -Infinity, high: value * (1 + 1e-9) };
    case 'below':
      return { low: -Infinity, high: value * (1 - 1e-9) };
    case 'between':
      return { low: value * (1 - 1e-9), high: upper * (1 + 1e-9) };
    case 'equal':
    case 'near':
      return { low: value * (1 - width), high: value * (1 + width) };
  }
}
