import type { Unit } from '../quantity';
import { kindRule, type KindName } from './kinds';
import { RATINGS, type RatingName } from './ratings';

/**
 * The rating of a kind that a bare value with this unit means: volts on a MOSFET are drain to
 * source, ohms its on resistance. The first rating of the kind with the unit wins.
 */
export function ratingFromUnit(kind: KindName, unit: Unit): RatingName | undefined {
  return kindRule(kind).ratings.find((name) => RATINGS[name].unit === unit);
}

/**
 * The rating that a typed word means: its own word (`vds`, `esr`), for a kind when the word is
 * shared by several (`v` on a MOSFET is drain to source).
 */
export function ratingFromWord(word: string, kind?: KindName): RatingName | undefined {
  const wanted = word.toLowerCase();
  const names = Object.keys(RATINGS) as RatingName[];
  const exact = names.find((name) => name.toLowerCase() === wanted || RATINGS[name].words.includes(wanted));
  if (!kind || (exact && kindRule(kind).ratings.includes(exact))) return exact;
  const generic: Readonly<Record<string, Unit>> = {
    v: 'volt',
    i: 'ampere',
    r: 'ohm',
    c: 'farad',
    l: 'henry',
    p: 'watt',
  };
  const unit = generic[wanted];
  return (unit && ratingFromUnit(kind, unit)) ?? exact;
}
