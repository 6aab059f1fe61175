import { practice } from '../evidence';
import { kindRule, KIND_NAMES, type KindName } from '../part';
import type { BenchProblem } from './record';
import { cut, type Token } from './tokens';
import { meaningsOf } from './vocabulary';

const REFERENCE = /^([a-z]{1,4})(\d{1,4})([a-z]?)$/i;
/** A line says the same of at most this many parts. */
const MOST_AT_ONCE = 60;

/**
 * What boards print before the number, with the kinds it stands for and how often. Letters that are not here stand for
 * the kinds whose own letters they are.
 */
const PREFIX_KINDS: Readonly<Record<string, readonly (readonly [KindName, number])[]>> = practice({
  Q: [
    ['nmos', 0.45],
    ['npn', 0.3],
    ['pnp', 0.09],
    ['pmos', 0.06],
    ['igbt', 0.04],
    ['triac', 0.03],
    ['scr', 0.03],
  ],
  D: [
    ['diode', 0.74],
    ['dual-diode', 0.2],
    ['bridge', 0.03],
    ['diac', 0.03],
  ],
  U: [
    ['ic', 0.5],
    ['optocoupler', 0.25],
    ['shunt-reference', 0.15],
    ['regulator', 0.1],
  ],
  IC: [
    ['ic', 0.6],
    ['optocoupler', 0.15],
    ['shunt-reference', 0.1],
    ['regulator', 0.15],
  ],
  Z: [
    ['varistor', 0.6],
    ['diode', 0.4],
  ],
  T: [
    ['transformer', 0.9],
    ['npn', 0.03],
    ['nmos', 0.03],
    ['pnp', 0.02],
    ['triac', 0.02],
  ],
  TR: [
    ['transformer', 0.6],
    ['triac', 0.25],
    ['npn', 0.05],
    ['nmos', 0.05],
    ['pnp', 0.05],
  ],
  L: [
    ['inductor', 0.8],
    ['common-mode-choke', 0.2],
  ],
  VR: [
    ['varistor', 0.5],
    ['potentiometer', 0.5],
  ],
  RV: [
    ['varistor', 0.6],
    ['potentiometer', 0.4],
  ],
  R: [
    ['resistor', 0.97],
    ['potentiometer', 0.03],
  ],
  TH: [
    ['thermistor', 0.8],
    ['scr', 0.15],
    ['triac', 0.05],
  ],
  F: [
    ['fuse', 0.95],
    ['thermistor', 0.05],
  ],
  P: [['connector', 1]],
});

/** The kinds a reference may stand for, the likelier first, with how likely each is; none when its letters say nothing. */
export function kindsOfReference(ref: string): readonly (readonly [KindName, number])[] {
  const letters = /^[A-Z]+/.exec(ref.toUpperCase())?.[0] ?? '';
  const listed = PREFIX_KINDS[letters];
  if (listed) return listed;
  const own = KIND_NAMES.filter((kind) => kindRule(kind).prefixes.includes(letters));
  return own.map((kind) => [kind, 1 / own.length] as const);
}

/** Whether letters are what boards print before a part's number. */
export function isPrefix(letters: string): boolean {
  return /^[A-Za-z]{1,4}$/.test(letters) && kindsOfReference(letters).length > 0;
}

/** Whether a word is a part's reference, such as Q1 or CX2. */
export function isReference(word: string): boolean {
  return REFERENCE.test(word);
}

/**
 * The parts that one word names: one (`q1`), a range (`c11..c20`, `c11..20`), a list (`c1,c4`), or both.
 * @returns undefined when the word names no part
 */
export function readReferences(word: string): string[] | { readonly problem: BenchProblem } | undefined {
  if (isReference(word)) return [word.toUpperCase()];
  if (!/^[a-z]{1,4}\d{1,4}[a-z]?(?:\.\.|[-,…–]|\/[a-z]{1,4}\d)/i.test(word)) return undefined;
  const bad = (why: string) => ({ problem: { kind: 'bad-range' as const, word, why } });
  const refs: string[] = [];
  for (const piece of word.split(/[,/]/).filter((one) => one !== '')) {
    const [from = '', to] = piece.split(/\.{2,3}|…|-|–/);
    const [, letters = '', first = ''] = REFERENCE.exec(from) ?? [];
    if (letters === '') return bad(`“${from}” is no reference such as C11`);
    if (to === undefined) {
      refs.push(from.toUpperCase());
      continue;
    }
    const [, ending = letters, last = to] = REFERENCE.exec(to) ?? [];
    if (!/^\d{1,4}$/.test(last)) return bad(`“${to}” does not end a range such as C11..C20`);
    if (ending.toUpperCase() !== letters.toUpperCase()) return bad('both ends of a range begin with the same letters');
    if (Number(last) < Number(first)) return bad('a range goes upwards, like C11..C20');
    refs.push(...rangeOf(letters, Number(first), Number(last)));
  }
  if (refs.length > MOST_AT_ONCE) return bad(`at most ${MOST_AT_ONCE} parts are logged at once`);
  return [...new Set(refs)];
}

function rangeOf(letters: string, first: number, last: number): string[] {
  const count = Math.min(last - first, MOST_AT_ONCE) + 1;
  return Array.from({ length: count }, (_, index) => `${letters.toUpperCase()}${first + index}`);
}

const lettersOf = (ref = '') => /^[A-Z]+/.exec(ref.toUpperCase())?.[0];

/** Words between references that only join them. */
const BETWEEN = /^(?:and|&|\+|und|et|,)$/i;
const RANGE_WORDS = /^(?:to|thru|through|until|bis|à|-|–|\.\.|\.\.\.|…)$/i;

/**
 * The parts that a statement begins with: `q1`, `c10 c11 c12`, `q3,q4`, `C1 to C3`, `d5 and d6`, `q1nmos` with the word
 * that was typed on to it set apart.
 */
export function leadingReferences(
  tokens: readonly Token[],
):
  | { readonly refs: readonly string[]; readonly rest: readonly Token[] }
  | { readonly problem: BenchProblem }
  | undefined {
  const refs: string[] = [];
  let index = 0;
  for (; index < tokens.length; index += 1) {
    const token = tokens[index];
    if (!token) break;
    const to = tokens[index + 1];
    if (refs.length > 0 && RANGE_WORDS.test(token.text) && to && isReference(to.text)) {
      const [, letters = '', last = ''] = REFERENCE.exec(to.text) ?? [];
      const [, from = '', first = ''] = REFERENCE.exec(refs.at(-1) ?? '') ?? [];
      if (letters.toUpperCase() !== from || Number(last) <= Number(first)) break;
      refs.push(...rangeOf(from, Number(first) + 1, Number(last)));
      index += 1;
      continue;
    }
    if (
      refs.length > 0 &&
      BETWEEN.test(token.text) &&
      to &&
      isReference(to.text) &&
      lettersOf(to.text) === lettersOf(refs[0])
    )
      continue;
    const named = readReferences(token.text);
    if (named && 'problem' in named) {
      if (refs.length === 0) return named;
      break;
    }
    // “q2 s8050” is one part and its number: what follows without a comma has the letters of the first.
    if (named && (refs.length === 0 || lettersOf(named[0]) === lettersOf(refs[0]))) {
      refs.push(...named);
      continue;
    }
    const [, ref = '', tail = ''] = /^([a-z]{1,3}\d{1,3})([a-z][a-z-]{1,}.*)$/i.exec(token.text) ?? [];
    if (refs.length === 0 && ref !== '' && isPrefix(ref.replace(/\d+/, '')) && meaningsOf(tail).length > 0) {
      const [, word] = cut(token, [ref, tail]);
      return { refs: [ref.toUpperCase()], rest: [...(word ? [word] : []), ...tokens.slice(index + 1)] };
    }
    break;
  }
  if (refs.length > MOST_AT_ONCE)
    return {
      problem: { kind: 'bad-range', word: refs[0] ?? '', why: `at most ${MOST_AT_ONCE} parts are logged at once` },
    };
  return refs.length === 0 ? undefined : { refs: [...new Set(refs)], rest: tokens.slice(index) };
}
