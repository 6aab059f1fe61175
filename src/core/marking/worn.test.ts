import fc from 'fast-check';
import { decodeMarking } from '.';
import { commonness } from './commonness';
import { isYearWeek, spansOf } from './spans';
import { changed, filled, mayBeTakenFor, respelled } from './wear';

describe('characters that wear into each other', () => {
  test.each`
    seen   | meant  | may
    ${'O'} | ${'0'} | ${true}
    ${'D'} | ${'0'} | ${true}
    ${'Q'} | ${'O'} | ${true}
    ${'I'} | ${'1'} | ${true}
    ${'L'} | ${'1'} | ${true}
    ${'Z'} | ${'2'} | ${true}
    ${'S'} | ${'5'} | ${true}
    ${'G'} | ${'6'} | ${true}
    ${'B'} | ${'8'} | ${true}
    ${'7'} | ${'7'} | ${true}
    ${'7'} | ${'1'} | ${false}
    ${'A'} | ${'4'} | ${false}
  `('$seen for $meant: $may', ({ seen, meant, may }) => {
    expect(mayBeTakenFor(seen, meant)).toBe(may);
    expect(mayBeTakenFor(meant, seen)).toBe(may);
  });

  test('every change is one character away, or RN for M; two changes are never one', () => {
    const once = changed('S0RN1', 1).map(({ text }) => text);
    expect(once).toEqual(expect.arrayContaining(['50RN1', 'SORN1', 'S0RNI', 'S0M1']));
    const twice = changed('S0RN1', 2).map(({ text }) => text);
    expect(twice).toEqual(expect.arrayContaining(['5ORN1', '50M1']));
    for (const text of once) expect(twice).not.toContain(text);
    expect(respelled('RNJE').map(({ text }) => text)).toEqual(['RNJE', 'MJE']);
    expect(changed('777', 1)).toEqual([]);
  });

  test('a gap is filled with every digit and letter, the like of its neighbours first; three gaps are too many', () => {
    expect(filled('12N6?')).toHaveLength(36);
    expect(filled('1?N?5')).toHaveLength(36 * 36);
    expect(filled('???')).toEqual([]);
    const fill = (text: string) => filled('400?').find((variant) => variant.text === text)?.fill ?? 0;
    expect(fill('4007')).toBeGreaterThan(fill('400V'));
  });
});

describe('words of a print', () => {
  test.each`
    word      | is
    ${'2314'} | ${true}
    ${'7805'} | ${true}
    ${'9953'} | ${true}
    ${'2300'} | ${false}
    ${'2354'} | ${false}
    ${'4512'} | ${false}
    ${'231'}  | ${false}
  `('$word as year and week: $is', ({ word, is }) => {
    expect(isYearWeek(word)).toBe(is);
  });

  test('every run of words is tried, and a date beside it costs almost nothing', () => {
    const spans = spansOf('K 12N65 2314');
    expect(spans.map(({ text }) => text)).toEqual(['K12N652314', 'K12N65', '12N652314', 'K', '12N65', '2314']);
    const weight = (text: string) => spans.find((span) => span.text === text)?.weight ?? 0;
    expect(weight('12N65')).toBeGreaterThan(0.9);
    expect(weight('2314')).toBeLessThan(0.3);
  });
});

test('the print of a capacitor is read in any order of its words', () => {
  const words = ['0.22µF', '275V~', 'X2', '40/110/56', 'MKP'];
  fc.assert(
    fc.property(fc.shuffledSubarray(words, { minLength: 5 }), (shuffled) => {
      expect(decodeMarking(shuffled.join(' '))[0]).toMatchObject({
        kind: 'capacitor',
        ratings: { capacitance: 220e-9, voltage: 275, temperature: 110 },
        facts: { safetyClass: 'X2', dielectric: 'polypropylene film' },
      });
    }),
    { seed: 1, numRuns: 60 },
  );
});

test('E3 is commoner than E24, 600 V than 610 V, K than C as a tolerance', () => {
  const resistor = (resistance: number, tolerance = 0.05) =>
    commonness({ kind: 'resistor', ratings: { resistance, tolerance }, why: '' });
  const fet = (vds: number) => commonness({ kind: 'nmos', ratings: { vds, id: 12 }, why: '' });
  expect(resistor(4700)).toBeGreaterThan(resistor(4300));
  expect(resistor(4300)).toBeGreaterThan(resistor(4440));
  expect(resistor(4700)).toBeGreaterThan(resistor(4700, 0.0025));
  expect(fet(600)).toBeGreaterThan(fet(610));
  expect(commonness({ kind: 'relay', ratings: {}, why: '' })).toBe(0.5);
});

test('a clear number of another kind is not forced into the kind that was said', () => {
  for (const { confidence } of decodeMarking('BT136-600', { kind: 'nmos' })) expect(confidence).toBeLessThan(0.2);
  expect(decodeMarking('SB050', { kind: 'npn' })[0]).toMatchObject({ kind: 'npn', readAs: 'S8050' });
});
