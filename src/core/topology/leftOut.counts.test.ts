import { calibrationOf, judgedAsChosen, judgedLeftOut, SHARES, shareAllRight, type Order } from './fixtures/leftOut';

const PLAIN = judgedLeftOut(['reference', 'other'], 1);
const BLURRED = judgedLeftOut(['reference', 'other'], 1, { isBlurred: true, orders: ['outward'] });

/** Least share of drawn boards of which all topologies are right, each judged by what was learnt without it. */
const LEAST: readonly (readonly [set: 'both' | 'other', order: Order, at: Partial<Record<number, number>>])[] = [
  ['both', 'outward', { 0.25: 0.62, 0.5: 0.75, 0.75: 0.82 }],
  ['both', 'as a person logs', { 0.25: 0.45, 0.5: 0.65, 0.75: 0.85 }],
  ['both', 'any order', { 0.5: 0.4 }],
  ['other', 'outward', { 0.25: 0.4, 0.5: 0.65, 0.75: 0.65 }],
  ['other', 'as a person logs', { 0.5: 0.45, 0.75: 0.75 }],
];

test.each(LEAST)('boards that were left out, %s sets, %s', (set, order, least) => {
  for (const share of SHARES) {
    const those = PLAIN.filter(
      (one) => (set === 'both' || one.set === set) && one.order === order && one.share === share,
    );
    expect(shareAllRight(those)).toBeGreaterThanOrEqual(least[share] ?? 0);
  }
});

test('with blurred parts lists three of four are still right outward at three quarters of the joins', () => {
  const those = BLURRED.filter(({ share }) => share === 0.75);
  expect(shareAllRight(those)).toBeGreaterThanOrEqual(0.7);
});

test.each([
  ['25', 0.45],
  ['45', 0.7],
  ['70', 0.7],
] as const)('with %s %% of the pins known, chosen by other hands', (percent, least) => {
  expect(shareAllRight(judgedAsChosen(percent))).toBeGreaterThanOrEqual(least);
});

test('claims of boards that were left out hold as often as they say', () => {
  const table = calibrationOf(PLAIN).table();
  const holdFrom = (least: number) => {
    const bins = table.filter(({ from }) => from >= least);
    const claims = bins.reduce((sum, bin) => sum + bin.claims, 0);
    return bins.reduce((sum, bin) => sum + bin.claims * (bin.right ?? 0), 0) / claims;
  };
  expect(holdFrom(0.9)).toBeGreaterThanOrEqual(0.94);
  expect(holdFrom(0.8)).toBeGreaterThanOrEqual(0.9);
  for (const { from, to, claims, right } of table)
    if (claims >= 100 && right !== null) expect(Math.abs(right - (from + to) / 2)).toBeLessThan(0.16);
});
