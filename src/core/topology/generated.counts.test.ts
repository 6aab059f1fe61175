import { analyse, factsOf, Random, recognise, tracedSoFar } from '.';
import { CORPUS, stageLines } from './fixtures/corpus';
import { OTHER_BOARDS } from './fixtures/otherBoards';
import { composeBoard } from './fixtures/generator/compose';
import { HARMLESS, HARSH, MISLOGGED, refBefore } from './fixtures/generator/mutate';

const topologiesOf = (stages: readonly { topology: string }[]) =>
  stages
    .map(({ topology }) => topology)
    .toSorted()
    .join(' ');

test('1,000 composed boards: at least 97 % have the right topologies, bulk and crossing', () => {
  const wrong: string[] = [];
  for (let seed = 1; seed <= 1000; seed += 1) {
    const { board, truth } = composeBoard(seed);
    const { stages, bulk, barrier } = recognise(board);
    const refs = (parts: readonly { ref: string }[]) =>
      parts
        .map(({ ref }) => ref)
        .toSorted()
        .join(' ');
    const isRight =
      topologiesOf(stages) === topologiesOf(truth.stages) &&
      refs(bulk.parts) === truth.bulk.toSorted().join(' ') &&
      refs(barrier.crossing) === truth.crossing.toSorted().join(' ');
    if (!isRight) wrong.push(`seed ${seed}: ${topologiesOf(stages)}, not ${topologiesOf(truth.stages)}`);
  }
  expect(wrong.length <= 30 ? [] : wrong).toEqual([]);
}, 120_000);

const BOARDS = [
  ...[...CORPUS, ...OTHER_BOARDS].map(({ name, board, answer }) => ({ name, board, stages: answer.stages })),
  ...Array.from({ length: 24 }, (_, index) => {
    const { board, truth } = composeBoard(7000 + index);
    return { name: `seed ${7000 + index}`, board, stages: truth.stages };
  }),
];
const OTHERS = new Set(OTHER_BOARDS.map(({ name }) => name));
const share = (mutate: (typeof HARMLESS)[string], boards = BOARDS) => {
  const lost = boards.flatMap(({ name, board, stages }, index) => {
    const before = (refs: readonly string[]) => refs.flatMap((ref) => refBefore(ref) ?? []);
    const changed = stageLines(
      analyse(mutate(board, new Random(index + 1))).stages.map((stage) => ({
        topology: stage.topology,
        switches: before(stage.switches),
        rectifiers: before(stage.rectifiers),
        magnetics: before(stage.magnetics),
      })),
    );
    return changed.join() === stageLines(stages).join() ? [] : [name];
  });
  return { right: 1 - lost.length / boards.length, lost };
};

test.each(Object.entries(HARMLESS))(
  '%s changes no answer',
  (_, mutate) => {
    const { right, lost } = share(mutate);
    expect(right >= 0.97 ? [] : lost).toEqual([]);
  },
  60_000,
);

/** Of the harder boards fewer answers stay where no value at all is logged. */
const WITHOUT_VALUES = 0.55;

test.each(Object.entries(HARSH))(
  'with %s at least 85 %% of the answers stay',
  (name, mutate) => {
    const first = share(
      mutate,
      BOARDS.filter((board) => !OTHERS.has(board.name)),
    );
    expect(first.right >= 0.85 ? [] : first.lost).toEqual([]);
    const others = share(
      mutate,
      BOARDS.filter((board) => OTHERS.has(board.name)),
    );
    expect(others.right >= (name === 'no values' ? WITHOUT_VALUES : 0.8) ? [] : others.lost).toEqual([]);
  },
  60_000,
);

/** Of the claims of 0.9 and more on a board with half of its joins. */
const WRONG_AND_SURE_AT_MOST = 0.05;

test.each(Object.entries(MISLOGGED))(
  'with %s a claim may grow weaker, and is hardly ever wrong and sure',
  (_, mutate) => {
    const sure = BOARDS.flatMap(({ board, stages }, index) => {
      const random = new Random(index + 1);
      const facts = factsOf(board, 'power', random);
      const half = tracedSoFar(board, facts.slice(0, Math.round(facts.length / 2)));
      return analyse(mutate(half, random))
        .hypotheses.filter(({ probability }) => probability >= 0.9)
        .map(({ topology, magnetics }) =>
          stages.some(
            (stage) =>
              stage.topology === topology &&
              (stage.magnetics.length === 0 || stage.magnetics.some((ref) => magnetics.includes(ref))),
          ),
        );
    });
    expect(sure.length).toBeGreaterThan(BOARDS.length / 3);
    expect(sure.filter((isRight) => !isRight).length / sure.length).toBeLessThanOrEqual(WRONG_AND_SURE_AT_MOST);
  },
  60_000,
);
