import { parseQuantity } from '../quantity';
import type { Field, Sum } from './sum';
import { SUMS } from './sums';

/** What a line at the foot asks for: a sum, and what it typed for its fields. */
export interface SumLine {
  readonly sum: Sum;
  readonly texts: Readonly<Record<string, string>>;
  /** Words that were given no field. */
  readonly left: readonly string[];
}

/** The choice of a field that a word stands for: all of it, or a word of it. */
function choiceFor({ choices }: Field, word: string): string | undefined {
  const typed = word.toLowerCase();
  return (
    choices?.find((one) => one.toLowerCase() === typed) ??
    choices?.find((one) =>
      one
        .toLowerCase()
        .split(/[^a-z0-9ćĆ]+/i)
        .includes(typed),
    )
  );
}

/** Whether a word can be what a field asks for. */
const fits = (field: Field, word: string): boolean =>
  field.choices ? choiceFor(field, word) !== undefined : field.unit === undefined || parseQuantity(word, field.unit).ok;

/** Units whose prefixes are alike: a word that goes for two of them names none. */
const ALIKE = ['ohm', 'farad', 'henry', 'volt', 'ampere', 'watt', 'hertz'] as const;

/** Whether a word carries a unit of its own that this field has, so that it need not stand in its turn. */
const saysUnit = (field: Field, word: string): boolean =>
  field.unit !== undefined &&
  field.unit !== 'count' &&
  parseQuantity(word, field.unit).ok &&
  ALIKE.filter((unit) => parseQuantity(word, unit).ok).length <= 1;

/** A bare number with a prefix may be of any unit: it is believed where it lies within so many decades of what is usual. */
const DECADES = 2.6;

/** How many decades a value lies from what is usual for a field; none where that cannot be said. */
function decadesOff(field: Field, word: string): number {
  if (field.unit === undefined) return 0;
  const [typed, usual] = [parseQuantity(word, field.unit), parseQuantity(field.usual, field.unit)];
  if (!typed.ok || !usual.ok) return 0;
  const [value, about] = [Math.abs(typed.quantity.value), Math.abs(usual.quantity.value)];
  return value === 0 || about === 0 ? 0 : Math.abs(Math.log10(value / about));
}

const isLikely = (field: Field, word: string): boolean => decadesOff(field, word) <= DECADES;

/** Words in lower case and the singular. */
const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '')
    .map((word) => (word.length > 4 ? word.replace(/s$/, '') : word));

/** Words, and each two that follow one another as one: “heat sink” is found as “heatsink”. */
function namesOf(text: string): readonly string[] {
  const words = wordsOf(text);
  return [...words, ...words.slice(1).map((word, index) => `${words[index] ?? ''}${word}`)];
}

/** How well a sum goes by some words: its name counts most, then its title, then what else it is found by. */
function likeness({ id, title, words }: Sum, typed: readonly string[]): number {
  const [ofTitle, ofWords] = [namesOf(title), namesOf(words)];
  const score = (word: string) => (word === id ? 6 : ofTitle.includes(word) ? 3 : ofWords.includes(word) ? 2 : 0);
  return typed.reduce((sum, word) => sum + score(word), typed.join('') === id.replaceAll('-', '') ? 6 : 0);
}

/** Small words that name no sum. */
const EMPTY = new Set([
  'a',
  'an',
  'the',
  'of',
  'for',
  'at',
  'with',
  'and',
  'to',
  'in',
  'from',
  'it',
  'is',
  'my',
  'time',
  'what',
  'how',
]);

/**
 * The sum that the words before the first value name. @param isLoose by its title and what else it is found by, not only by its name
 */
function sumNamed(names: readonly string[], isLoose: boolean): Sum | undefined {
  const [first = ''] = names;
  const named = SUMS.find(({ id }) => id === first);
  if (named || !isLoose) return named;
  const typed = names.filter((word) => !EMPTY.has(word)).flatMap(wordsOf);
  const scored = SUMS.map((sum) => ({ sum, score: likeness(sum, typed) })).filter(({ score }) => score > 0);
  const most = Math.max(0, ...scored.map(({ score }) => score));
  return (
    scored.find(({ score }) => score === most)?.sum ??
    (first.length > 2 ? SUMS.find(({ id }) => id.startsWith(first)) : undefined)
  );
}

/**
 * Reads “snubber 4M4 100p 3M1”: the name of a sum, then values in the order of its fields; one that says another unit than the next field
 * goes to the first that takes it, and `field=value` names it.
 * @param of.isLoose a sum may be named by words of its title as well
 * @returns undefined where no sum is named
 */
export function readSumLine(
  text: string,
  { isLoose = false }: { readonly isLoose?: boolean } = {},
): SumLine | undefined {
  const all = text
    .trim()
    .split(/[\s,;]+/)
    .filter((word) => word !== '');
  const begins = all.findIndex((word) => /\d/.test(word) || word.includes('='));
  const names = (begins < 0 ? all : all.slice(0, begins)).map((word) => word.toLowerCase());
  const sum = sumNamed(names, isLoose);
  if (!sum) return undefined;
  const [first] = sum.fields;
  if (first && first.unit === undefined && !first.choices) {
    // All that is not the name is one text.
    const names = new Set(namesOf(`${sum.id} ${sum.title} ${sum.words}`));
    const from = all.findIndex((word) => !wordsOf(word).every((one) => names.has(one) || EMPTY.has(one)));
    return { sum, texts: from < 0 ? {} : { [first.id]: all.slice(from).join(' ') }, left: [] };
  }
  // A word before the values may be a choice: “converter boost 12V”.
  const chosen = names.filter(
    (word) => word !== sum.id && sum.fields.some((field) => choiceFor(field, word) !== undefined),
  );
  const texts: Record<string, string> = {};
  const left: string[] = [];
  for (const word of [...chosen, ...all.slice(begins < 0 ? all.length : begins)]) {
    const [, id = '', value = ''] = /^([a-z]+)=(.+)$/i.exec(word) ?? [];
    const named = sum.fields.find((field) => field.id === id.toLowerCase());
    if (named) {
      texts[named.id] = value;
      continue;
    }
    const open = sum.fields.filter((field) => texts[field.id] === undefined);
    const [next] = open;
    const at =
      next && fits(next, word) && isLikely(next, word)
        ? next
        : (open.find((field) => saysUnit(field, word) && isLikely(field, word)) ??
          open.find((field) => field.choices && choiceFor(field, word) !== undefined) ??
          open
            .filter((field) => fits(field, word))
            .toSorted((one, other) => decadesOff(one, word) - decadesOff(other, word))[0]);
    if (at) texts[at.id] = choiceFor(at, word) ?? word;
    else if (!EMPTY.has(word.toLowerCase())) left.push(word);
  }
  return { sum, texts, left };
}
