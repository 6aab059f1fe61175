import type { BoardPart } from '../../board';
import { isOf, SLOT_CLASSES } from './classes';
import type { FactSheet } from './facts/sheet';
import { LEARNT_COMMON, SIZES } from './sizes';
import { COMMON, CONTRADICTIONS, WEIGHTS } from './weights';

/** A fact, and one trait or class it speaks for or against. */
export interface Voice {
  readonly fact: string;
  readonly about: string;
  /** Size set by hand, with its sign. */
  readonly first: number;
  /** 1 for each class of `SLOT_CLASSES` that it is about, else 0. */
  readonly classes: readonly number[];
}

/** Every fact with everything it speaks about, in a fixed order: what is learnt is a size for each. */
export const VOICES: readonly Voice[] = Object.entries(WEIGHTS).flatMap(([fact, row]) =>
  Object.entries(row).map(([about, first]) => ({
    fact,
    about,
    first,
    classes: SLOT_CLASSES.map((name) => Number(isOf(name, about))),
  })),
);

const VOICES_OF = new Map<string, number[]>();
VOICES.forEach(({ fact }, index) => VOICES_OF.set(fact, [...(VOICES_OF.get(fact) ?? []), index]));

/** Sizes of all voices in their order, and how common the classes are. */
export interface Sizes {
  readonly voices: readonly number[];
  readonly common: readonly number[];
}

export const HAND_SIZES: Sizes = {
  voices: VOICES.map(({ first }) => first),
  common: SLOT_CLASSES.map((name) => COMMON[name]),
};

export const LEARNT_SIZES: Sizes = {
  voices: VOICES.map(({ fact, about, first }) => SIZES[`${fact}|${about}`] ?? first),
  common: LEARNT_COMMON,
};

/** What contradictions leave of each class, in nats. */
export function contradicted(sheet: FactSheet): readonly number[] {
  const rows = CONTRADICTIONS.filter(({ fact, from }) => sheet.grade(fact) >= from);
  return SLOT_CLASSES.map((name) =>
    rows.reduce((sum, { against, nats }) => sum + (against.some((one) => isOf(name, one)) ? nats : 0), 0),
  );
}

/** The voices that the facts of a sheet raise, each with the grade of its fact. */
export const voicesOf = (sheet: FactSheet): readonly (readonly [voice: number, grade: number])[] =>
  sheet.entries().flatMap(([name, { grade }]) => (VOICES_OF.get(name) ?? []).map((voice) => [voice, grade] as const));

/** Log-odds of every class of `SLOT_CLASSES` from the facts of one part alone, in nats. */
export function scoresOf(sheet: FactSheet, sizes: Sizes): number[] {
  const hard = contradicted(sheet);
  const scores = SLOT_CLASSES.map((_, index) => (hard[index] ?? 0) + (sizes.common[index] ?? 0));
  for (const [voice, grade] of voicesOf(sheet)) {
    const size = (sizes.voices[voice] ?? 0) * grade;
    VOICES[voice]?.classes.forEach((on, index) => {
      if (on === 1) scores[index] = (scores[index] ?? 0) + size;
    });
  }
  return scores;
}

/** One reason for or against a reading: a fact, the parts it was seen at, and what it weighs. */
export interface Reason {
  readonly fact: string;
  readonly parts: readonly BoardPart[];
  /** Nats for the reading (above zero) or against it. */
  readonly weight: number;
}

/** What speaks for and against a class, the weightiest first. */
export function reasonsFor(sheet: FactSheet, topology: string, sizes: Sizes): readonly Reason[] {
  const at = SLOT_CLASSES.findIndex((name) => name === topology);
  return sheet
    .entries()
    .map(([fact, { grade, parts }]) => ({
      fact,
      parts: [...new Set(parts)],
      weight:
        (VOICES_OF.get(fact) ?? []).reduce(
          (sum, voice) => sum + (VOICES[voice]?.classes[at] ?? 0) * (sizes.voices[voice] ?? 0) * grade,
          0,
        ) +
        CONTRADICTIONS.filter(
          (row) =>
            row.fact === fact && grade >= row.from && row.against.some((one) => isOf(SLOT_CLASSES[at] ?? 'none', one)),
        ).reduce((sum, { nats }) => sum + nats, 0),
    }))
    .filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT)
    .toSorted((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
}

/** Reasons that weigh less are not worth a line, in nats. */
const LEAST_WEIGHT = 0.15;
