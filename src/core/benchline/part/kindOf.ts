import { decodeMarking, type Decoding } from '../../marking';
import { safetySubtype, type KindName, type RatingName } from '../../part';
import { kindsOfReference } from '../references';
import type { Meaning } from '../vocabulary';

/** A kind with what decided it and how sure that is. */
export interface DecidedKind {
  readonly kind: KindName;
  readonly subtype?: string;
  readonly decoding?: Decoding;
}

type KindMeaning = Extract<Meaning, { as: 'kind' }>;

/** Of two kinds that may be said together, the narrower one: a bridge rectifier is a bridge. */
const NARROWER: readonly (readonly [narrow: KindName, wide: KindName])[] = [
  ['dual-diode', 'diode'],
  ['bridge', 'diode'],
  ['common-mode-choke', 'inductor'],
  ['potentiometer', 'resistor'],
  ['igbt', 'nmos'],
  ['pmos', 'nmos'],
  ['thermistor', 'resistor'],
  ['thermistor', 'fuse'],
  ['optocoupler', 'ic'],
  ['regulator', 'ic'],
  ['shunt-reference', 'ic'],
  ['shunt-reference', 'regulator'],
  ['diac', 'diode'],
  ['scr', 'diode'],
  ['triac', 'scr'],
  ['fuse', 'resistor'],
];

/** The kind that a person's words name: one that the reference's letters allow goes before one that they do not. */
export function statedKind(said: readonly KindMeaning[], ref: string): DecidedKind | undefined {
  const allowed = kindsOfReference(ref).map(([kind]) => kind);
  const fitting = said.filter(({ kind }) => allowed.length === 0 || allowed.includes(kind));
  const among = fitting.length > 0 ? fitting : said;
  let best = among[0];
  for (const other of among.slice(1)) {
    if (!best) break;
    if (NARROWER.some(([narrow, wide]) => narrow === other.kind && wide === best?.kind)) best = other;
    else if (other.kind === best.kind && best.subtype === undefined) best = other;
  }
  if (!best) return undefined;
  const { kind } = best;
  const subtype = best.subtype ?? said.find((one) => one.kind === kind && one.subtype !== undefined)?.subtype;
  return { kind, ...(subtype ? { subtype } : {}) };
}

/** Readings of one text are asked for again with every key. */
const REMEMBERED = new Map<string, readonly Decoding[]>();
const MOST_REMEMBERED = 800;

/** The clean readings of a text as one kind of part, or as any. */
export function decodingsAs(text: string, kind?: KindName, package_?: string): readonly Decoding[] {
  const key = `${text}|${kind ?? ''}|${package_ ?? ''}`;
  const known = REMEMBERED.get(key);
  if (known) return known;
  const found = decodeMarking(text, { kind, package: package_, isClean: true })
    .map(asBoardKind)
    .filter((decoding) => kind === undefined || decoding.kind === kind);
  if (REMEMBERED.size >= MOST_REMEMBERED) REMEMBERED.clear();
  REMEMBERED.set(key, found);
  return found;
}

/** Trigger diodes and switching regulators are kinds of their own on a board. */
function asBoardKind(decoding: Decoding): Decoding {
  if (decoding.kind === 'diode' && decoding.facts?.technology === 'diac') return { ...decoding, kind: 'diac' };
  if (decoding.rule === 'regulator-buck' || decoding.rule === 'regulator-buck-families')
    return { ...decoding, kind: 'ic', facts: { ...decoding.facts, function: 'buck regulator' } };
  return decoding;
}

/** A number that no other kind of the letters could be nearly as well; nothing when two are as likely. */
const CLEAR = 2;
/** A reading believed less than this names no kind. */
const LEAST = 0.3;

/** What a marking can only be, for a reference: its kind with the reading. */
export function kindFromMarking(text: string, ref: string, package_?: string): DecidedKind | 'tied' | undefined {
  const allowed = kindsOfReference(ref);
  const found = allowed
    .flatMap(([kind, share]) => {
      // A trigger diode is a diode to the rules of markings.
      const [decoding] =
        kind === 'diac'
          ? decodingsAs(text, undefined, package_).filter((one) => one.kind === kind)
          : decodingsAs(text, kind, package_);
      // The code of a case tells what to look up, and decides nothing.
      return decoding && decoding.confidence >= LEAST && decoding.rule !== 'chip-code'
        ? [{ decoding, worth: decoding.confidence * share }]
        : [];
    })
    .sort((a, b) => b.worth - a.worth);
  const [best, next] = found;
  if (best) {
    if (next && next.worth * CLEAR > best.worth) return 'tied';
    return decided(best.decoding);
  }
  return undefined;
}

/** A reading with the subtype that it tells. */
export function decided(decoding: Decoding): DecidedKind {
  const subtype = subtypeFrom(decoding);
  return { kind: decoding.kind, decoding, ...(subtype ? { subtype } : {}) };
}

/** What chips are called by what they do. */
const CHIP_SUBTYPES: readonly (readonly [RegExp, string])[] = [
  [/synchronous rect/i, 'sync-rectifier'],
  [/comparator/i, 'comparator'],
  [/op(?:erational)?[ -]?amp/i, 'opamp'],
  [/buck regulator|step-down|with (?:its|a|an own) (?:FET|switch)|built-in|switcher|offline/i, 'switcher'],
  [/driver/i, 'gate-driver'],
  [/controller|corrector|mode|resonant/i, 'controller'],
];

/** The subtype that a reading tells: Schottky, zener, X2, what a chip does. */
export function subtypeFrom({ kind, facts = {}, number }: Decoding): string | undefined {
  const { technology = '', safetyClass = '', dielectric = '', function: does = '' } = facts;
  if (kind === 'dual-diode') return /(?:CT|PT)[A-Z]{0,2}$/i.test(number) ? 'common-cathode' : undefined;
  if (kind === 'ic') return CHIP_SUBTYPES.find(([pattern]) => pattern.test(does))?.[1];
  if (kind === 'capacitor') {
    const classed = safetySubtype(safetyClass.match(/[xy][1-4]/gi) ?? []);
    if (classed) return classed;
    return ['electrolytic', 'polymer', 'tantalum', 'ceramic', 'film'].find((word) => dielectric.includes(word));
  }
  if (kind === 'diode' && ['schottky', 'zener', 'tvs', 'fast', 'rectifier', 'led'].includes(technology))
    return technology;
  if (kind === 'thermistor' && (technology === 'ntc' || technology === 'ptc')) return technology;
  return undefined;
}

/** Kinds whose print is their values, rather than a number that stands for a type. */
const PRINTED: ReadonlySet<KindName> = new Set([
  'resistor',
  'capacitor',
  'inductor',
  'common-mode-choke',
  'fuse',
  'thermistor',
  'varistor',
  'potentiometer',
]);

/** The ratings that a reading of such a code carries; of a zener the voltage. */
export function printedRatings({ kind, ratings, facts }: Decoding): readonly (readonly [RatingName, number])[] {
  const isZener = kind === 'diode' && facts?.technology === 'zener';
  return (Object.entries(ratings) as [RatingName, number][]).filter(
    ([name]) => PRINTED.has(kind) || (isZener && name === 'vz'),
  );
}
