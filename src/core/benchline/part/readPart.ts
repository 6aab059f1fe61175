import { TESTS } from '../../measure';
import {
  kindRule,
  RATINGS,
  ratingFromUnit,
  ratingFromWord,
  type KindName,
  type RatingName,
  safetySubtype,
} from '../../part';
import { parseQuantity, type Unit } from '../../quantity';
import { statedKind } from './kindOf';
import { kindsOfReference } from '../references';
import type { BenchContext, BenchRecord, ContextPart, TypedRating } from '../record';
import type { Token } from '../tokens';
import type { Said, ReadPart, Question, Sorted } from './said';
import { sort } from './sortWords';
import { decideKind, OF_OTHERS } from './decideKind';
import { isKin } from './kin';
import { takePoly, takeCodes } from './valueCodes';

/**
 * Reads what is said of a part behind its references: kind, case, values, marking, condition, place and duty in any
 * order and in a person's words. The kind is what the person says, else what the number can only be, else what the
 * letters of the reference suggest.
 */
export function readPart(
  tokens: readonly Token[],
  {
    ref,
    known,
    kind,
    context,
  }: { ref: string; known?: ContextPart | undefined; kind?: KindName | undefined; context: BenchContext },
): ReadPart | Question {
  const sorted = sort(tokens, ref, kind ?? known?.kind, context);
  if ('problem' in sorted) return sorted;
  return settle(sorted, { ref, known, kind });
}

function settle(
  sorted: Sorted,
  { ref, known, kind: given }: { ref: string; known?: ContextPart | undefined; kind?: KindName | undefined },
): ReadPart | Question {
  const { said, classes } = sorted;
  const letters = kindsOfReference(ref);
  // A kind that the letters do not allow and that stands behind “the” or “near” is another part's.
  const own = sorted.kinds.filter(({ meaning, placedBy, isFirst }) => {
    const fits = letters.length === 0 || letters.some(([kind]) => kind === meaning.kind);
    const isOther = !fits && (known !== undefined || !isFirst || OF_OTHERS.test(placedBy?.text ?? ''));
    return !isOther;
  });
  for (const entry of sorted.kinds)
    if (!own.includes(entry)) {
      sorted.unplaced.push(entry.token);
      sorted.describes -= 1;
    }
  const stated = statedKind(
    own.map(({ meaning }) => meaning),
    ref,
  );
  for (const entry of own)
    if (stated && entry.meaning.kind !== stated.kind && !isKin(entry.meaning.kind, stated.kind))
      sorted.unplaced.push(entry.token);
  const number = sorted.marked || sorted.codes.map(({ text }) => text).join(' ');
  const decision = decideKind({ given, stated, known, number, sorted, ref, letters });
  if ('problem' in decision) return decision;
  // Four legs are two windings: one choke for both conductors.
  const isPaired = decision.kind === 'inductor' && sorted.legs === PAIRED_LEGS && !given && !known;
  const kind = isPaired ? 'common-mode-choke' : decision.kind;
  if (kind === 'dual-diode') {
    const made = own.find(({ meaning }) => MADE.has(meaning.subtype ?? ''))?.meaning.subtype;
    if (made) said.technology = made;
  }
  const isHowMade = kind === 'dual-diode' && MADE.has(decision.subtype ?? '');
  if (decision.subtype && !isHowMade && said.subtype === undefined) said.subtype = decision.subtype;
  // “16V x2” is two of them; no capacitor for the mains is rated so low.
  const volts = sorted.values.find(({ unit }) => unit === 'volt')?.value;
  if (volts !== undefined && volts < LEAST_SAFETY_VOLTS) classes.length = 0;
  if (classes.length > 0) said.subtype = safetySubtype(classes) ?? '';
  if (sorted.windings.length > 0 && WOUND.has(kind)) {
    said.windings = sorted.windings;
    // “primary 1-3” names a winding, not where the part sits.
    delete said.block;
  }
  const byLetters = LETTER_SUBTYPES[/^[A-Z]+/.exec(ref)?.[0] ?? ''];
  if (byLetters?.[0] === kind) said.subtype ??= byLetters[1];
  const asked = takePoly(sorted, kind) ?? takeCodes(sorted, kind, known, ref) ?? placeValues(sorted, kind, ref);
  if (asked) return { ...asked, kept: { ...said, partKind: kind, ...asked.kept } };
  const { describes, unplaced, corrected } = sorted;
  const placed = describes + said.ratings.length + (said.marking ? 1 : 0) + (said.dateCode ? 1 : 0);
  return {
    partKind: kind,
    said,
    describes: describes > 0 || said.marking !== undefined || said.dateCode !== undefined,
    placed,
    unplaced,
    // A word that was mended and could not be placed after all stands as it was typed.
    corrected: corrected.filter(({ typed }) => !unplaced.some(({ text }) => text === typed)),
  };
}

/** How the halves of a dual rectifier are made; its subtype is how they are joined. */
const MADE: ReadonlySet<string> = new Set(['schottky', 'fast', 'rectifier', 'zener']);

const PAIRED_LEGS = 4;
/** Lowest rating of a capacitor with a safety class. */
const LEAST_SAFETY_VOLTS = 100;

const WOUND: ReadonlySet<KindName> = new Set(['transformer', 'inductor', 'common-mode-choke']);

/** Letters that say more than the kind. */
const LETTER_SUBTYPES: Readonly<Record<string, readonly [KindName, string]>> = {
  NTC: ['thermistor', 'ntc'],
  PTC: ['thermistor', 'ptc'],
  ZD: ['diode', 'zener'],
  DZ: ['diode', 'zener'],
  LED: ['diode', 'led'],
};

/** Puts values with units to the ratings of the kind. */
function placeValues(sorted: Sorted, kind: KindName, ref: string): Question | undefined {
  const { said, values, pairs } = sorted;
  const source = sorted.source ?? 'decoded';
  for (const { name, value } of pairs) {
    const rating = ratingFromWord(name.text, kind);
    const parsed = rating && parseQuantity(value.text, RATINGS[rating].unit);
    if (rating && parsed && parsed.ok && kindRule(kind).ratings.includes(rating))
      said.ratings.push({ name: rating, value: parsed.quantity.value, source });
    else sorted.unplaced.push(name, value);
  }
  for (const { token, unit, value, ambiguous, isPrint } of values) {
    if (ambiguous)
      return {
        problem: {
          kind: 'unclear',
          word: token.text,
          question: `${token.text}: is the comma a decimal point, or does it part thousands?`,
          maybe: [
            `${ref.toLowerCase()} ${token.text.replace(',', '.')}`,
            `${ref.toLowerCase()} ${token.text.replace(',', '')}`,
          ],
        },
      };
    const rating = unit === 'ratio' ? ('tolerance' as const) : ratingFor(kind, unit, said);
    const holds = rating !== undefined && kindRule(kind).ratings.includes(rating);
    if (rating === undefined || !holds) {
      if (unit !== 'second' && !isPrint) sorted.unplaced.push(token);
      continue;
    }
    if (said.ratings.some(({ name }) => name === rating)) continue;
    said.ratings.push({ name: rating, value, source });
  }
  said.ratings.sort((a, b) => kindRule(kind).ratings.indexOf(a.name) - kindRule(kind).ratings.indexOf(b.name));
  return undefined;
}

/** A bare voltage on a Zener diode is its own. */
function ratingFor(kind: KindName, unit: Unit, { subtype }: Said): RatingName | undefined {
  if (kind === 'diode' && unit === 'volt' && (subtype === 'zener' || subtype === 'tvs')) return 'vz';
  return ratingFromUnit(kind, unit);
}

/** Whether the bench test of a kind holds this rating against what is printed. */
export function isJudged(kind: KindName, { name }: TypedRating): boolean {
  const { test } = kindRule(kind);
  return test !== undefined && TESTS[test].fields.some(({ rating }) => rating === name);
}

/** The record of a part from what was read of it. */
export function partRecord(refs: readonly string[], { partKind, said }: ReadPart, like?: string): BenchRecord {
  const [ref = '', ...others] = refs;
  return {
    kind: 'part',
    ref,
    partKind,
    ...said,
    ...(others.length > 0 ? { others } : {}),
    ...(like === undefined ? {} : { like }),
  };
}
