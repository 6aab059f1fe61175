import { analyse, Random, recognise } from '.';
import { CORPUS, stageLines } from './fixtures/corpus';
import { composeBoard } from './fixtures/generator/compose';
import { HARMLESS, HARSH, refBefore } from './fixtures/generator/mutate';

const topologiesOf = (stages: readonly { topology: string }[]) =>
  stages
    .map(({ topology }) => topology)
    .toSorted()
    .join(' ');

test('2,000 composed boards: at least 97 % have the right topologies, bulk and crossing', () => {
  const wrong: string[] = [];
  for (let seed = 1; seed <= 2000; seed += 1) {
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
  expect(wrong.length <= 60 ? [] : wrong).toEqual([]);
}, 120_000);

const BOARDS = [
  ...CORPUS.map(({ name, board, answer }) => ({ name, board, stages: answer.stages })),
  ...Array.from({ length: 40 }, (_, index) => {
    const { board, truth } = composeBoard(7000 + index);
    return { name: `seed ${7000 + index}`, board, stages: truth.stages };
  }),
];
const share = (mutate: (typeof HARMLESS)[string]) => {
  const lost = BOARDS.flatMap(({ name, board, stages }, index) => {
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
  return { right: 1 - lost.length / BOARDS.length, lost };
};

test.each(Object.entries(HARMLESS))(
  '%s changes no answer',
  (_, mutate) => {
    const { right, lost } = share(mutate);
    expect(right >= 0.97 ? [] : lost).toEqual([]);
  },
  60_000,
);

test.each(Object.entries(HARSH))(
  'with %s at least 85 %% of the answers stay',
  (_, mutate) => {
    const { right, lost } = share(mutate);
    expect(right >= 0.85 ? [] : lost).toEqual([]);
  },
  60_000,
);
