import fc from 'fast-check';
import {
  afterStringShorted,
  bleedThrough,
  bleedToolText,
  dischargeWarningText,
  es1CapacitorLimit,
  fitDischarge,
  hazardBand,
  mayHold,
  largestBleed,
  seriesCapacitance,
  storedEnergy,
  storeRole,
  storeState,
  suggestBleed,
  timeToLimit,
  type DischargeWarning,
} from '.';

const near = (value: number, expected: number, share = 0.005) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);

describe('energy and bleeding', () => {
  // Expected values by hand from E = CV²/2.
  test.each`
    uF       | volts  | joules
    ${150}   | ${325} | ${7.92}
    ${220}   | ${400} | ${17.6}
    ${300}   | ${400} | ${24.0}
    ${10000} | ${12}  | ${0.72}
  `('$uF uF at $volts V holds $joules J', ({ uF, volts, joules }) => {
    near(storedEnergy({ capacitance: uF * 1e-6, voltage: volts }), joules);
  });

  test('150 uF at 325 V through 2.2 kΩ, by hand from V = V0·exp(−t/RC)', () => {
    const plan = bleedThrough({ start: 325, capacitance: 150e-6, resistance: 2200 });
    near(plan.initialPower, 48.0);
    near(plan.initialCurrent, 0.148);
    near(plan.timeConstant, 0.33);
    near(plan.timeToTouch, 0.558);
    near(plan.timeToSolder, 1.378);
    near(plan.timeToMeter, 1.909);
  });

  test('the largest resistor that brings 220 uF from 400 V to 60 V in 5 s is 11.98 kΩ', () => {
    near(largestBleed({ start: 400, limit: 60, capacitance: 220e-6, within: 5 }), 11980);
  });

  test.each`
    start  | limit | uF     | kOhm     | seconds  | why
    ${325} | ${50} | ${220} | ${100}   | ${41.18} | ${'22 s x ln 6.5'}
    ${325} | ${60} | ${150} | ${10000} | ${2534}  | ${'only a 10 MΩ meter'}
    ${0}   | ${50} | ${220} | ${100}   | ${0}     | ${'never charged'}
  `('$uF uF from $start V through $kOhm kΩ to $limit V: $seconds s ($why)', ({ start, limit, uF, kOhm, seconds }) => {
    expect(timeToLimit({ start, limit, capacitance: uF * 1e-6, resistance: kOhm * 1e3 })).toBeCloseTo(
      seconds,
      seconds > 100 ? -1 : 1,
    );
  });

  test('a higher start never waits less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1000, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (start, more) => {
          const wait = (volts: number) => timeToLimit({ start: volts, limit: 60, capacitance: 1e-4, resistance: 1e5 });
          expect(wait(start + more)).toBeGreaterThanOrEqual(wait(start));
        },
      ),
      { seed: 1 },
    );
  });

  test('a shorted series string keeps equal and opposite charge', () => {
    const pair = [
      { capacitance: 100e-6, voltage: 200 },
      { capacitance: 150e-6, voltage: 200 },
    ];
    near(seriesCapacitance(pair), 60e-6);
    const left = afterStringShorted(pair);
    expect(left.map(({ voltage }) => Math.round(voltage))).toEqual([-40, 40]);
    near(
      left.reduce((sum, member) => sum + storedEnergy(member), 0),
      0.2,
    );
  });

  test.each`
    volts  | uF
    ${373} | ${82}
    ${325} | ${470}
    ${373} | ${0.22}
    ${60}  | ${4700}
  `('the tool suggested for $uF uF at $volts V takes the pulse', ({ volts, uF }) => {
    const plan = suggestBleed({ start: volts, capacitance: uF * 1e-6 });
    const rating = plan?.wirewound ?? 0;
    expect(plan?.pieces).toBe(1);
    expect(plan?.initialPower).toBeLessThanOrEqual(10 * rating);
    expect(plan?.energy).toBeLessThanOrEqual(6.25 * 5 * rating);
    expect(plan?.timeToSolder).toBeLessThan(10);
  });
});

// One usual power resistor of any wattage stands 500 V (FORMULAS 1.4, common practice): a chain, or none at hand.
test.each`
  what                                    | volts   | uF     | tool
  ${'a 900 V pulse store'}                | ${900}  | ${100} | ${/^2 × [\d.]+\skΩ, \d+ W wirewound, in series$/}
  ${'a 630 V film capacitor'}             | ${630}  | ${1}   | ${/^2 × 150\skΩ, 3 W wirewound, in series$/}
  ${'an oven capacitor, 2,100 V AC peak'} | ${2970} | ${1}   | ${undefined}
`('the tool for $what of $uF uF', ({ volts, uF, tool }) => {
  const plan = suggestBleed({ start: volts, capacitance: uF * 1e-6 });
  if (tool === undefined) return expect(plan).toBeUndefined();
  return expect(plan && bleedToolText(plan)).toMatch(tool as RegExp);
});

describe('hazard bands, thresholds of NFPA 70E article 360 and IEC 62368-1 (from memory)', () => {
  test.each`
    volts  | uF       | severity    | why
    ${325} | ${150}   | ${'danger'} | ${'7.9 J above 60 V'}
    ${325} | ${470}   | ${'danger'} | ${'25 J can kill'}
    ${325} | ${10}    | ${'danger'} | ${'0.53 J hurts'}
    ${325} | ${0.22}  | ${'warn'}   | ${'above the ES1 table for 220 nF (75 V row)'}
    ${325} | ${0.01}  | ${'note'}   | ${'10 nF may hold 350 V within ES1'}
    ${48}  | ${20000} | ${'warn'}   | ${'23 J: arc and burn'}
    ${24}  | ${1000}  | ${'warn'}   | ${'touch-safe, not workable'}
    ${3}   | ${1000}  | ${'note'}   | ${'may be desoldered'}
    ${0.2} | ${1000}  | ${'note'}   | ${'one low reading is not enough'}
  `('$volts V on $uF uF is $severity ($why)', ({ volts, uF, severity }) => {
    const capacitance = uF * 1e-6;
    expect(
      hazardBand({ voltage: volts, capacitance, energy: storedEnergy({ capacitance, voltage: volts }) }).severity,
    ).toBe(severity);
  });

  test('the sign of a voltage does not make it safer', () => {
    expect(hazardBand({ voltage: -325, capacitance: 1e-4, energy: 5 }).severity).toBe('danger');
  });

  test.each`
    nF      | volts
    ${300}  | ${60}
    ${1000} | ${60}
    ${170}  | ${75}
    ${200}  | ${60}
    ${4}    | ${1000}
    ${1}    | ${1000}
  `('a capacitor of $nF nF may hold $volts V: the larger-C row counts between rows', ({ nF, volts }) => {
    expect(es1CapacitorLimit(nF * 1e-9)).toBe(volts);
  });
});

describe('fitDischarge', () => {
  const readings = [300, 245, 201, 164, 135].map((voltage, index) => ({ time: index * 10, voltage, resolution: 1 }));

  test('five readings of a 50 s decay, worked by ordinary least squares of ln V', () => {
    const fit = fitDischarge(readings);
    expect(fit.model).toBe('exponential');
    near(fit.tau ?? 0, 50.04, 0.001);
    near(fit.tauStandard ?? 0, 0.19, 0.05);
    near(fit.v0 ?? 0, 299.6, 0.001);
    const to60 = fit.timeTo?.(60);
    near(to60?.time ?? 0, 80.47, 0.001);
    near(to60?.standard ?? 0, 0.24, 0.05);
    near(to60?.latest ?? 0, 81.0, 0.002);
    near(fit.timeTo?.(5).time ?? 0, 204.8, 0.001);
  });

  test.each`
    volts                                | times                      | warning                | why
    ${[310, 255]}                        | ${[0, 5]}                  | ${'too-few'}           | ${'two readings'}
    ${[200, 210, 220]}                   | ${[0, 5, 10]}              | ${'rising'}            | ${'still plugged in'}
    ${[300, 200, 150, 140, 138, 137]}    | ${[0, 10, 20, 30, 40, 50]} | ${'plateau'}           | ${'bleed path opens'}
    ${[300, 250, 200, 150, 100]}         | ${[0, 1, 2, 3, 4]}         | ${'constant-current'}  | ${'straight line'}
    ${[325, 294.9, 261.4, 222.9, 176.2]} | ${[0, 0.7, 1.4, 2.1, 2.8]} | ${'converter-running'} | ${'V² falls in a line'}
    ${[300, 299, 298]}                   | ${[0, 1, 2]}               | ${'cannot-tell-model'} | ${'too little decay'}
  `('$volts gives no time: $warning ($why)', ({ volts, times, warning }) => {
    const fit = fitDischarge(
      volts.map((voltage: number, index: number) => ({ voltage, time: times[index], resolution: 0.1 })),
    );
    expect(fit.warnings.map(({ kind }) => kind)).toContain(warning);
    expect(fit.timeTo).toBeUndefined();
  });

  test('readings near the end of the meter’s range are left out and named', () => {
    const fit = fitDischarge([...readings, { time: 300, voltage: 0.4, resolution: 0.1 }]);
    expect(fit.warnings).toContainEqual({ kind: 'reading-dropped', at: 300, voltage: 0.4 });
    expect(fit.model).toBe('exponential');
  });

  test('every warning has a text that names its figures', () => {
    const warnings: DischargeWarning[] = [
      { kind: 'too-few', usable: 2 },
      { kind: 'rising', at: 12 },
      { kind: 'rebound', at: 14 },
      { kind: 'plateau', from: 20, voltage: 140 },
      { kind: 'two-regimes', from: 20, early: 10, late: 40 },
      { kind: 'two-regimes', from: 20, early: 40, late: 10 },
      { kind: 'constant-current' },
      { kind: 'converter-running' },
      { kind: 'does-not-fit', residual: 9 },
      { kind: 'cannot-tell-model' },
      { kind: 'far-extrapolation', spans: 4.2 },
      { kind: 'reading-dropped', at: 3, voltage: 0.4 },
    ];
    const texts = warnings.map(dischargeWarningText);
    expect(new Set(texts).size).toBe(warnings.length);
    expect(texts[1]).toContain('12');
    expect(texts.join()).toContain('4.2');
  });
});

describe('storeState', () => {
  const at = (seconds: number, voltage: number, resolution = 0.1) => ({ voltage, resolution, takenAt: seconds * 1000 });

  test.each`
    readings                     | kind                | why
    ${[]}                        | ${'never-measured'} | ${'a prediction is no reading'}
    ${[at(0, 318)]}              | ${'live'}           | ${'far above'}
    ${[at(0, 318), at(60, 20)]}  | ${'below-touch'}    | ${'the last one counts'}
    ${[at(60, 20), at(0, 318)]}  | ${'below-touch'}    | ${'by time, not by order'}
    ${[at(0, 318), at(90, 0.4)]} | ${'measured-dead'}  | ${'under 1 V with its doubt'}
    ${[at(0, 0.4, 1)]}           | ${'below-touch'}    | ${'digits of 1 V say too little'}
    ${[at(0, 20), at(60, 318)]}  | ${'live'}           | ${'charged again'}
    ${[at(0, 59.8)]}             | ${'live'}           | ${'59.8 V ± 0.6 V may be 60 V'}
    ${[at(0, -59.8)]}            | ${'live'}           | ${'swapped leads'}
    ${[at(0, 55, 10)]}           | ${'live'}           | ${'digits of 10 V: re-range'}
    ${[at(0, 58)]}               | ${'below-touch'}    | ${'58.6 V at most'}
  `('$readings is $kind ($why)', ({ readings, kind }) => {
    expect(storeState(readings).kind).toBe(kind);
  });

  test('rebound counts as looked for after two low readings five minutes apart', () => {
    expect(storeState([at(0, 0.4), at(299, 0.3)])).toMatchObject({ reboundChecked: false });
    expect(storeState([at(0, 0.4), at(300, 0.3)])).toMatchObject({ reboundChecked: true });
    expect(storeState([at(0, 0.4), at(300, 4)]).kind).toBe('below-touch');
    // A rise between the two starts the wait anew.
    expect(storeState([at(0, 0.5), at(290, 31), at(305, 0.4)])).toMatchObject({ reboundChecked: false });
    expect(storeState([at(0, 31), at(10, 0.4), at(311, 0.3)])).toMatchObject({ reboundChecked: true });
  });
});

describe('what a store may hold before it is measured', () => {
  test.each`
    role        | rated        | plate        | power        | input   | volts  | why
    ${'bulk'}   | ${400}       | ${373}       | ${60}        | ${'ac'} | ${373} | ${'peak of 240 V plus 10 %'}
    ${'bulk'}   | ${450}       | ${373}       | ${90}        | ${'ac'} | ${400} | ${'from 75 W a corrected rail is likely'}
    ${'bulk'}   | ${400}       | ${undefined} | ${undefined} | ${'ac'} | ${400} | ${'plate not read: the worse of worst mains and rating'}
    ${'bulk'}   | ${undefined} | ${undefined} | ${undefined} | ${'ac'} | ${375} | ${'nothing known: rectified 264 V'}
    ${'bulk'}   | ${100}       | ${60}        | ${200}       | ${'dc'} | ${100} | ${'no correction behind a DC input, but it may be stepped up'}
    ${'filter'} | ${undefined} | ${373}       | ${200}       | ${'ac'} | ${373} | ${'an X capacitor stands before the corrector'}
    ${'other'}  | ${63}        | ${373}       | ${60}        | ${'ac'} | ${63}  | ${'its rated voltage'}
    ${'other'}  | ${undefined} | ${373}       | ${60}        | ${'ac'} | ${375} | ${'unknown counts as the mains side'}
  `('$role rated $rated V: $volts V ($why)', ({ role, rated, plate, power, input, volts }) => {
    expect(mayHold({ role, ratedVoltage: rated, highestBulkVoltage: plate, ratedPower: power, input }).volts).toBe(
      volts,
    );
  });

  test.each`
    name      | rated        | role
    ${'CX1'}  | ${275}       | ${'filter'}
    ${'VBUS'} | ${undefined} | ${'bulk'}
    ${'C3'}   | ${400}       | ${'bulk'}
    ${'C21'}  | ${35}        | ${'other'}
    ${'C9'}   | ${undefined} | ${'other'}
  `('$name at $rated V is taken for $role', ({ name, rated, role }) => {
    expect(storeRole({ name, ratedVoltage: rated })).toBe(role);
  });
});
