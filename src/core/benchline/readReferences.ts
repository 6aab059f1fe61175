import type { BenchProblem } from './record';

const REFERENCE = /^([a-z]{1,4})(\d{1,4})([a-z]?)$/i;
/** A line says the same of at most this many parts. */
const MOST_AT_ONCE = 60;

/** Whether a word is a part's reference, such as Q1 or CX2. */
export function isReference(word: string): boolean {
  return REFERENCE.test(word);
}

/**
 * The parts that the first word of a line names: one (`q1`), a range (`c11..c20`, `c11..20`), a
 * list (`c1,c4`), or both.
 * @returns undefined when the word names no part
 */
export function readReferences(word: string): string[] | { readonly problem: BenchProblem } | undefined {
  if (isReference(word)) return [word.toUpperCase()];
  if (!/^[a-z]{1,4}\d{1,4}[a-z]?(?:\.\.|[-,…])/i.test(word)) return undefined;
  const bad = (why: string) => ({ problem: { kind: 'bad-range' as const, word, why } });
  const refs: string[] = [];
  for (const piece of word.split(',').filter((one) => one !== '')) {
    const [from = '', to] = piece.split(/\.{2,3}|…|-/);
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
    for (let number = Number(first); number <= Number(last) && refs.length <= MOST_AT_ONCE; number += 1)
      refs.push(`${letters.toUpperCase()}${number}`);
  }
  if (refs.length > MOST_AT_ONCE) return bad(`at most ${MOST_AT_ONCE} parts are logged at once`);
  return [...new Set(refs)];
}
