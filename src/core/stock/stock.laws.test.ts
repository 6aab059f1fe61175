import fc from 'fast-check';
import {
  compareMatches,
  demandedRange,
  matchLot,
  readQuestion,
  timesOver,
  type AskedKind,
  type Demand,
  type LotFacts,
} from '.';

const SEED = { seed: 7, numRuns: 500 };
const source = fc.constantFrom('measured' as const, 'datasheet' as const, 'decoded' as const, 'guessed' as const);
const rating = fc.record({
  value: fc.double({ min: 1, max: 2000, noNaN: true }),
  source,
  confidence: fc.constantFrom(0.5, 0.95),
});
const lot: fc.Arbitrary<LotFacts> = fc.record({
  kind: fc.constant('nmos' as const),
  grade: fc.constantFrom('A' as const, 'B' as const, 'C' as const, null),
  ratings: fc.record({ vds: rating, id: rating }, { requiredKeys: [] }),
});
const atLeast = (value: number): Demand => ({ rating: 'vds', comparison: 'at-least', value });
const NMOS: AskedKind = { says: 'N-FET', words: 'nmos', kinds: ['nmos'] };
const RANK = { fits: 0, limit: 1, unknown: 2, no: 3 } as const;

test('asking for more never makes a lot fit better', () => {
  fc.assert(
    fc.property(
      lot,
      fc.double({ min: 1, max: 1500, noNaN: true }),
      fc.double({ min: 1, max: 4, noNaN: true }),
      (facts, volts, more) => {
        const easy = matchLot({ kind: NMOS, demands: [atLeast(volts)], words: [] }, facts);
        const hard = matchLot({ kind: NMOS, demands: [atLeast(volts * more)], words: [] }, facts);
        expect(RANK[hard.verdict]).toBeGreaterThanOrEqual(RANK[easy.verdict]);
      },
    ),
    SEED,
  );
});

test('one more demand never makes a lot fit better, and each demand has its sentence', () => {
  fc.assert(
    fc.property(lot, (facts) => {
      const demands: Demand[] = [atLeast(100), { rating: 'id', comparison: 'at-least', value: 5 }];
      const one = matchLot({ kind: NMOS, demands: demands.slice(0, 1), words: [] }, facts);
      const both = matchLot({ kind: NMOS, demands, words: [] }, facts);
      expect(RANK[both.verdict]).toBeGreaterThanOrEqual(RANK[one.verdict]);
      expect(both.checks.map(({ text }) => text).every((text) => text.length > 10)).toBe(true);
      expect(both.checks).toHaveLength(2);
    }),
    SEED,
  );
});

test('a voltage known only by its marking is never worth more than one that was read', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 1500, noNaN: true }),
      fc.double({ min: 10, max: 1500, noNaN: true }),
      (value, asked) => {
        const facts = (from: 'decoded' | 'datasheet'): LotFacts => ({
          kind: 'nmos',
          grade: 'A',
          ratings: { vds: { value, source: from, confidence: 0.85 } },
        });
        const need = { kind: NMOS, demands: [atLeast(asked)], words: [] };
        const [read, decoded] = [matchLot(need, facts('datasheet')), matchLot(need, facts('decoded'))];
        expect(RANK[decoded.verdict]).toBeGreaterThanOrEqual(RANK[read.verdict]);
        if (decoded.verdict === 'fits') expect(value / 2).toBeGreaterThanOrEqual(asked * (1 - 1e-6));
      },
    ),
    SEED,
  );
});

test('the order of matches is an order', () => {
  fc.assert(
    fc.property(fc.array(lot, { minLength: 3, maxLength: 3 }), (lots) => {
      const [a, b, c] = lots.map((facts) => matchLot({ kind: NMOS, demands: [atLeast(100)], words: [] }, facts));
      if (!a || !b || !c) return;
      expect(Math.sign(compareMatches(a, b))).toBe(-Math.sign(compareMatches(b, a)) + 0);
      if (compareMatches(a, b) <= 0 && compareMatches(b, c) <= 0) expect(compareMatches(a, c)).toBeLessThanOrEqual(0);
    }),
    SEED,
  );
});

test('a filter never throws, and what it asks for holds its own value or stands just beside it', () => {
  const word = fc.constantFrom(
    'nmos',
    'vds>=600',
    'c~100u',
    '>=600V',
    'rds<1.3',
    'to-220',
    'grade:B',
    'bin:',
    '>',
    '=5',
    'schottky',
    'x',
    '>=',
    'diode',
    'vz=5.1',
  );
  fc.assert(
    fc.property(fc.array(word, { maxLength: 6 }), (words) => {
      const parsed = readQuestion(words.join(' '));
      if (!parsed.ok) return;
      for (const demand of parsed.filter.demands) {
        const { low, high } = demandedRange(demand);
        expect(low).toBeLessThan(high);
        expect(Math.min(Math.abs(demand.value - low), Math.abs(high - demand.value)) / demand.value).toBeLessThan(0.21);
      }
    }),
    SEED,
  );
});

test.each`
  text                     | kinds                      | variants
  ${'schottky vr>=100'}    | ${['diode', 'dual-diode']} | ${['schottky']}
  ${'schottky dual-diode'} | ${['dual-diode']}          | ${['schottky']}
  ${'dual-diode schottky'} | ${['dual-diode']}          | ${['schottky']}
  ${'diode'}               | ${['diode', 'dual-diode']} | ${undefined}
  ${'12n65 nmos'}          | ${['nmos']}                | ${undefined}
  ${'mosfet n channel'}    | ${['nmos']}                | ${undefined}
`('“$text” asks for $kinds', ({ text, kinds, variants }) => {
  const read = readQuestion(text);
  expect(read.ok && [read.filter.kind?.kinds, read.filter.kind?.variants]).toEqual([kinds, variants]);
});

test.each`
  wanted          | lot             | verdict
  ${'diode'}      | ${'dual-diode'} | ${'fits'}
  ${'dual-diode'} | ${'diode'}      | ${'no'}
  ${'nmos'}       | ${'pmos'}       | ${'no'}
`('a $lot for a $wanted: $verdict', ({ wanted, lot: kind, verdict }) => {
  const read = readQuestion(wanted);
  expect(read.ok && matchLot(read.filter, { kind, grade: 'A', ratings: {} }).verdict).toBe(verdict);
});

test.each([
  [1, 'with nothing to spare'],
  [1.04, 'with nothing to spare'],
  [1.6, '1.6 times over'],
  [40, '40 times over'],
])('a margin of %d is %s', (margin, message) => {
  expect(timesOver(margin)).toBe(message);
});
