import { esrAt } from './expectedEsr';
import { esrFromLossFactor, expectedEsr, judgePart, largestLeakage, testField, TESTS } from '.';
import {
  accuracyText,
  checkMeter,
  DEFAULT_ACCURACY,
  normalCdf,
  parseAccuracy,
  uncertaintyOf,
  withinLimit,
} from '../uncertainty';

const near = (value: number, expected: number, share = 0.01) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);

describe('uncertainty, JCGM 100 (GUM) with a rectangular limit', () => {
  test.each`
    reading  | resolution | kind             | limit     | expanded
    ${12.34} | ${0.01}    | ${'dcVolt'}      | ${0.0817} | ${0.0943}
    ${98.7}  | ${0.1}     | ${'capacitance'} | ${4.448}  | ${5.14}
    ${0.27}  | ${0.1}     | ${'ohm'}         | ${0.302}  | ${0.349}
  `('$reading on the $kind range is ± $limit', ({ reading, resolution, kind, limit, expanded }) => {
    const found = uncertaintyOf({ reading, resolution, accuracy: DEFAULT_ACCURACY[kind as 'ohm'] });
    near(found.limit, limit);
    near(found.expanded, expanded);
  });

  // Table of the standard normal distribution.
  test.each([
    [0, 0.5],
    [1, 0.8413],
    [1.645, 0.95],
    [-1.96, 0.025],
    [3, 0.99865],
  ])('Φ(%d) is %d', (z, probability) => {
    expect(normalCdf(z)).toBeCloseTo(probability, 4);
  });

  test('0.095 against 0.100 with u 0.006 cannot be told', () => {
    const { verdict, probability } = withinLimit({ value: 0.095, standard: 0.006, limit: 0.1, side: 'at-most' });
    expect(verdict).toBe('cannot-tell');
    expect(probability).toBeCloseTo(0.798, 2);
  });
});

describe('a meter checked with two known parts', () => {
  const part = (value: number, reading: number, resolution: number, tolerance = 0.01) => ({
    value,
    reading,
    resolution,
    tolerance,
  });
  // By hand: worst cases 0.013 and 0.04 over 0.9 Ω give 3 %, and 10 mΩ are left, of which 1 is the last digit.
  test('the line through the two worst cases', () => {
    expect(checkMeter(part(0.1, 0.112, 0.001), part(1, 1.03, 0.001))).toEqual({ share: 0.03, digits: 1, floor: 0.009 });
  });

  test.each([
    ['no better than the parts', part(100, 100, 0.1), part(1000, 1000, 1), { share: 0.01, digits: 1 }],
    ['the order does not matter', part(1000, 1000, 1), part(100, 100, 0.1), { share: 0.01, digits: 1 }],
    ['two of one size', part(100, 100, 0.1), part(220, 221, 0.1), undefined],
    ['nothing', part(0, 0, 0.1), part(220, 221, 0.1), undefined],
  ])('%s', (_why, one, other, accuracy) => {
    expect(checkMeter(one, other)).toEqual(accuracy);
  });

  test.each([
    [part(0.1, 0.12, 0.01), part(10, 10.4, 0.1)],
    [part(1e-7, 1.06e-7, 1e-9, 0.05), part(1e-5, 9.1e-6, 1e-8, 0.1)],
    [part(10, 10, 0.1), part(10000, 12000, 10)],
  ])('both readings lie within what it says of %o and %o', (one, other) => {
    const accuracy = checkMeter(one, other);
    for (const { value, reading, resolution, tolerance } of [one, other]) {
      const { limit } = uncertaintyOf({ reading: value, resolution, accuracy: accuracy ?? { share: 0, digits: 0 } });
      expect(limit).toBeGreaterThanOrEqual((Math.abs(reading - value) + tolerance * value) * (1 - 1e-9));
    }
  });
});

describe('expected ESR, by hand from tan δ/(2π·f·C) and the documented model', () => {
  test.each`
    uF      | volts  | gp        | lz
    ${1000} | ${16}  | ${0.0743} | ${0.0334}
    ${47}   | ${400} | ${1.56}   | ${0.7}
    ${2200} | ${10}  | ${0.0485} | ${0.0218}
  `('$uF uF $volts V: $gp Ω', ({ uF, volts, gp, lz }) => {
    near(expectedEsr({ capacitance: uF * 1e-6, voltage: volts }), gp);
    near(expectedEsr({ capacitance: uF * 1e-6, voltage: volts, series: 'low-impedance' }), lz, 0.02);
  });

  // The trade table that the model is documented with, ohms at 100 kHz, as printed to two digits; a range at 63 to 100 V.
  const VOLTS = [6.3, 10, 16, 25, 35, 50, 63, 100, 200, 400];
  test.each`
    uF      | ohms
    ${1}    | ${[6, 6, 6, 6, 6, 6, 6, 6, 6, 6]}
    ${4.7}  | ${[3.5, 3.5, 3.5, 3.5, 3.5, 3.5, 3.5, 3.5, 3.5, 3.5]}
    ${10}   | ${[2.7, 2.7, 2.7, 2.7, 2.7, 2.7, 2.7, 2.7, 2.7, 2.7]}
    ${22}   | ${[2, 2, 2, 2, 2, 2, 1.9, 1.7, 2, 2]}
    ${47}   | ${[1.6, 1.6, 1.6, 1.4, 1.2, 0.99, 0.89, 0.79, 1.5, 1.6]}
    ${100}  | ${[1, 0.88, 0.74, 0.65, 0.56, 0.46, 0.42, 0.37, 0.7, 0.93]}
    ${220}  | ${[0.46, 0.4, 0.34, 0.3, 0.25, 0.21, 0.19, 0.17, 0.32, 0.42]}
    ${470}  | ${[0.22, 0.19, 0.16, 0.14, 0.12, 0.099, 0.09, 0.08, 0.15, 0.2]}
    ${1000} | ${[0.1, 0.088, 0.074, 0.065, 0.056, 0.046, 0.042, 0.037, 0.07, 0.093]}
    ${2200} | ${[0.055, 0.049, 0.042, 0.038, 0.034, 0.03, 0.028, 0.025, 0.04, 0.051]}
    ${4700} | ${[0.03, 0.027, 0.024, 0.022, 0.02, 0.018, 0.017, 0.016, 0.023, 0.028]}
  `('$uF uF from 6.3 to 400 V', ({ uF, ohms }) => {
    const found = VOLTS.map((voltage) => expectedEsr({ capacitance: uF * 1e-6, voltage }));
    found.forEach((value, index) => near(value, (ohms as number[])[index] ?? NaN, 0.03));
  });

  test('tan δ 0.16 at 120 Hz on 1000 uF is 0.212 Ω', () => {
    near(esrFromLossFactor({ lossFactor: 0.16, frequency: 120, capacitance: 1e-3 }), 0.212);
    // At 120 Hz the limit is that of the loss factor, at 100 Hz 1.2 times as much of what lies above the fast ESR.
    near(esrAt({ frequency: 120, esr: 0.074, capacitance: 1e-3, voltage: 16 }), 0.212);
    near(esrAt({ frequency: 100, esr: 0, capacitance: 1e-3, voltage: 16 }), 1.2 * 0.212);
    near(esrAt({ frequency: 1e5, esr: 0.074, capacitance: 1e-3, voltage: 16 }), 0.074);
  });
});

test.each`
  uF      | volts  | microamperes | why
  ${100}  | ${25}  | ${25}        | ${'0.01 C V'}
  ${1000} | ${16}  | ${160}       | ${'0.01 C V'}
  ${10}   | ${16}  | ${3}         | ${'never under 3 uA'}
  ${150}  | ${400} | ${735}       | ${'3 sqrt(C V) from 160 V'}
`('a can of $uF uF $volts V leaks up to $microamperes uA ($why)', ({ uF, volts, microamperes }) => {
  near(largestLeakage({ capacitance: uF * 1e-6, voltage: volts }) * 1e6, microamperes);
});

test.each`
  text                   | accuracy
  ${'0.5 % + 2'}         | ${{ share: 0.005, digits: 2 }}
  ${'0,8% + 3 digits'}   | ${{ share: 0.008, digits: 3 }}
  ${'± 10 % + 0 + 0.05'} | ${{ share: 0.1, digits: 0, floor: 0.05 }}
  ${'2 %'}               | ${{ share: 0.02, digits: 0 }}
  ${'good'}              | ${undefined}
`('an accuracy “$text”', ({ text, accuracy }) => {
  const read = parseAccuracy(text);
  expect(read).toEqual(accuracy);
  if (read) expect(parseAccuracy(accuracyText(read))).toEqual(read);
});

// Leads of a P channel and a PNP lie the other way round; the chip table is read with red on ground.
test.each`
  test            | name          | kind      | says
  ${'mosfet'}     | ${'body'}     | ${'nmos'} | ${/source to drain.*red on source/}
  ${'mosfet'}     | ${'body'}     | ${'pmos'} | ${/drain to source.*red on drain/}
  ${'mosfet'}     | ${'blocking'} | ${'pmos'} | ${/source to drain/}
  ${'transistor'} | ${'be'}       | ${'pnp'}  | ${/black on the base/}
  ${'transistor'} | ${'be'}       | ${'npn'}  | ${/red on the base/}
`('$name of a $kind', ({ test: name, name: field, kind, says }) => {
  const found = testField(name, field, kind);
  expect(`${found?.label}: ${found?.hint}`).toMatch(says as RegExp);
});

test('a chip is read as its table of pins says', () => {
  expect(TESTS.chip.precondition).toMatch(/red lead on the ground pin/);
});

// A cold 50 mA cartridge has tens of ohms: IEC 60127 allows several volts across it at its current (from memory).
test.each`
  ohms   | amperes | says
  ${25}  | ${0.05} | ${/conducts/}
  ${25}  | ${2}    | ${/blown/}
  ${0.2} | ${2}    | ${/conducts/}
`('a fuse of $amperes A that reads $ohms Ω', ({ ohms, amperes, says }) => {
  const judged = judgePart(
    { kind: 'fuse', test: 'fuse', ratings: { current: amperes }, damage: [] },
    { resistance: { value: ohms, resolution: 0.1 } },
  );
  expect(judged.reasons[0]?.text).toMatch(says as RegExp);
});
