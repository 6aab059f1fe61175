import fc from 'fast-check';
import { roundStep, ticksTo } from './ticks';

test.each`
  end    | ticks
  ${90}  | ${[0, 20, 40, 60, 80, 100]}
  ${25}  | ${[0, 5, 10, 15, 20, 25]}
  ${1}   | ${[0, 0.2, 0.4, 0.6, 0.8, 1]}
  ${403} | ${[0, 100, 200, 300, 400, 500]}
`('an axis to $end has the marks $ticks', ({ end, ticks }) => {
  expect(ticksTo(end as number)).toEqual(ticks);
});

test('marks are round, evenly spaced, few, and reach past the end', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 1e5, noNaN: true }), (end) => {
      const ticks = ticksTo(end);
      expect(ticks.at(-1)).toBeGreaterThanOrEqual(end * (1 - 1e-6));
      expect(ticks.length).toBeGreaterThanOrEqual(3);
      expect(ticks.length).toBeLessThanOrEqual(7);
      const step = (ticks[1] ?? 0) - (ticks[0] ?? 0);
      expect(roundStep(step) / step).toBeCloseTo(1, 6);
    }),
    { seed: 3, numRuns: 300 },
  );
});
