import {
  KIND_NAMES,
  kindRule,
  RATINGS,
  ratingFromUnit,
  ratingFromWord,
  type KindName,
  type RatingName,
} from '../../part';
import { parseQuantity, type Unit } from '../../quantity';
import type { AskedKind, Comparison, Demand } from '../filter';
import type { Figure, Heard, QuestionProblem } from './heard';
import { AROUND, plainMeaning } from './plain';
import { senseOf } from './senseOf';
import { QUANTITY_WORDS, type Sense } from './words';

/** Units that say by themselves what a part is. */
const TELLING: Partial<Record<Unit, string>> = { farad: 'cap', henry: 'choke', ohm: 'resistor' };
/** Units of shorthand such as `47u` or `4k7`, in the order they are tried. */
const SHORTHAND_UNITS: readonly Unit[] = ['farad', 'henry', 'ohm'];

/** What bare figures are of, by kind, in the order they are said in. Common practice, no source. */
const BARE: Partial<Record<KindName, readonly Unit[]>> = {
  resistor: ['ohm', 'watt'],
  capacitor: ['farad', 'volt'],
  fuse: ['ampere', 'volt'],
  thermistor: ['ohm', 'ampere'],
  varistor: ['volt'],
  regulator: ['volt', 'ampere'],
  relay: ['volt', 'ampere'],
  fan: ['volt', 'metre'],
  transformer: ['volt', 'watt'],
  connector: ['count'],
};
const VOLTS_THEN_AMPERES: readonly Unit[] = ['volt', 'ampere'];
/** One bare figure of a semiconductor is its volts from here up. */
const VOLTS_FROM = 20;
/** Frames of fans begin here, in millimetres; their volts end below. */
const FRAME_FROM = 38;
const ZENER: ReadonlySet<string> = new Set(['zener', 'tvs']);

type Found = { readonly demand: Demand } | { readonly problem: QuestionProblem };

/** The kind that all that was said of it comes down to, and what of it goes with nothing else: “a heat sink for a transistor” is a heat sink. */
export function askedKind({ senses, figures, words }: Heard): {
  readonly kind?: AskedKind;
  readonly leftOut: readonly string[];
} {
  const told = senses.length > 0 ? senses : inferred(figures, words);
  const [first, ...rest] = told;
  const leftOut: string[] = [];
  if (!first) return { leftOut };
  let asked: AskedKind = { ...kept(first), words: first.word };
  for (const sense of rest) {
    const kinds = asked.kinds.filter((kind) => sense.kinds.includes(kind));
    if (kinds.length === 0) {
      leftOut.push(sense.says);
      continue;
    }
    const variants = common(asked.variants, sense.variants);
    const isNarrower =
      kinds.length < asked.kinds.length || (sense.variants !== undefined && variants !== asked.variants);
    const isNew = isNarrower && sense.word !== asked.words;
    const not = variants ? undefined : (asked.not ?? sense.not);
    const isWhole = kinds.length === sense.kinds.length && variants?.join() === sense.variants?.join();
    asked = {
      says: !isNew ? asked.says : isWhole ? sense.says : `${sense.says}, ${asked.says}`,
      words: !isNew ? asked.words : isWhole ? sense.word : `${asked.words} ${sense.word}`,
      kinds,
      ...(variants ? { variants } : {}),
      ...(not ? { not } : {}),
    };
  }
  return { kind: asked, leftOut };
}

const kept = ({ says, kinds, variants, not }: Sense) => ({
  says,
  kinds,
  ...(variants ? { variants } : {}),
  ...(not ? { not } : {}),
});

function common(
  one: readonly string[] | undefined,
  other: readonly string[] | undefined,
): readonly string[] | undefined {
  if (!one || !other) return one ?? other;
  const both = one.filter((variant) => other.includes(variant));
  return both.length > 0 ? both : other;
}

/** Kinds that figures tell by their units. */
function inferred(figures: readonly Figure[], words: readonly string[]): readonly Sense[] {
  if (words.length > 0) return [];
  for (const { unit, text, isBare, name } of figures) {
    if (name !== undefined && !(name in QUANTITY_WORDS)) continue;
    const said = unit ?? (name === undefined ? undefined : QUANTITY_WORDS[name]);
    const shorthand =
      said || isBare ? undefined : /[unpµ]/.test(text) ? 'farad' : /[kMRLE]/.test(text) ? 'ohm' : undefined;
    const word = TELLING[said ?? shorthand ?? 'count'];
    const sense = word === undefined ? undefined : senseOf(word);
    if (sense) return [sense];
  }
  return [];
}

/** Every demand that the figures make on parts of a kind. */
export function demandsOf(figures: readonly Figure[], kind: AskedKind | undefined): Found[] {
  const bare = bareUnits(figures, kind);
  return figures.map((figure) => demandOf(figure, kind, bare.get(figure)));
}

/** What each bare figure without a name is of. */
function bareUnits(figures: readonly Figure[], kind: AskedKind | undefined): ReadonlyMap<Figure, Unit> {
  const bare = figures.filter(({ isBare, name }) => isBare && name === undefined);
  const [first] = kind?.kinds ?? [];
  if (bare.length === 0 || !kind || !first) return new Map();
  const isNamedByVolts = kind.variants?.some((variant) => ZENER.has(variant)) === true;
  const told = new Set(figures.flatMap(({ unit }) => unit ?? []));
  const units = (BARE[first] ?? (isNamedByVolts ? ['volt', 'watt'] : VOLTS_THEN_AMPERES)).filter(
    (unit) => !told.has(unit),
  );
  if (kind.variants?.includes('led')) return new Map(bare.map((figure) => [figure, 'metre']));
  if (first === 'fan') return new Map(bare.map((figure) => [figure, figure.value >= FRAME_FROM ? 'metre' : 'volt']));
  if (BARE[first] || isNamedByVolts)
    return new Map(bare.flatMap((figure, index) => (units[index] ? [[figure, units[index]]] : [])));
  // The volts of a semiconductor are more than its amperes.
  const falling = bare.toSorted((a, b) => b.value - a.value);
  const from = falling.length === 1 && (falling[0]?.value ?? 0) < VOLTS_FROM && !told.has('ampere') ? 1 : 0;
  return new Map(
    falling.flatMap((figure, index) => (units[from + index] ? [[figure, units[from + index] as Unit]] : [])),
  );
}

function demandOf(figure: Figure, kind: AskedKind | undefined, bareUnit: Unit | undefined): Found {
  const { name, token } = figure;
  const unit = figure.unit ?? bareUnit;
  const kinds = kind?.kinds ?? KIND_NAMES;
  if (unit === undefined && name === undefined && (figure.isBare === true || !kind))
    return { problem: { kind: 'kind-needed', token, maybe: [] } };
  const all = [...new Set(kinds.flatMap((one) => ratingsFor(figure, unit, one, kind?.variants)))];
  // Of any kind of part, what it stands is asked, not what it loses.
  const ratings = kind ? all : all.filter((one) => RATINGS[one].better === 'higher');
  const [rating, ...others] = ratings;
  if (rating === undefined) {
    if (name !== undefined && ratingFromWord(name) === undefined && !(name in QUANTITY_WORDS))
      return { problem: { kind: 'unknown-rating', token: name } };
    return { problem: { kind: 'no-such-rating', token, says: kind?.says ?? 'part' } };
  }
  const value = valueFor(figure, rating, unit);
  if (value === undefined)
    return { problem: { kind: 'bad-value', token, expected: `a value for the ${RATINGS[rating].label}` } };
  const plain = plainMeaning(rating, kinds.length < KIND_NAMES.length ? kinds[0] : undefined, kind?.variants, value);
  const comparison: Comparison =
    figure.said === 'plain' ? plain.comparison : figure.said === 'near' ? 'about' : figure.said;
  const within = comparison === 'about' ? (figure.within ?? plain.within ?? AROUND) : undefined;
  return {
    demand: {
      rating,
      ...(others.length > 0 ? { others } : {}),
      comparison,
      value,
      ...(figure.upper === undefined
        ? {}
        : { upper: valueFor({ ...figure, value: figure.upper }, rating, unit) ?? figure.upper }),
      ...(within === undefined ? {} : { within }),
    },
  };
}

/** The ratings of a kind that a figure may be of. */
function ratingsFor(
  figure: Figure,
  unit: Unit | undefined,
  kind: KindName,
  variants: readonly string[] | undefined,
): readonly RatingName[] {
  const { ratings } = kindRule(kind);
  const { name } = figure;
  const isZener = kind === 'diode' && variants?.some((variant) => ZENER.has(variant)) === true;
  if (name !== undefined) {
    const exact = ratingFromWord(name, kind);
    const quantity = QUANTITY_WORDS[name];
    if (isZener && quantity === 'volt') return ['vz'];
    if (exact && ratings.includes(exact) && (figure.unit === undefined || RATINGS[exact].unit === figure.unit))
      return [exact];
    const byQuantity = quantity && ratingFromUnit(kind, quantity);
    return byQuantity ? [byQuantity] : [];
  }
  if (unit === 'volt' && isZener) return ['vz'];
  if (unit === 'volt' && kind === 'varistor') return figure.isAc ? ['acVoltage'] : ['vn', 'acVoltage'];
  if (unit === 'metre' && kind === 'capacitor' && variants?.includes('film')) return ['pitch'];
  if (unit !== undefined) {
    const rating = ratingFromUnit(kind, unit);
    return rating ? [rating] : [];
  }
  const rating = SHORTHAND_UNITS.filter((one) => parseQuantity(figure.text, one).ok)
    .map((one) => ratingFromUnit(kind, one))
    .find((one) => one !== undefined);
  return rating ? [rating] : [];
}

/** A figure in the base unit of its rating; bare ones are in the unit that is usual for it. */
function valueFor(figure: Figure, rating: RatingName, unit: Unit | undefined): number | undefined {
  const own = RATINGS[rating].unit;
  if (figure.unit !== undefined) return figure.unit === own || unit === own ? figure.value : undefined;
  if (figure.isBare) {
    if ((own === 'farad' || own === 'henry') && figure.value >= LEAST_MICRO) return figure.value * 1e-6;
    if (own === 'metre' && figure.value >= LEAST_MILLI) return figure.value * 1e-3;
    return figure.value;
  }
  if (figure.said === 'between') return figure.value;
  const parsed = parseQuantity(figure.text.replace(/^([.,])/, '0.'), own);
  return parsed.ok ? parsed.quantity.value : undefined;
}

/** Nobody has a farad or a henry: bare figures from here up are in millionths, lengths in thousandths. */
const LEAST_MICRO = 1e-3;
const LEAST_MILLI = 0.5;
