import fc from 'fast-check';
import { spanningLines, type Point } from '.';

const spots = fc.array(
  fc.record({ x: fc.double({ min: 0, max: 1, noNaN: true }), y: fc.double({ min: 0, max: 1, noNaN: true }) }),
  { minLength: 0, maxLength: 6 },
);
const length = ([a, b]: readonly [Point, Point]) => Math.hypot(a.x - b.x, a.y - b.y);
const total = (lines: readonly (readonly [Point, Point])[]) => lines.reduce((sum, line) => sum + length(line), 0);

/** The shortest of all chains through the spots: a tree may only be shorter. */
function shortestChain(points: readonly Point[]): number {
  if (points.length < 2) return 0;
  const orders = (left: readonly Point[]): (readonly Point[])[] =>
    left.length <= 1
      ? [left]
      : left.flatMap((point) => orders(left.filter((other) => other !== point)).map((rest) => [point, ...rest]));
  return Math.min(
    ...orders(points).map((order) => total(order.slice(1).map((point, index) => [order[index] ?? point, point]))),
  );
}

test('a net of spots is linked without a ring, by no more line than the best chain', () => {
  fc.assert(
    fc.property(spots, (points) => {
      const lines = spanningLines(points);
      expect(lines).toHaveLength(Math.max(0, points.length - 1));
      expect(total(lines)).toBeLessThanOrEqual(shortestChain(points) + 1e-9);
      const reached = new Set(points.slice(0, 1));
      for (let grown = true; grown;) {
        const before = reached.size;
        for (const [a, b] of lines) if (reached.has(a) || reached.has(b)) reached.add(a).add(b);
        grown = reached.size > before;
      }
      expect(reached.size).toBe(points.length);
    }),
    { seed: 4, numRuns: 200 },
  );
});

// Three corners of a square and its middle: each corner is nearest to the middle. Worked by hand.
test('spots round a middle are linked through it', () => {
  const middle = { x: 0.5, y: 0.5 };
  const corners = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 0, y: 1 },
  ];
  const lines = spanningLines([...corners, middle]);
  expect(lines.every(([a, b]) => a === middle || b === middle)).toBe(true);
  expect(total(lines)).toBeCloseTo(3 * Math.SQRT1_2, 9);
});
