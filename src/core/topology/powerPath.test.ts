import { analyse, factsOf, Random, tracedSoFar } from '.';
import { CORPUS } from './fixtures/corpus';

test('a board traced whole has no open pin on the way of its power', () => {
  for (const { name, board } of CORPUS) {
    const { power } = analyse(board);
    expect({ name, open: power.open }).toEqual({ name, open: [] });
    expect(power.traced).toBe(power.pins);
    expect(power.pins).toBeGreaterThan(3);
  }
});

test('the way of the power fills as joins come in', () => {
  for (const [index, { board }] of CORPUS.entries()) {
    const facts = factsOf(board, 'power', new Random(index + 1));
    const [none, half, all] = [0, 0.5, 1].map(
      (share) => analyse(tracedSoFar(board, facts.slice(0, Math.round(facts.length * share)))).power.open.length,
    );
    expect(none).toBeGreaterThan(half ?? 0);
    expect(half).toBeGreaterThanOrEqual(all ?? 0);
  }
});
