import type { Board, BoardPart, PinPair } from '../../src/core/board';
import {
  factsOf,
  recognise,
  tracedByPerson,
  tracedSoFar,
  withKnownPins,
  type KnownBoard,
  type Random,
} from '../../src/core/topology';
import { CORPUS, type CorpusBoard } from '../../src/core/topology/fixtures/corpus';
import { blur } from '../../src/core/topology/fixtures/generator/blur';
import { composeBoard } from '../../src/core/topology/fixtures/generator/compose';
import { OTHER_BOARDS } from '../../src/core/topology/fixtures/otherBoards';
import { PRACTICAL } from '../../src/core/topology/fixtures/practicalBoards';
import { anchorlessStages, explains } from '../../src/core/topology/partial/anchorless';
import { isOf, SLOT_CLASSES, type SlotClass } from '../../src/core/topology/partial/classes';
import { anchorFacts } from '../../src/core/topology/partial/facts/anchorFacts';
import { boardFactsOf } from '../../src/core/topology/partial/facts/boardFacts';
import { contradicted, voicesOf } from '../../src/core/topology/partial/score';
import { areJoined } from '../../src/core/topology/probe/nextProbes';
import { mayAnchor } from '../../src/core/topology/partial/slots';

/** A board to learn from, as a whole. */
export interface Lesson extends KnownBoard {
  readonly name: string;
}

/** One anchor of one view: what is heard, and what it is. */
export interface Sample {
  /** Index of the right class in `SLOT_CLASSES`. */
  readonly right: number;
  readonly base: readonly number[];
  readonly voices: readonly (readonly [voice: number, grade: number])[];
  readonly weight: number;
}

const lesson = ({ name, board, answer }: CorpusBoard): Lesson => ({ name, board, truth: answer });

/** Boards that were drawn by hand; each is left out in turn to judge what is learnt from the others. */
export const DRAWN: readonly Lesson[] = [...[...CORPUS, ...OTHER_BOARDS].map(lesson), ...PRACTICAL];

/** Composed boards. The currents of their nameplates say nothing. */
export const composedLessons = (from: number, count: number): readonly Lesson[] =>
  Array.from({ length: count }, (_, index) => {
    const { board, truth } = composeBoard(from + index);
    const outputs = (board.nameplate?.outputs ?? []).map(({ v }) => ({ v }));
    return { name: `composed ${from + index}`, board: { ...board, nameplate: { ...board.nameplate, outputs } }, truth };
  });

const SHARES = [0.03, 0.08, 0.15, 0.22, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;
const BLURRED = 0.7;
/** Orders in which boards are traced, by chance: outward, in any order, as a person does; the rest pin by pin. */
const ORDER = { outward: 0.4, random: 0.6, person: 0.85 } as const;

/** A board as it may stand while it is traced: how far, in which order, and how its list was kept are by chance. */
export function viewOf({ board }: Lesson, random: Random): Board {
  const share = random.of(SHARES);
  const order = random.next();
  const facts = (by: 'power' | 'random') => {
    const all = factsOf(board, by, random);
    return tracedSoFar(board, all.slice(0, Math.round(all.length * share)));
  };
  const traced =
    order < ORDER.outward
      ? facts('power')
      : order < ORDER.random
        ? facts('random')
        : order < ORDER.person
          ? (tracedByPerson(board, [share], random)[0]?.board ?? board)
          : pinByPin(board, share, random);
  const answered = random.chance(PROBED) ? withAnswers(traced, board, random) : traced;
  return random.chance(BLURRED) ? blur(answered, random) : answered;
}

/** How often single pairs of pins were asked about besides, and how many. */
const PROBED = 0.5;
const ANSWERS = [5, 10, 20, 40, 80] as const;
/** Pins that a person asks about; those of an anchor come into most questions. */
const ASKED: ReadonlySet<BoardPart['kind']> = new Set(['nmos', 'pmos', 'npn', 'igbt', 'diode', 'dual-diode', 'bridge']);
const AT_ANCHOR = 0.6;

/** A view with the answers to questions by chance, as whole boards give them: beeps, and more often none. */
function withAnswers(view: Board, whole: Board, random: Random): Board {
  const pinsOf = (wanted: (part: BoardPart) => boolean) =>
    view.parts.filter(wanted).flatMap(({ ref, pins }) =>
      Object.keys(pins)
        .filter((pin) => pin !== 'G' && pin !== 'B')
        .map((pin) => `${ref}.${pin}`),
    );
  const [anchor, ...anchors] = pinsOf(mayAnchor);
  const [other, ...others] = pinsOf((part) => ASKED.has(part.kind) || part.kind === 'ic' || '+' in part.pins);
  if (anchor === undefined || other === undefined) return view;
  const [joined, separate]: [PinPair[], PinPair[]] = [[...(view.joined ?? [])], [...(view.separate ?? [])]];
  for (let left = random.of(ANSWERS); left > 0; left -= 1) {
    const pair: PinPair = [
      random.chance(AT_ANCHOR) ? random.of([anchor, ...anchors]) : random.of([other, ...others]),
      random.of([other, ...others]),
    ];
    if (pair[0].split('.')[0] === pair[1].split('.')[0]) continue;
    (areJoined(whole, ...pair) ? joined : separate).push(pair);
  }
  return { ...view, joined, separate };
}

/** Pins whose net is known here and there, those of the power path sooner. */
export function pinByPin(board: Board, share: number, random: Random): Board {
  const order = new Map<string, number>();
  for (const pin of factsOf(board, 'power', random).flat()) if (!order.has(pin)) order.set(pin, order.size);
  const pins = random
    .shuffled(board.parts.flatMap(({ ref, pins: own }) => Object.keys(own).map((pin) => `${ref}.${pin}`)))
    .toSorted((a, b) => (order.get(a) ?? Infinity) - (order.get(b) ?? Infinity) || 0)
    .map((pin, index, { length }) => ({ pin, at: index / length + 0.5 * random.next() }))
    .toSorted((a, b) => a.at - b.at);
  return withKnownPins(board, new Set(pins.slice(0, Math.round(share * pins.length)).map(({ pin }) => pin)));
}

/** Stages of which every choke counts as the anchor. */
const isShared = (topology: string) => isOf(topology as SlotClass, 'cell');

/** What an anchor is: of a transformer's stage the first transformer, of a cell every choke. */
function rightOf(anchor: BoardPart, parts: readonly BoardPart[], { stages }: KnownBoard['truth']): number {
  const stage = stages.find(
    ({ topology, magnetics }) => magnetics.includes(anchor.ref) && SLOT_CLASSES.some((name) => name === topology),
  );
  if (!stage) return 0;
  const first = stage.magnetics.find((ref) => parts.some((part) => part.ref === ref && part.kind === 'transformer'));
  const isAnchor =
    isShared(stage.topology) || stage.topology === 'resonant-ballast' || (first ?? stage.magnetics[0]) === anchor.ref;
  return isAnchor ? SLOT_CLASSES.findIndex((name) => name === stage.topology) : 0;
}

/** Samples of one view. */
export function samplesOf(view: Board, { truth }: Lesson, weight: number): readonly Sample[] {
  const { model, stages } = recognise(view);
  const facts = boardFactsOf(model);
  const isExplained = explains(anchorlessStages(facts, stages));
  return view.parts.filter(mayAnchor).map((anchor) => {
    const sheet = anchorFacts(facts, anchor, stages, isExplained);
    return {
      right: rightOf(anchor, view.parts, truth),
      base: contradicted(sheet),
      voices: voicesOf(sheet),
      weight,
    };
  });
}
