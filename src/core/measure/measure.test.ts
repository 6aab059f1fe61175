import { esrFromLossFactor, expectedEsr, judgeCapacitor, judgeDiode, judgeMosfet, judgeResistor } from '.';
import { DEFAULT_ACCURACY, normalCdf, uncertaintyOf, withinLimit } from '../uncertainty';

const near = (value: number, expected: number, share = 0.01) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);
const at = (value: number, resolution = 0) => ({ value, resolution });

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

  test('tan δ 0.16 at 120 Hz on 1000 uF is 0.212 Ω', () => {
    near(esrFromLossFactor({ lossFactor: 0.16, frequency: 120, capacitance: 1e-3 }), 0.212);
  });
});

describe('capacitors: the worst criterion decides', () => {
  const base = { electrolytic: true, damage: [], inCircuit: false, nominal: { capacitance: 100e-6, voltage: 25 } };
  // Expected ESR of 100 uF 25 V is 0.65 Ω.
  test.each`
    uF           | esr          | more                      | grade        | verdict     | why
    ${98}        | ${0.3}       | ${{}}                     | ${'A'}       | ${'keep'}   | ${'both as new'}
    ${98}        | ${1.0}       | ${{}}                     | ${'B'}       | ${'limit'}  | ${'ESR 1.5 times'}
    ${98}        | ${1.6}       | ${{}}                     | ${'C'}       | ${'limit'}  | ${'ESR 2.5 times'}
    ${98}        | ${4}         | ${{}}                     | ${'reject'}  | ${'scrap'}  | ${'ESR six times'}
    ${78}        | ${0.3}       | ${{}}                     | ${'C'}       | ${'limit'}  | ${'78 %'}
    ${40}        | ${0.3}       | ${{}}                     | ${'reject'}  | ${'scrap'}  | ${'far too little, ESR fine'}
    ${170}       | ${0.3}       | ${{}}                     | ${'reject'}  | ${'scrap'}  | ${'leakage reads high'}
    ${98}        | ${0.02}      | ${{}}                     | ${undefined} | ${'retest'} | ${'too good to be true'}
    ${98}        | ${undefined} | ${{}}                     | ${'B'}       | ${'limit'}  | ${'no ESR, no A'}
    ${98}        | ${0.3}       | ${{ damage: ['bulged'] }} | ${'reject'}  | ${'scrap'}  | ${'looks decide'}
    ${98}        | ${0.3}       | ${{ inCircuit: true }}    | ${undefined} | ${'retest'} | ${'the board lies in parallel'}
    ${40}        | ${0.3}       | ${{ inCircuit: true }}    | ${'reject'}  | ${'scrap'}  | ${'in circuit it can condemn'}
    ${70}        | ${0.3}       | ${{}}                     | ${undefined} | ${'retest'} | ${'straddles 70 %'}
    ${undefined} | ${undefined} | ${{}}                     | ${undefined} | ${'retest'} | ${'nothing measured'}
  `('$uF uF, $esr Ω: $verdict ($why)', ({ uF, esr, more, grade, verdict }) => {
    const judged = judgeCapacitor({
      ...base,
      capacitance: uF && at(uF * 1e-6, 1e-7),
      esr: esr && at(esr, 0.01),
      ...more,
    });
    expect({ verdict: judged.verdict, grade: judged.grade }).toEqual({ verdict, grade });
    expect(judged.reasons.length).toBeGreaterThan(0);
  });

  test('a mains reservoir is never better than B without a leakage test', () => {
    expect(
      judgeCapacitor({
        ...base,
        nominal: { capacitance: 82e-6, voltage: 400 },
        capacitance: at(80e-6, 1e-7),
        esr: at(0.6, 0.01),
      }).grade,
    ).toBe('B');
  });

  test('a film part passes at its tolerance or is scrapped', () => {
    const film = { ...base, electrolytic: false, nominal: { capacitance: 220e-9, tolerance: 0.1 } };
    expect(judgeCapacitor({ ...film, capacitance: at(218e-9, 1e-10) }).grade).toBe('A');
    expect(judgeCapacitor({ ...film, capacitance: at(150e-9, 1e-10) }).grade).toBe('reject');
  });

  test('without a printed value there is no verdict', () => {
    expect(judgeCapacitor({ ...base, nominal: {}, capacitance: at(98e-6) }).verdict).toBe('retest');
  });
});

describe('semiconductors by handheld meter; windows are common practice, no source', () => {
  const OL = at(Infinity);
  test.each`
    body         | blocking     | gate       | verdict     | why
    ${at(0.51)}  | ${OL}        | ${OL}      | ${'keep'}   | ${'a sound FET'}
    ${at(0.002)} | ${at(0.4)}   | ${OL}      | ${'scrap'}  | ${'shorted'}
    ${at(0.51)}  | ${OL}        | ${at(2e3)} | ${'scrap'}  | ${'punched gate'}
    ${at(0.51)}  | ${at(300e3)} | ${OL}      | ${'retest'} | ${'gate still charged?'}
    ${OL}        | ${OL}        | ${OL}      | ${'retest'} | ${'open or wide-gap'}
    ${undefined} | ${OL}        | ${OL}      | ${'retest'} | ${'one reading missing is no pass'}
  `('FET $verdict ($why)', ({ body, blocking, gate, verdict }) => {
    expect(judgeMosfet({ body, blocking, gate, damage: [], inCircuit: false }).verdict).toBe(verdict);
  });

  test.each`
    forward     | reverse      | technology     | verdict     | why
    ${at(0.22)} | ${OL}        | ${'schottky'}  | ${'keep'}   | ${'usual drop'}
    ${at(0.55)} | ${OL}        | ${'rectifier'} | ${'keep'}   | ${'usual drop'}
    ${at(0.55)} | ${OL}        | ${'schottky'}  | ${'retest'} | ${'not a Schottky’s drop'}
    ${at(0.55)} | ${OL}        | ${undefined}   | ${'limit'}  | ${'marking not read'}
    ${at(0.4)}  | ${OL}        | ${undefined}   | ${'retest'} | ${'between the kinds'}
    ${at(0.02)} | ${at(3)}     | ${'schottky'}  | ${'scrap'}  | ${'shorted'}
    ${OL}       | ${OL}        | ${'schottky'}  | ${'scrap'}  | ${'open'}
    ${at(0.22)} | ${at(200e3)} | ${'schottky'}  | ${'scrap'}  | ${'leaks'}
    ${at(0.22)} | ${undefined} | ${'schottky'}  | ${'retest'} | ${'one way only'}
  `('diode $technology $verdict ($why)', ({ forward, reverse, technology, verdict }) => {
    expect(judgeDiode({ forward, reverse, technology, damage: [], inCircuit: false }).verdict).toBe(verdict);
  });
});

test.each`
  ohms        | resolution | nominal      | verdict     | why
  ${4690}     | ${10}      | ${4700}      | ${'keep'}   | ${'inside 5 %'}
  ${5600}     | ${10}      | ${4700}      | ${'scrap'}  | ${'drifted'}
  ${4930}     | ${10}      | ${4700}      | ${'retest'} | ${'straddles 5 %'}
  ${0.27}     | ${0.1}     | ${0.22}      | ${'retest'} | ${'the meter’s error is larger'}
  ${Infinity} | ${0}       | ${4700}      | ${'scrap'}  | ${'open'}
  ${4690}     | ${10}      | ${undefined} | ${'retest'} | ${'value not known'}
`('resistor $ohms Ω against $nominal Ω: $verdict ($why)', ({ ohms, resolution, nominal, verdict }) => {
  expect(judgeResistor({ resistance: at(ohms, resolution), nominal, damage: [], inCircuit: false }).verdict).toBe(
    verdict,
  );
});
