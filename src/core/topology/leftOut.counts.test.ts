import { claimBins, isAllRight, judgedLeftOut, SHARES, type Order } from './fixtures/leftOut';

const PLAIN = judgedLeftOut(1);
const BLURRED = judgedLeftOut(1, true);

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
    expect(those.filter(isAllRight).length / those.length).toBeGreaterThanOrEqual(least[share] ?? 0);
  }
});

test('with blurred parts lists three of four are still right outward at three quarters of the joins', () => {
  const those = BLURRED.filter(({ order, share }) => order === 'outward' && share === 0.75);
  expect(those.filter(isAllRight).length / those.length).toBeGreaterThanOrEqual(0.7);
});

test('claims of boards that were left out hold as often as they say', () => {
  const bins = claimBins(PLAIN);
  const from = (least: number) =>
    bins.slice(least).reduce((sum, { claims, hold }) => ({ claims: sum.claims + claims, hold: sum.hold + hold }));
  const share = ({ claims, hold }: { readonly claims: number; readonly hold: number }) => hold / claims;
  expect(share(from(9))).toBeGreaterThanOrEqual(0.94);
  expect(share(from(8))).toBeGreaterThanOrEqual(0.9);
  for (const [index, { claims, hold }] of bins.entries())
    if (claims >= 100) expect(Math.abs(hold / claims - (index + 0.5) / 10)).toBeLessThan(0.16);
});
