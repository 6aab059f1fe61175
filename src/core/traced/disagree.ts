import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { STRESS_WORDS, type Stress } from '../whatif';
import type { BoardRun, StageRun } from './runBoard';
import type { TracedUnit } from './unit';

/** Where what runs and what is printed or was measured are apart. */
export interface Disagreement {
  readonly kind: 'plate' | 'reading' | 'rating';
  /** A pin of the rail, or a part. */
  readonly at: string;
  /** A part by which the stage is found again. */
  readonly stage: string;
  readonly text: string;
  /** How far apart, as a logarithm of the ratio; above zero. */
  readonly size: number;
}

/** Rails and plates that are nearer agree: parts and adjustments are within it. */
const AGREES = practice(0.1);
/** A part is over its rating from here on, as a share. Ripple only ages, and heat hangs on much that is typical. */
const OVER = practice({ rating: 1.1, ripple: 1.6, heat: 4 } as const);
/** No rail is told as further off than by this. */
const MOST_SIZE = 3;

/** Parts that are somewhat over their ratings, too little to call it a disagreement. */
export const strained = ({ stages }: Pick<BoardRun, 'stages'>): readonly string[] => [
  ...new Set(
    stages.flatMap(({ answer: { stresses }, guessed }) =>
      stresses
        .filter(
          (one) =>
            one.share > 1 && !guessed.includes(one.ref) && one.kind !== 'core' && one.kind !== 'ripple' && !isOver(one),
        )
        .map(({ ref }) => ref),
    ),
  ),
];

/** All that a run disagrees with, the furthest apart first. */
export function disagreementsOf(
  run: Pick<BoardRun, 'stages'>,
  unit: Pick<TracedUnit, 'readings'>,
): readonly Disagreement[] {
  return run.stages
    .flatMap((stage) => [...withPlate(stage), ...withReadings(stage, unit), ...withRatings(stage)])
    .toSorted((a, b) => b.size - a.size);
}

const volts = (value: number) => formatQuantity(value, 'volt', { digits: 3 });

const apart = (one: number, other: number) =>
  one * other <= 0 ? MOST_SIZE : Math.min(MOST_SIZE, Math.abs(Math.log(one / other)));

/** A rail that stays below so much of what it should carry is dead. */
const DEAD = 0.2;

function withPlate({ rails, refs, held, answer }: StageRun): readonly Disagreement[] {
  return rails.flatMap(({ at, plate, expected, volts: found, divider, isHeld }): readonly Disagreement[] => {
    if (plate === undefined && expected !== undefined && found / expected < DEAD)
      return [
        {
          kind: 'plate',
          at,
          stage: refs[0] ?? '',
          text: `${at} comes to ${volts(found)}, and a regulator makes an output of the plate from it.`,
          size: apart(found, expected),
        },
      ];
    if (plate === undefined || Math.abs(found - plate) <= AGREES * Math.abs(plate)) return [];
    const why =
      divider && isHeld
        ? `${divider.refs.join(', ')} hold ${at} at ${volts(divider.volts)}`
        : `${at} comes to ${volts(found)}${isHeld || held === 'output' ? '' : `, as ${endOf(held, answer.control)}`}`;
    return [
      {
        kind: 'plate',
        at,
        stage: refs[0] ?? '',
        text: `${why}; the plate says ${volts(plate)}.`,
        size: apart(found, plate),
      },
    ];
  });
}

const endOf = (held: StageRun['held'], control: number | undefined): string =>
  ({
    limit: 'the current limit ends its pulses',
    most: `the control is at its end${control === undefined ? '' : ` (${formatQuantity(control, control > 1 ? 'hertz' : 'ratio', { digits: 2 })})`}`,
    least: 'the control is at its other end',
    nothing: 'nothing was found that holds it',
    free: 'nothing holds it',
    output: '',
  })[held];

/** A reading belongs to the output that the plate puts next to it. */
function withReadings(
  { rails, refs }: StageRun,
  { readings = [] }: Pick<TracedUnit, 'readings'>,
): readonly Disagreement[] {
  return readings.flatMap(({ volts: read, said }): readonly Disagreement[] => {
    const [rail] = rails
      .filter(({ plate }) => plate !== undefined)
      .toSorted((a, b) => apart(a.plate ?? 0, read) - apart(b.plate ?? 0, read));
    if (!rail || Math.abs(rail.volts - read) <= AGREES * Math.abs(read)) return [];
    return [
      {
        kind: 'reading',
        at: rail.at,
        stage: refs[0] ?? '',
        text: `${rail.at} comes to ${volts(rail.volts)}; ${volts(read)} was measured (${said}).`,
        size: apart(rail.volts, read),
      },
    ];
  });
}

const isOver = ({ kind, share }: Stress) =>
  kind !== 'core' && share > (kind === 'ripple' || kind === 'heat' ? OVER[kind] : OVER.rating);

function withRatings({ answer: { stresses }, refs, guessed }: StageRun): readonly Disagreement[] {
  const seen = new Set(guessed);
  return stresses.filter(isOver).flatMap(({ ref, kind, value, limit, share }): readonly Disagreement[] => {
    if (seen.has(ref)) return [];
    seen.add(ref);
    const { label, unit } = STRESS_WORDS[kind];
    return [
      {
        kind: 'rating',
        at: ref,
        stage: refs[0] ?? '',
        text:
          kind === 'reversed'
            ? `${ref} has ${volts(value)} the wrong way round.`
            : `${ref}: ${label} ${formatQuantity(value, unit, { digits: 3 })}, and it stands ${formatQuantity(limit, unit, { digits: 3 })}.`,
        size: Math.min(MOST_SIZE, Math.log(share)),
      },
    ];
  });
}
