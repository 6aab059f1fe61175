import { fixableAs, isBoardKind } from '../board';
import { OPEN_WORDS, TESTS } from '../measure';
import {
  BLOCK_NAMES,
  BLOCKS,
  DAMAGE_WORDS,
  DUTY_NAMES,
  FITMENT_NAMES,
  KIND_NAMES,
  kindRule,
  PACKAGES,
  RATINGS,
  SUBTYPES,
} from '../part';
import type { BenchContext } from './record';
import { isReference } from './references';
import { firstFrom } from './sorted';
import { valueOf } from './values';
import { meaningsOf } from './vocabulary';

/**
 * The rest of the word being typed, or nothing when no word fits: references and stores first in a
 * line, then the words that may follow.
 * @example complete('q1 nm', context) // 'os'
 */
export function complete(line: string, context: BenchContext): string {
  const words = line.split(/\s+/);
  const typed = (words.at(-1) ?? '').toLowerCase();
  if (typed === '' || words[0]?.startsWith('#') || words[0]?.startsWith('?')) return '';
  if (isFinished(typed, words.length === 1, context)) return '';
  const number = words.at(-2)?.toLowerCase() === 'marked' ? completeType(typed, context) : undefined;
  if (number !== undefined) return number;
  const candidates = words.length === 1 ? openings(context) : followers(words, context);
  const found = candidates.find((word) => word.toLowerCase().startsWith(typed) && word.length > typed.length);
  return found === undefined ? (completeType(typed, context) ?? '') : found.slice(typed.length).toLowerCase();
}

/** A word that says something as it stands is left alone, whatever longer one begins with it. */
function isFinished(typed: string, isFirst: boolean, { parts, stores, types = [] }: BenchContext): boolean {
  const wanted = typed.toUpperCase();
  if (parts.some(({ ref }) => ref === wanted) || stores.includes(wanted)) return true;
  if (isFirst) return isReference(typed);
  return meaningsOf(typed).length > 0 || valueOf(typed) !== undefined || firstFrom(types, wanted) === wanted;
}

/** Letters that a number needs before it is completed: with fewer, too many would fit. */
const LEAST_OF_TYPE = 2;

/** The rest of the first known number that begins as typed. The list is sorted. */
function completeType(typed: string, { types = [] }: BenchContext): string | undefined {
  if (typed.length < LEAST_OF_TYPE || types.length === 0) return undefined;
  const wanted = typed.toUpperCase();
  const first = firstFrom(types, wanted);
  const found = first?.startsWith(wanted) ? first : undefined;
  return found === undefined ? undefined : found.slice(typed.length).toLowerCase();
}

function openings({ parts, stores }: BenchContext): string[] {
  return [
    ...stores,
    ...parts.map(({ ref }) => ref),
    'store',
    'soak',
    'power',
    'note',
    'claim',
    'settle',
    'delete',
    'rename',
  ];
}

function followers(words: readonly string[], context: BenchContext): string[] {
  const kind = context.parts.find(({ ref }) => ref === words[0]?.toUpperCase())?.kind;
  const test = kind && kindRule(kind).test;
  if (words.some((word) => /^(measures|measured|reads)$/i.test(word)) && test)
    return [...TESTS[test].fields.flatMap(({ words: names }) => names), 'in-circuit', ...OPEN_WORDS];
  if (words[0]?.toLowerCase() === 'store') return ['bleed', 'series', 'battery', 'output', 'pulse'];
  if (words[0]?.toLowerCase() === 'power') return ['on', 'off'];
  if (words[1]?.toLowerCase() === 'as') return kind && isBoardKind(kind) ? [...fixableAs(kind)] : [];
  const ratings = kind ? kindRule(kind).ratings.flatMap((name) => RATINGS[name].words) : [];
  return [
    'marked',
    ...(kind ? ['measures', ...ratings] : []),
    ...KIND_NAMES.flatMap((name) => kindRule(name).words),
    ...PACKAGES.map(({ name }) => name),
    ...Object.keys(SUBTYPES),
    ...DAMAGE_WORDS,
    ...BLOCK_NAMES.flatMap((name) => BLOCKS[name].words),
    ...DUTY_NAMES,
    ...FITMENT_NAMES,
    'like',
    'same',
    'dated',
    'datasheet',
    'typical',
    'guessed',
  ];
}
