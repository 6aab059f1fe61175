import fc from 'fast-check';
import { mapPoint, pairPhotos, type Match, type Point } from '.';

const FRONT = { width: 3000, height: 2000 };
const BACK = { width: 2400, height: 1800 };

/** A board seen from behind: mirrored left to right, turned, zoomed and shifted; in pixels. */
function seenFromBehind(point: Point, of: { angle: number; zoom: number; dx: number; dy: number }): Point {
  const x = -(point.x * FRONT.width - FRONT.width / 2);
  const y = point.y * FRONT.height - FRONT.height / 2;
  const [cos, sin] = [Math.cos(of.angle), Math.sin(of.angle)];
  return {
    x: ((x * cos - y * sin) * of.zoom + BACK.width / 2 + of.dx) / BACK.width,
    y: ((x * sin + y * cos) * of.zoom + BACK.height / 2 + of.dy) / BACK.height,
  };
}

const share = fc.double({ min: 0, max: 1, noNaN: true });
const point = fc.record({ x: share, y: share });
const view = fc.record({
  angle: fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
  zoom: fc.double({ min: 0.3, max: 2, noNaN: true }),
  dx: fc.double({ min: -200, max: 200, noNaN: true }),
  dy: fc.double({ min: -200, max: 200, noNaN: true }),
});
const SEED = { seed: 5, numRuns: 800 };

const matchesOf = (points: readonly Point[], back: (point: Point) => Point) =>
  points.map((front) => ({ front, back: back(front) })) as unknown as [Match, Match, Match];

test('any spot of the front is found on the back, and back again', () => {
  fc.assert(
    fc.property(fc.tuple(point, point, point), view, point, (three, how, spot) => {
      const paired = pairPhotos(
        matchesOf(three, (front) => seenFromBehind(front, how)),
        { front: FRONT, back: BACK },
      );
      if (!paired.ok) {
        expect(paired.problem).toBe('on-one-line');
        return;
      }
      const there = mapPoint(paired.pairing.toBack, spot, FRONT, BACK);
      const truth = seenFromBehind(spot, how);
      expect(there.x).toBeCloseTo(truth.x, 6);
      expect(there.y).toBeCloseTo(truth.y, 6);
      const home = mapPoint(paired.pairing.toFront, there, BACK, FRONT);
      expect(home.x).toBeCloseTo(spot.x, 6);
      expect(home.y).toBeCloseTo(spot.y, 6);
      expect(paired.pairing.scale).toBeCloseTo(how.zoom, 6);
    }),
    SEED,
  );
});

test('points that are not mirrored are refused, whatever the turn', () => {
  fc.assert(
    fc.property(view, (how) => {
      const three = [
        { x: 0.1, y: 0.1 },
        { x: 0.9, y: 0.15 },
        { x: 0.5, y: 0.9 },
      ];
      // Seen from the front twice: no mirror between the two.
      const turned = matchesOf(three, ({ x, y }) => seenFromBehind({ x: 1 - x, y }, how));
      expect(pairPhotos(turned, { front: FRONT, back: BACK })).toEqual({ ok: false, problem: 'not-mirrored' });
    }),
    SEED,
  );
});

const corners: readonly Point[] = [
  { x: 0.1, y: 0.1 },
  { x: 0.9, y: 0.1 },
  { x: 0.1, y: 0.9 },
];
test.each`
  what                            | matches                                                                                                 | problem
  ${'three points in a row'}      | ${[0.1, 0.5, 0.9].map((x) => ({ front: { x, y: 0.5 }, back: { x: 1 - x, y: 0.5 } }))}                   | ${'on-one-line'}
  ${'the same point three times'} | ${[0, 1, 2].map(() => ({ front: { x: 0.4, y: 0.4 }, back: { x: 0.6, y: 0.4 } }))}                       | ${'on-one-line'}
  ${'one hole taken for another'} | ${corners.map((front, index) => ({ front, back: { x: 1 - front.x, y: index === 2 ? 0.4 : front.y } }))} | ${'skewed'}
`('$what: $problem', ({ matches, problem }) => {
  expect(pairPhotos(matches, { front: FRONT, back: FRONT })).toEqual({ ok: false, problem });
});
