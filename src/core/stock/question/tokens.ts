import { SPELLINGS, tokensOf, typingErrors, written } from '../../benchline';
import { isName } from './names';
import { isWord, senseOf } from './senseOf';
import { LIKE_WORDS, QUESTION_FILLER, SAID_BEFORE, SAID_BEHIND, STRONGER_WORDS, WIDE_SENSES } from './words';

const HALVES: Readonly<Record<string, string>> = {
  one: '1.5',
  two: '2.5',
  three: '3.5',
  four: '4.5',
  five: '5.5',
  a: '1.5',
};
/** What people say and write otherwise than the reader of figures has it. */
const SAID_OTHERWISE: readonly (readonly [RegExp, string | ((whole: string, word: string) => string)])[] = [
  [/≥|=>/g, '>='],
  [/≤|=</g, '<='],
  [/…|\.{3,}/g, '..'],
  [/≈/g, '~'],
  [/μ/g, 'µ'],
  [/[ø⌀]\s*/gi, ' diameter '],
  [/\b([a-z]{1,3})\((on|av|rms|sat)\)/gi, '$1$2'],
  [/(\d)\s*VA\b/g, '$1W'],
  [/(\d)\s*(?:°?C|K)\/W/g, '$1K/W'],
  [/±\s*(\d[\d.,]*)\s*%/g, ' within:$1% '],
  // “100uF/25V” are two figures; “230V/12V” are the two sides of a transformer.
  [/(\d\s*[pnuµ]F?)\/(?=\d)/gi, '$1 '],
  [/\b\d\s*x\s*(\d+(?:[.,]\d+)?\s*V)\b/gi, '$1'],
  [/\b(one|two|three|four|five) and a half\b/gi, (_, word) => HALVES[word.toLowerCase()] ?? word],
  [/\bhalf (?:of )?(?:an? )?(watt|amp|volt)/gi, '0.5 $1'],
  [/\b(?:a )?quarter (?:of )?(?:an? )?(watt|amp|volt)/gi, '0.25 $1'],
  [/\ban? eighth (?:of )?(?:a )?(watt)/gi, '0.125 $1'],
  [/\b([xy]) (one|two)\b/gi, (whole) => whole.replace(/ one/i, '1').replace(/ two/i, '2')],
  [/\b(micro|nano|pico)s?\b(?!\s*(?:farad|henr|amp|ohm|volt|contr|fuse|sec|-))/gi, '$1farads'],
];

/** Words of a question: what was dictated in figures, signs apart, slips of the finger put right. */
export function wordsOf(question: string): string[] {
  let text = question;
  for (const [said, figure] of SAID_OTHERWISE)
    text = typeof figure === 'string' ? text.replace(said, figure) : text.replace(said, figure);
  text = text.replace(RANGE_APART, '$1..$2$3');
  // A name before a sign is no unit of the figure before it: “i>=4 v>=600”.
  return text.split(SIGN).flatMap((piece, index, pieces) => {
    if (index % 2 === 1) return [piece];
    const [, before = piece, name = ''] =
      (index < pieces.length - 1 && /^((?:.*[\s,;])?)([\p{L}()]+)\s*$/su.exec(piece)) || [];
    const isApart = isName(name);
    const typed = isApart ? before : piece;
    const words = written(tokensOf(typed))
      .flatMap(({ text: word }) => kindApart(word, typed))
      // What stands behind a sign is a value.
      .map((word, at) => (index > 0 && at === 0 ? word : mended(word)));
    return isApart ? [...words, name] : words;
  });
}

/** “fan 12” is no reference of a part, though `fan12` would be. */
function kindApart(word: string, typed: string): readonly string[] {
  const [, letters, digits] = /^(\p{L}+)(\d+)$/u.exec(word) ?? [];
  if (letters === undefined || digits === undefined || typed.toLowerCase().includes(word.toLowerCase())) return [word];
  return senseOf(letters.toLowerCase()) ? [letters, digits] : [word];
}

const RANGE_APART = /(\d)\s*(?:\.\.+|–)\s*(\d[\d.,]*)\s*([a-zµΩ]{1,8}\b)/giu;
const SIGN = /(>=|<=|(?<![<>])=|>(?!=)|<(?!=)|(?<![\dV])~)/giu;

const SHORTEST = 4;
const MENDABLE = [
  ...new Set(
    [
      ...SPELLINGS.values(),
      ...WIDE_SENSES.map(([, words]) => words),
      ...QUESTION_FILLER,
      ...LIKE_WORDS,
      ...STRONGER_WORDS,
      ...SAID_BEFORE.keys(),
      ...SAID_BEHIND.keys(),
    ].flatMap((words) => words.toLowerCase().split(/[^\p{L}]+/u)),
  ),
].filter((word) => word.length >= SHORTEST);
const AS_THEY_ARE = new Set(MENDABLE);
/** Swapped letters count as one slip; of four to six letters one may be wrong, of more two, left out ones too. */
const allowedIn = (word: string, meant: string) =>
  word.length > 6 || (word.length === 6 && meant.length > 6 && word[0] === meant[0]) ? 2 : 1;

/** The word that a mistyped one was meant for; itself where it is known, or where two are as near. */
function mended(word: string): string {
  const lower = word.toLowerCase();
  if (!/^\p{L}{4,}$/u.test(word) || AS_THEY_ARE.has(lower) || isWord(lower)) return word;
  let least = Infinity;
  let nearest: string[] = [];
  for (const candidate of MENDABLE) {
    const allowed = allowedIn(lower, candidate);
    if (Math.abs(candidate.length - lower.length) > allowed) continue;
    const errors = typingErrors(lower, candidate, allowed);
    if (errors > allowed || errors > least) continue;
    nearest = errors < least ? [candidate] : [...nearest, candidate];
    least = errors;
  }
  // Spellings of one word are one.
  const meant = nearest.flatMap((one) => senseOf(one)?.kinds[0] ?? []);
  const isOne = nearest.length === 1 || new Set(meant).size === 1;
  return (isOne ? (nearest.find((one) => senseOf(one)) ?? nearest[0]) : undefined) ?? word;
}
