// Learns how much each fact says of a board traced in part.
import { writeFileSync } from 'node:fs';
import { Random } from '../../src/core/topology';
import { VOICES, type Sizes } from '../../src/core/topology/partial/score';
import { learn } from './learn';
import { composedLessons, DRAWN, samplesOf, viewOf, type Lesson, type Sample } from './views';

const TARGET = 'src/core/topology/partial/sizes.ts';
const LEFT_OUT = 'src/core/topology/fixtures/leftOut.json';
const COMPOSED = { from: 50_001, boards: 450, views: 5, weight: 2 } as const;
const DRAWN_VIEWS = { views: 40, weight: 3 } as const;
/** Drawn boards are left out in so many groups. */
const GROUPS = 8;

const samplesFor = (
  lessons: readonly Lesson[],
  { views, weight }: { readonly views: number; readonly weight: number },
  seed: number,
): readonly (readonly Sample[])[] =>
  lessons.map((lesson, index) => {
    const random = new Random(seed + index);
    return Array.from({ length: views }, () => samplesOf(viewOf(lesson, random), lesson, weight)).flat();
  });

/** Learns from composed and drawn boards; and again without each group of drawn boards, to judge by what was left out. */
export function fitSizes(): void {
  const composed = samplesFor(composedLessons(COMPOSED.from, COMPOSED.boards), COMPOSED, 7).flat();
  const drawn = samplesFor(DRAWN, DRAWN_VIEWS, 100_003);
  const all = learn([...composed, ...drawn.flat()]);
  const named = (values: Sizes['voices']) =>
    Object.fromEntries(VOICES.map(({ fact, about }, index) => [`${fact}|${about}`, values[index]]));
  writeFileSync(
    TARGET,
    `// Written by \`npm run fit\`; not edited by hand.

/** Learnt sizes: nats for a fact and what it speaks for or against. */
// oxfmt-ignore
export const SIZES: Readonly<Record<string, number>> = ${JSON.stringify(named(all.voices))};

/** How common the classes are, in nats, in the order of \`SLOT_CLASSES\`. */
// oxfmt-ignore
export const LEARNT_COMMON: readonly number[] = ${JSON.stringify(all.common)};
`,
  );
  const groups = Array.from({ length: GROUPS }, (_, group) => {
    const isOut = (index: number) => index % GROUPS === group;
    const { voices, common } = learn([...composed, ...drawn.filter((_, index) => !isOut(index)).flat()]);
    return { boards: DRAWN.filter((_, index) => isOut(index)).map(({ name }) => name), voices: named(voices), common };
  });
  writeFileSync(LEFT_OUT, `${JSON.stringify({ groups })}\n`);
}
