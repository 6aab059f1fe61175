import { practice } from '../evidence';
import { isPolarised } from '../topology';
import type { Board, BoardPart, PartValue } from '../board';
import { formatQuantity } from '../quantity';
import { RATINGS } from '../part';
import { disagreementsOf, type Disagreement } from './disagree';
import { runBoard, type BoardRun, type StageRun } from './runBoard';
import type { TracedUnit, Used, ValueName } from './unit';

/** One thing that may be other than it was taken for. */
export interface Trial {
  readonly ref: string;
  readonly kind: 'value' | 'polarity' | 'join';
  readonly text: string;
  readonly unit: TracedUnit;
  /** How likely such a slip is beforehand. */
  readonly prior: number;
}

/** A trial that lets what disagrees agree. */
export interface Suspect {
  readonly ref: string;
  readonly kind: Trial['kind'];
  readonly text: string;
  /** Share of the disagreement that is gone with it. */
  readonly explains: number;
  /** That times how likely such a slip is. */
  readonly rank: number;
}

/** How likely slips are: a band misread by a decade, a part drawn the wrong way round, a join one was not sure of. */
const PRIOR = practice({ typed: 1, decoded: 0.8, measured: 0.3, polarity: 0.8, join: 1 } as const);
/** A trial must take away so much of the disagreement. */
const EXPLAINS = 0.6;
/** Values that a decade's slip is looked for in. */
const SLIPS: ReadonlySet<string> = new Set<ValueName>(['resistance', 'capacitance', 'inductance', 'turnsRatio']);
const DECADES = [10, 0.1] as const;
const MOST_SUSPECTS = 6;

/** The trials for what disagrees in one stage: the parts that it names first. */
export function trialsOf(unit: TracedUnit, run: BoardRun, stage: string): readonly Trial[] {
  const found = run.stages.find(({ refs }) => refs.includes(stage));
  const dividers = found?.rails.flatMap(({ divider }) => divider?.refs ?? []) ?? [];
  const inStage = new Set([...(found?.parts ?? []), ...dividers]);
  const partOf = (ref: string) => unit.board.parts.find((part) => part.ref === ref);
  const values = [...run.used, ...dividers.flatMap((ref) => readOf(partOf(ref)))]
    .filter(({ ref, name, source }) => inStage.has(ref) && SLIPS.has(name) && source !== 'typical')
    .filter((one, index, all) => index === all.findIndex(({ ref, name }) => ref === one.ref && name === one.name))
    .flatMap(({ ref, name, value, label, unit: of, source }) =>
      DECADES.map((factor): Trial => ({
        ref,
        kind: 'value',
        text: `${ref} with ${formatQuantity(value * factor, of, { digits: 3 })} instead of ${formatQuantity(value, of, { digits: 3 })} (${label} a decade off)`,
        unit: withValue(unit, ref, name as ValueName, value * factor),
        prior: source === 'measured' ? PRIOR.measured : source === 'decoded' ? PRIOR.decoded : PRIOR.typed,
      })),
    );
  const turned = [...inStage].flatMap((ref): readonly Trial[] => {
    const part = partOf(ref);
    const isTurnable =
      part && (part.kind === 'diode' || part.kind === 'bridge' || (isPolarised(part) && '+' in part.pins));
    return isTurnable
      ? [
          {
            ref,
            kind: 'polarity',
            text: `${ref} the other way round`,
            unit: withTurned(unit, part),
            prior: PRIOR.polarity,
          },
        ]
      : [];
  });
  const joins = (unit.board.unsure ?? []).map(([a, b]): Trial => ({
    ref: a,
    kind: 'join',
    text: `${a} joined to ${b}, which was left unsure`,
    unit: { ...unit, board: { ...unit.board, joined: [...(unit.board.joined ?? []), [a, b]] } },
    prior: PRIOR.join,
  }));
  return [...joins, ...turned, ...values];
}

const readOf = (part: BoardPart | undefined): readonly Used[] =>
  part?.value?.resistance === undefined
    ? []
    : [
        {
          ref: part.ref,
          name: 'resistance',
          label: RATINGS.resistance.label,
          value: part.value.resistance,
          unit: 'ohm',
          source: 'typed',
        },
      ];

/** A unit in which one value is another, wherever it is read. */
function withValue(unit: TracedUnit, ref: string, name: ValueName, value: number): TracedUnit {
  return {
    ...unit,
    known: { ...unit.known, [ref]: { ...unit.known[ref], [name]: { value, source: 'typed' } } },
    board: {
      ...unit.board,
      parts: unit.board.parts.map((part) =>
        part.ref === ref && part.value && name in part.value
          ? { ...part, value: { ...part.value, [name as keyof PartValue]: value } }
          : part,
      ),
    },
  };
}

/** Pins that change places when a part sits the other way round. */
const TURNED: readonly (readonly [string, string])[] = [
  ['A', 'K'],
  ['+', '-'],
];

/** A unit in which a part sits the other way round, wherever its pins are named. */
function withTurned({ board, ...unit }: TracedUnit, { ref, pins }: BoardPart): TracedUnit {
  const [one, other] = TURNED.find(([a, b]) => a in pins && b in pins) ?? ['', ''];
  const swap = (pin: string) =>
    pin === `${ref}.${one}` ? `${ref}.${other}` : pin === `${ref}.${other}` ? `${ref}.${one}` : pin;
  const pairs = (list: Board['joined'] = []) => list.map(([a, b]) => [swap(a), swap(b)] as const);
  return {
    ...unit,
    board: {
      ...board,
      parts: board.parts.map((part) =>
        part.ref === ref
          ? { ...part, pins: { ...part.pins, [one]: part.pins[other] ?? null, [other]: part.pins[one] ?? null } }
          : part,
      ),
      joined: pairs(board.joined),
      separate: pairs(board.separate),
      swept: (board.swept ?? []).map(swap),
    },
  };
}

/**
 * What a trial explains of what disagrees in a stage, 0 to 1: it is run, and counts by how much of the disagreement it takes away. A run
 * that does not settle, or brings up other things, explains nothing.
 */
export function tryOut(
  trial: Trial,
  { unit, run, stage }: { readonly unit: TracedUnit; readonly run: BoardRun; readonly stage: string },
  isOver?: () => boolean,
): Suspect | undefined {
  const sum = (list: readonly Disagreement[]) =>
    list.reduce((total, { size, stage: own }) => (own === stage ? total + size : total), 0);
  const holding = run.stages.find(({ refs }) => refs.includes(stage))?.holding ?? '';
  const after = runBoard(trial.unit, { only: stage, holding, ...(isOver ? { isOver } : {}) });
  const [one, other] = [run, after].map(({ stages }) => stages.find(({ refs }) => refs.includes(stage)));
  if (!one || !other || told(other) < told(one) || one.parts.some((ref) => !other.parts.includes(ref)))
    return undefined;
  const before = sum(disagreementsOf(run, unit));
  const explains = 1 - sum(disagreementsOf(after, trial.unit)) / before;
  const { ref, kind, text, prior } = trial;
  return explains >= EXPLAINS ? { ref, kind, text, explains, rank: explains * prior } : undefined;
}

/** Rails of which it is known what they should carry: one that is not looked at any more is not thereby right. */
const told = ({ rails }: StageRun): number =>
  rails.filter(({ plate, expected }) => plate !== undefined || expected !== undefined).length;

/** The suspects in order, the likeliest first. */
export const rankSuspects = (found: readonly Suspect[]): readonly Suspect[] =>
  found.toSorted((a, b) => b.rank - a.rank).slice(0, MOST_SUSPECTS);
