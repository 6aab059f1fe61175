import type { Board, FixedPart } from '../board';
import { analyse, nextProbes } from '.';
import { CORPUS } from './fixtures/corpus';
import { factsOf, tracedSoFar } from './tracing/order';
import { Random } from './tracing/random';

const boardOf = (name: string): Board => {
  const board = CORPUS.find((entry) => entry.name === name)?.board;
  if (!board) throw new Error(`${name} is missing`);
  return board;
};
const stagesOf = (board: Board, fixed: readonly FixedPart[] = []) =>
  analyse({ ...board, fixed }).stages.map(({ topology, magnetics }) => `${topology} ${magnetics.join(' ')}`);

const router = boardOf('router-adapter-12v');

test('what agrees with the evidence changes nothing but the uncertainty', () => {
  const { stages, disagreements } = analyse({ ...router, fixed: [{ ref: 'T303', as: 'flyback' }] });
  expect(stages.map(({ topology, probability }) => ({ topology, probability }))).toEqual([
    { topology: 'flyback', probability: 1 },
  ]);
  expect(disagreements).toEqual([]);
});

test('a topology fixed against the evidence stands, and the evidence is told', () => {
  const { stages, disagreements } = analyse({ ...router, fixed: [{ ref: 'T303', as: 'forward' }] });
  expect(stages.map(({ topology, probability }) => ({ topology, probability }))).toEqual([
    { topology: 'forward', probability: 1 },
  ]);
  expect(disagreements[0]).toMatch(
    /^You take T303 for the main magnetic part of a forward converter; the evidence reads as a flyback converter \(0\.97\)\. Were it a forward/,
  );
});

test('the same on a board traced in part', () => {
  const half = tracedSoFar(router, factsOf(router, 'power', new Random(1)).slice(0, 25));
  const fixed = [{ ref: 'T303', as: 'push-pull' }];
  const { stages, disagreements } = analyse({ ...half, fixed });
  expect(stages[0]).toMatchObject({ topology: 'push-pull', probability: 1, magnetics: ['T303'] });
  expect(disagreements).toHaveLength(2);
  expect(nextProbes({ ...half, fixed }).entropy).toBeLessThan(nextProbes(half).entropy);
});

test('a part fixed as something else is left out of its old role', () => {
  const [free] = analyse(router).stages;
  const [switched] = free?.switches ?? [];
  if (!switched) throw new Error('the switch is missing');
  const { stages, disagreements } = analyse({ ...router, fixed: [{ ref: switched, as: 'nothing' }] });
  expect(stages.flatMap(({ switches }) => switches)).not.toContain(switched);
  expect(disagreements.join(' ')).toContain(
    `You take ${switched} for no part of a stage; the evidence makes it a switch of the flyback converter at T303`,
  );
  expect(disagreements.join(' ')).toContain('is no longer found');
});

test('what is fixed on one part leaves other stages alone', () => {
  for (const { name, board } of CORPUS) {
    const free = analyse(board).stages;
    const last = free.at(-1);
    const anchor = last?.magnetics[0];
    if (free.length < 2 || !last || anchor === undefined) continue;
    expect({ name, stages: stagesOf(board, [{ ref: anchor, as: last.topology }]) }).toEqual({
      name,
      stages: stagesOf(board),
    });
  }
});
