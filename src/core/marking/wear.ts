import { practice } from '../evidence';
/** Characters that worn print lets a reader take for each other. */
const CONFUSED: readonly string[] = practice(['0ODQ', '1IL', '2Z', '5S', '6G', '8B']);

/** What a changed character costs: the share of belief that is left. */
export const CHANGE_COST = 0.5;
/** Belief that is left in the best of readings that needed one or two changed characters. */
export const AFTER_CHANGES: readonly number[] = [1, 0.55, 0.35];
/** Unreadable characters that patterns are tried with; more leave nothing but names to go by. */
const MOST_FILLED = 2;
const ALPHABET = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ';

const ALTERNATIVES = new Map<string, string>(
  CONFUSED.flatMap((group) => [...group].map((one) => [one, group.replace(one, '')] as const)),
);

/** Whether print may wear from one character to the other. */
export function mayBeTakenFor(seen: string, meant: string): boolean {
  return seen === meant || (ALTERNATIVES.get(seen)?.includes(meant) ?? false);
}

/** A text that may have been meant. */
export interface Variant {
  readonly text: string;
  /** Characters changed; filled ones are not counted, since they were never read. */
  readonly changes: number;
  /** How likely the filled characters are beside their neighbours, 0 to 1. */
  readonly fill: number;
}

/** A letter that stands among digits alone, or a digit among letters, is the rarer fill. */
const RARER_FILL = 0.3;

/** Every way to fill the unreadable characters of a text; empty when there are too many to fill. */
export function filled(text: string): Variant[] {
  const gaps = text.split('?').length - 1;
  if (gaps > MOST_FILLED) return [];
  let variants: Variant[] = [{ text, changes: 0, fill: 1 }];
  for (let gap = 0; gap < gaps; gap += 1)
    variants = variants.flatMap((variant) => {
      const at = variant.text.indexOf('?');
      const beside = variant.text.charAt(at - 1) + variant.text.charAt(at + 1);
      return [...ALPHABET].map((letter) => ({
        text: variant.text.slice(0, at) + letter + variant.text.slice(at + 1),
        changes: 0,
        fill: variant.fill * (isLike(letter, beside) ? 1 : RARER_FILL),
      }));
    });
  return variants;
}

function isLike(letter: string, beside: string): boolean {
  const isDigit = /\d/.test(letter);
  return [...beside].some((other) => other === '?' || /\d/.test(other) === isDigit);
}

/** Texts one or two easily confused characters away, RN taken for M included. */
export function changed(text: string, changes: 1 | 2): Variant[] {
  const once = oneChange(text);
  if (changes === 1) return once.map((variant) => ({ text: variant, changes: 1, fill: 1 }));
  const near = new Set([text, ...once]);
  const twice = new Set(once.flatMap(oneChange).filter((variant) => !near.has(variant)));
  return [...twice].map((variant) => ({ text: variant, changes: 2, fill: 1 }));
}

function oneChange(text: string): string[] {
  const texts = [...text].flatMap((letter, index) =>
    [...(ALTERNATIVES.get(letter) ?? '')].map((other) => text.slice(0, index) + other + text.slice(index + 1)),
  );
  return [
    ...texts,
    ...respelled(text)
      .slice(1)
      .map((variant) => variant.text),
  ];
}

/** A text, and the same with RN read as M or M as RN, which changes its length. */
export function respelled(text: string): Variant[] {
  return [
    { text, changes: 0, fill: 1 },
    ...[
      ['RN', 'M'],
      ['M', 'RN'],
    ].flatMap(([seen = '', meant = '']) =>
      text.includes(seen) ? [{ text: text.replace(seen, meant), changes: 1, fill: 1 }] : [],
    ),
  ];
}
