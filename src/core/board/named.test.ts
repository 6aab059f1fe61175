import { netsOf, withNetNames, type Board } from '.';
import { CORPUS } from '../topology/fixtures/corpus';
import { factsOf, Random, tracedSoFar } from '../topology';

/** Sets of pins that are one net, as comparable lines. */
const netLines = (board: Board) =>
  netsOf(board)
    .pins.filter((pins) => pins.length > 1)
    .map((pins) =>
      pins
        .map(({ part, pin }) => `${part.ref}.${pin}`)
        .toSorted()
        .join(' '),
    )
    .toSorted();

test('a board whose joins became names has the same nets, and none that was not known', () => {
  for (const [index, { board }] of CORPUS.entries()) {
    const facts = factsOf(board, 'random', new Random(index + 1));
    for (const share of [0, 0.4, 1]) {
      const traced = tracedSoFar(board, facts.slice(0, Math.round(facts.length * share)));
      const named = withNetNames(traced);
      expect(named.joined).toEqual([]);
      expect(netLines(named)).toEqual(netLines(traced));
    }
  }
});
