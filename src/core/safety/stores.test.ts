import {
  bankProblemText,
  bleedThrough,
  bleedThroughLamp,
  cautionsFor,
  constantPowerLoad,
  fitDischarge,
  judgeBleedTool,
  largestBleed,
  largestFilterBleeds,
  liveOutputCaution,
  linkVoltages,
  mayHold,
  parseBank,
  storedEnergy,
  storeState,
  suggestBleed,
  timeAtConstantPower,
  type CautionFacts,
} from '.';

const near = (value: number, expected: number, share = 0.005) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);

describe('banks of capacitors', () => {
  // Parallel adds, series by reciprocals, worked by hand.
  test.each`
    text                               | uF      | links | rated
    ${'82u'}                           | ${82}   | ${1}  | ${undefined}
    ${'150u 450V'}                     | ${150}  | ${1}  | ${450}
    ${'1u 2.1kV'}                      | ${1}    | ${1}  | ${2100}
    ${'2 x 470u 200V series'}          | ${235}  | ${2}  | ${400}
    ${'2x470u in series'}              | ${235}  | ${2}  | ${undefined}
    ${'3 x 100u 400V'}                 | ${300}  | ${1}  | ${400}
    ${'3 x 100u parallel'}             | ${300}  | ${1}  | ${undefined}
    ${'470u + 330u'}                   | ${800}  | ${1}  | ${undefined}
    ${'1000u 16V + 470u 10V'}          | ${1470} | ${1}  | ${10}
    ${'100u in series with 150u'}      | ${60}   | ${2}  | ${undefined}
    ${'2 x 100u series with 2 x 100u'} | ${100}  | ${2}  | ${undefined}
  `('$text is $uF µF in $links links', ({ text, uF, links, rated }) => {
    const read = parseBank(text);
    if (!read.ok) throw new Error(bankProblemText(read.problem));
    near(read.bank.capacitance * 1e6, uF);
    expect(read.bank.links).toHaveLength(links);
    expect(read.bank.ratedVoltage).toBe(rated);
  });

  test.each`
    text           | message
    ${''}          | ${/above zero is expected/}
    ${'big'}       | ${/“big” is not a capacitance/}
    ${'0u'}        | ${/“0u” is not a capacitance above zero/}
    ${'470u + x'}  | ${/“x” is not/}
    ${'500 x 10u'} | ${/500 capacitors/}
    ${'120'}       | ${/“120” is a farad or more.*120u is likely/}
    ${'120F 400V'} | ${/a farad or more/}
  `('“$text” is refused by name', ({ text, message }) => {
    const read = parseBank(text);
    expect(read.ok ? '' : bankProblemText(read.problem)).toMatch(message);
  });

  test('a series string shares by the reciprocal of its capacitances', () => {
    const read = parseBank('100u in series with 150u');
    const links = read.ok ? read.bank.links : [];
    const shares = linkVoltages(links, 400);
    // F1-5: 240 V and 160 V of 400 V.
    near(shares[0]?.nominal ?? 0, 240);
    near(shares[1]?.nominal ?? 0, 160);
    // 80 µF against 180 µF: 400 · 180 / 260.
    near(shares[0]?.worst ?? 0, 276.9);
  });
});

describe('a resistor as the bleeder', () => {
  test.each`
    start  | uF     | ohm     | watts   | build          | verdict   | first
    ${325} | ${150} | ${2200} | ${5}    | ${'wirewound'} | ${'good'} | ${'first-power'}
    ${325} | ${150} | ${2200} | ${3}    | ${'wirewound'} | ${'poor'} | ${'first-power'}
    ${325} | ${150} | ${2200} | ${0.25} | ${'film'}      | ${'poor'} | ${'first-power'}
    ${325} | ${150} | ${1e6}  | ${0.25} | ${'film'}      | ${'poor'} | ${'too-slow'}
    ${325} | ${150} | ${1e5}  | ${3}    | ${'wirewound'} | ${'slow'} | ${'too-slow'}
    ${400} | ${470} | ${1000} | ${10}   | ${'wirewound'} | ${'poor'} | ${'first-power'}
    ${700} | ${1}   | ${1e5}  | ${5}    | ${'wirewound'} | ${'poor'} | ${'voltage'}
    ${48}  | ${100} | ${1000} | ${3}    | ${'film'}      | ${'good'} | ${'first-power'}
  `('$ohm Ω $watts W $build at $start V on $uF µF is $verdict', ({ start, uF, ohm, watts, build, verdict, first }) => {
    const judged = judgeBleedTool({ start, capacitance: uF * 1e-6 }, { resistance: ohm, power: watts, build });
    expect(judged.verdict).toBe(verdict);
    expect(judged.reasons[0]?.kind).toBe(first);
    expect(judged.better === undefined).toBe(verdict === 'good');
  });
});

test('a 60 W 230 V lamp: cold resistance and first current of F1-8, dark long before it is empty', () => {
  const bleed = bleedThroughLamp({
    start: 325,
    capacitance: 150e-6,
    lamp: { ratedVoltage: 230, ratedPower: 60 },
    touchLimit: 60,
    solderLimit: 5,
  });
  near(bleed.hot, 882);
  near(bleed.cold, 67.8);
  near(bleed.firstCurrent, 4.8, 0.01);
  expect(bleed.lamps).toBe(1);
  expect(bleed.darkBelow).toBeGreaterThan(40);
  // Between the times through the hot and through the cold resistance alone: 0.224 s and 0.017 s.
  expect(bleed.timeToTouch).toBeGreaterThan(0.017);
  expect(bleed.timeToTouch).toBeLessThan(0.224);
  expect(bleed.timeToSolder).toBeGreaterThan(bleed.timeToTouch);
});

test('above the peak of one lamp two stand in series', () => {
  const at = (start: number) =>
    bleedThroughLamp({
      start,
      capacitance: 1e-4,
      lamp: { ratedVoltage: 230, ratedPower: 60 },
      touchLimit: 60,
      solderLimit: 5,
    });
  expect([325, 326, 400, 700].map((start) => at(start).lamps)).toEqual([1, 2, 2, 3]);
});

test.each`
  role         | source              | user         | volts  | why
  ${'bulk'}    | ${'auto'}           | ${undefined} | ${373} | ${'peak of the plate’s highest input plus 10 %'}
  ${'bulk'}    | ${'corrected-rail'} | ${undefined} | ${400} | ${'the rail behind a power-factor corrector'}
  ${'bulk'}    | ${'doubler'}        | ${undefined} | ${187} | ${'half of the doubled mains, at the highest input'}
  ${'output'}  | ${'charger'}        | ${undefined} | ${42}  | ${'the plate’s highest output'}
  ${'boosted'} | ${'user'}           | ${620}       | ${620} | ${'your figure'}
  ${'battery'} | ${'auto'}           | ${undefined} | ${42}  | ${'the plate’s highest output'}
`('$role by $source may hold $volts V', ({ role, source, user, volts, why }) => {
  const hold = mayHold({ role, source, userVoltage: user, highestBulkVoltage: 373, highestOutput: 42, input: 'ac' });
  near(hold.volts ?? NaN, volts, 0.01);
  expect(hold.why).toBe(why);
});

// A rating is what someone chose the part for; alternating ratings have a peak of the square root of two (arithmetic).
test.each`
  what                                       | of                                                                                             | volts
  ${'a 450 V can in a unit fed 12 V DC'}     | ${{ role: 'bulk', ratedVoltage: 450, highestBulkVoltage: 15, input: 'dc' }}                    | ${450}
  ${'a 330 V flash capacitor fed 6 V'}       | ${{ role: 'bulk', ratedVoltage: 330, highestBulkVoltage: 7, input: 'dc' }}                     | ${330}
  ${'a 35 V can in a unit fed 12 V DC'}      | ${{ role: 'bulk', ratedVoltage: 35, highestBulkVoltage: 15, input: 'dc' }}                     | ${35}
  ${'an unrated can in a unit fed 12 V DC'}  | ${{ role: 'bulk', highestBulkVoltage: 15, input: 'dc' }}                                       | ${undefined}
  ${'a 400 V can on 120 V mains: a doubler'} | ${{ role: 'bulk', ratedVoltage: 400, highestBulkVoltage: 187, input: 'ac' }}                   | ${400}
  ${'a 450 V can on 240 V mains'}            | ${{ role: 'bulk', ratedVoltage: 450, highestBulkVoltage: 373, input: 'ac' }}                   | ${373}
  ${'a 2,100 V AC oven capacitor, as bulk'}  | ${{ role: 'bulk', ratedVoltage: 2100, ratedInAc: true, highestBulkVoltage: 373 }}              | ${2970}
  ${'a 2,100 V oven capacitor, AC not said'} | ${{ role: 'boosted', ratedVoltage: 2100, highestBulkVoltage: 373, input: 'ac' }}               | ${2970}
  ${'a boosted store of unknown rating'}     | ${{ role: 'boosted', highestBulkVoltage: 373, input: 'ac' }}                                   | ${undefined}
  ${'an X capacitor at a DC input'}          | ${{ role: 'filter', ratedVoltage: 275, ratedInAc: true, highestBulkVoltage: 15, input: 'dc' }} | ${15}
`('$what may hold $volts V', ({ of, volts }) => {
  const hold = mayHold(of as Parameters<typeof mayHold>[0]);
  expect(hold.volts === undefined ? undefined : Math.round(hold.volts)).toBe(volts);
});

describe('power applied after a reading', () => {
  const reading = { voltage: 0.4, resolution: 0.01, takenAt: 1_000_000 };
  test.each`
    power                                             | kind               | why
    ${{}}                                             | ${'measured-dead'} | ${'never powered'}
    ${{ appliedAt: 900_000, removedAt: 950_000 }}     | ${'measured-dead'} | ${'powered before it was read'}
    ${{ appliedAt: 1_100_000 }}                       | ${'powered-since'} | ${'still on'}
    ${{ appliedAt: 1_100_000, removedAt: 1_200_000 }} | ${'powered-since'} | ${'read before it was powered'}
    ${{ appliedAt: 900_000, removedAt: 800_000 }}     | ${'powered-since'} | ${'on since before the reading'}
  `('$power: $kind ($why)', ({ power, kind }) => {
    expect(storeState([reading], { history: power }).kind).toBe(kind);
  });

  test.each`
    earlier | checkedAt    | kind               | checked  | why
    ${318}  | ${undefined} | ${'measured-dead'} | ${false} | ${'nobody checked the meter'}
    ${318}  | ${1_000_001} | ${'measured-dead'} | ${true}  | ${'checked after the last reading'}
    ${318}  | ${900_000}   | ${'measured-dead'} | ${false} | ${'checked before it only'}
    ${1900} | ${undefined} | ${'below-touch'}   | ${true}  | ${'above what a meter stands: it may be broken'}
    ${1900} | ${800_000}   | ${'below-touch'}   | ${true}  | ${'checked before it was put to so much'}
    ${1900} | ${960_000}   | ${'measured-dead'} | ${false} | ${'checked since'}
  `('$earlier V before, the meter checked at $checkedAt: $kind ($why)', ({ earlier, checkedAt, kind, checked }) => {
    const state = storeState([{ voltage: earlier, resolution: 1, takenAt: 950_000 }, reading], {
      history: { meterCheckedAt: checkedAt as number | undefined },
    });
    expect(state.kind).toBe(kind);
    expect(state.kind === 'measured-dead' ? state.meterChecked : 'isMeterDoubtful' in state).toBe(checked);
  });

  test.each`
    readings                                  | rebound  | why
    ${[[0, false], [320, false]]}             | ${true}  | ${'five minutes apart, the tool off'}
    ${[[0, true], [320, true]]}               | ${false} | ${'with the tool on it cannot recover'}
    ${[[0, true], [320, false]]}              | ${false} | ${'the five minutes begin when it is off'}
    ${[[0, true], [10, false], [320, false]]} | ${true}  | ${'five minutes since it was off'}
  `('readings at $readings (seconds, tool): a rebound was looked for: $rebound ($why)', ({ readings, rebound }) => {
    const taken = (readings as readonly (readonly [number, boolean])[]).map(([seconds, toolOn]) => ({
      voltage: 0.2,
      resolution: 0.01,
      takenAt: seconds * 1000,
      toolOn,
    }));
    expect(storeState(taken)).toMatchObject({ kind: 'measured-dead', reboundChecked: rebound });
  });

  test('any rise over the limit between two low readings starts the wait anew', () => {
    const at = (seconds: number, voltage: number) => ({ voltage, resolution: 0.01, takenAt: seconds * 1000 });
    const risen = [at(0, 0.5), at(290, 31), at(305, 0.4)];
    expect(storeState(risen)).toMatchObject({ kind: 'measured-dead', reboundChecked: false });
    expect(storeState([...risen, at(606, 0.4)])).toMatchObject({ reboundChecked: true });
  });

  test('the lower limit of a careful shop', () => {
    const at55 = { voltage: 55, resolution: 0.1, takenAt: 0 };
    expect(storeState([at55]).kind).toBe('below-touch');
    expect(storeState([at55], { touchLimit: 50 }).kind).toBe('live');
  });
});

describe('cautions stand only where they apply', () => {
  const plain: CautionFacts = {
    kind: 'desk-brick',
    description: 'notebook brick',
    fedFromMains: true,
    stores: [{ role: 'bulk', mayHold: 373, links: 1 }],
    parts: [],
    opening: [],
  };
  test.each`
    more                                                                     | names                                                                                                      | why
    ${{}}                                                                    | ${['mains capacitors']}                                                                                    | ${'a plain brick'}
    ${{ kind: 'dc-module', fedFromMains: false, stores: [] }}                | ${[]}                                                                                                      | ${'nothing of the mains'}
    ${{ kind: 'pulse-unit' }}                                                | ${['a pulse store', 'mains capacitors']}                                                                   | ${'a flash'}
    ${{ stores: [{ role: 'battery', mayHold: 42, links: 1 }] }}              | ${['a battery', 'mains capacitors']}                                                                       | ${'a pack'}
    ${{ kind: 'lamp-driver', description: 'energy-saving lamp' }}            | ${['a lamp with mercury', 'mains capacitors']}                                                             | ${'a tube'}
    ${{ kind: 'lamp-driver', description: 'LED driver' }}                    | ${['mains capacitors']}                                                                                    | ${'no tube'}
    ${{ opening: ['potted'] }}                                               | ${['potting', 'mains capacitors']}                                                                         | ${'potted'}
    ${{ stores: [{ role: 'bulk', mayHold: 373, links: 2 }] }}                | ${['mains capacitors', 'a series stack']}                                                                  | ${'two in series'}
    ${{ year: 2004 }}                                                        | ${['mains capacitors', 'brittle plastic']}                                                                 | ${'old plastic'}
    ${{ year: 1984, kind: 'appliance-board', description: 'oven board' }}    | ${['an asbestos-like washer', 'mains capacitors']}                                                         | ${'an old oven'}
    ${{ year: 1990, kind: 'other', parts: ['to-3'] }}                        | ${['a beryllia washer', 'mains capacitors']}                                                               | ${'an old power stage'}
    ${{ kind: 'pulse-unit', description: 'microwave oven, dead' }}           | ${['an oven’s transformer and capacitor', 'beryllia in a magnetron', 'a pulse store', 'mains capacitors']} | ${'an oven'}
    ${{ description: 'iron-core ballast', kind: 'lamp-driver', year: 1979 }} | ${['PCB oil', 'mains capacitors']}                                                                         | ${'oil of its day'}
    ${{ description: 'iron-core ballast', kind: 'lamp-driver', year: 1999 }} | ${['mains capacitors']}                                                                                    | ${'after the ban'}
    ${{ description: 'tool charger burnt-smell', kind: 'battery-charger' }}  | ${['burnt inside', 'mains capacitors']}                                                                    | ${'a burnt charger'}
    ${{ stores: [{ role: 'boosted', links: 1 }] }}                           | ${['a pulse store', 'a store above what a meter stands', 'mains capacitors']}                              | ${'nobody knows what it holds'}
    ${{ kind: 'internal' }}                                                  | ${['mains capacitors', 'sharp edges']}                                                                     | ${'a sheet-metal case'}
  `('$why: $names', ({ more, names }) => {
    expect(cautionsFor({ ...plain, ...more }).map(({ name }) => name)).toEqual(names);
  });

  test('a caution that says to leave it shut keeps it from every other way', () => {
    const oven = cautionsFor({ ...plain, kind: 'pulse-unit', description: 'microwave oven' });
    const burnt = cautionsFor({ ...plain, kind: 'battery-charger', description: 'burnt charger' });
    const flash = cautionsFor({ ...plain, stores: [{ role: 'boosted', mayHold: 330, links: 1 }] });
    const isShut = (cautions: typeof oven) => cautions.some(({ leaveShut }) => leaveShut !== undefined);
    expect([oven, burnt, flash].map(isShut)).toEqual([true, true, false]);
  });
});

describe('a converter that still runs from its reservoir', () => {
  // F1-9: 150 µF from 325 V down to 80 V at 2 W takes 3.72 s.
  test('the load and the time by V²', () => {
    const of = { capacitance: 150e-6, from: 325, to: 80 };
    near(constantPowerLoad({ ...of, seconds: 3.72 }), 2);
    near(timeAtConstantPower({ ...of, watts: 2 }), 3.72);
    expect(timeAtConstantPower({ ...of, from: 60, watts: 2 })).toBe(0);
  });
});

// F1-7: 0.47 µF and 2.2 µF on 230 V +10 %, 357.8 V peak; limits of the standards from memory.
test.each`
  uF      | rules
  ${0.47} | ${[2.13e6, 2.38e6, 0.904e6]}
  ${2.2}  | ${[455e3, 509e3, 193e3]}
  ${0.22} | ${[4.55e6, 1.93e6]}
  ${0.1}  | ${[]}
`('the bleeder of an X capacitor of $uF µF: $rules', ({ uF, rules }) => {
  const found = largestFilterBleeds({ capacitance: uF * 1e-6, peak: 357.8 }).map(({ ohms }) => ohms);
  expect(found).toHaveLength(rules.length);
  found.forEach((ohms, index) => near(ohms, rules[index], 0.01));
});

test.each`
  start  | uF     | ohm     | first     | tau     | limits
  ${325} | ${150} | ${2200} | ${48.0}   | ${0.33} | ${[0.558, 1.378, 1.909]}
  ${325} | ${150} | ${10e6} | ${0.0106} | ${1500} | ${[2534, 6261, 8676]}
`('F1-2 and F1-6: $uF µF at $start V through $ohm Ω', ({ start, uF, ohm, first, tau, limits }) => {
  const plan = bleedThrough({ start, capacitance: uF * 1e-6, resistance: ohm });
  near(plan.initialPower, first);
  near(plan.timeConstant, tau);
  [plan.timeToTouch, plan.timeToSolder, plan.timeToMeter].forEach((seconds, index) => near(seconds, limits[index]));
});

// F1-3: 220 µF from 400 V under 60 V within 5 s; F1-1: energies.
test('the largest resistor for a time, and stored energies of the sheet', () => {
  near(largestBleed({ start: 400, limit: 60, capacitance: 220e-6, within: 5 }), 11.98e3);
  const energy = (text: string, voltage: number) => {
    const read = parseBank(text);
    return storedEnergy({ capacitance: read.ok ? read.bank.capacitance : NaN, voltage });
  };
  near(energy('150u', 325), 7.92);
  near(energy('220u', 400), 17.6);
  near(energy('2 x 470u series', 325), 12.4);
  near(energy('3 x 100u', 400), 24.0);
  near(energy('10000u', 12), 0.72);
});

test.each`
  mains    | topologies                | named         | why
  ${true}  | ${['capacitive-dropper']} | ${/dropper/}  | ${'nothing but a capacitor parts it'}
  ${true}  | ${['buck']}               | ${/switcher/} | ${'a buck on the rectified mains'}
  ${true}  | ${['boost-pfc', 'buck']}  | ${/switcher/} | ${'a front end isolates nothing'}
  ${true}  | ${['flyback', 'buck']}    | ${undefined}  | ${'the buck may sit behind the transformer'}
  ${true}  | ${['line-transformer']}   | ${undefined}  | ${'a transformer parts it'}
  ${true}  | ${[]}                     | ${undefined}  | ${'nothing is recognised'}
  ${false} | ${['buck']}               | ${undefined}  | ${'no mains comes in'}
`('fed from the mains: $mains, stages $topologies: $why', ({ mains, topologies, named }) => {
  const caution = liveOutputCaution({ fedFromMains: mains as boolean, topologies: topologies as string[] });
  if (named) expect(caution?.name).toMatch(named as RegExp);
  else expect(caution).toBeUndefined();
  if (caution)
    expect(caution).toMatchObject({ grave: true, text: expect.stringMatching(/live mains.*no earthed instrument/) });
});

// Closed forms, and readings as a person takes them.
test.each`
  why                            | readings                                                                                                               | model            | warns
  ${'two slopes, both to zero'}  | ${[0, 2, 4, 6, 10, 30, 60, 90].map((t) => [t, t <= 6 ? 300 * Math.exp(-t / 5) : 90.4 * Math.exp(-(t - 6) / 70), 0.1])} | ${'two-regimes'} | ${'two-regimes'}
  ${'coarse, and rising again'}  | ${[[0, 310, 1], [10, 60, 1], [20, 8, 1], [30, 4, 1], [300, 9, 1]]}                                                     | ${'none'}        | ${'rebound'}
  ${'leads the other way round'} | ${[0, 5, 10, 15].map((t) => [t, -310 * Math.exp(-t / 25), 0.1])}                                                       | ${'exponential'} | ${undefined}
`('$why: $model', ({ readings, model, warns }) => {
  const fit = fitDischarge(
    (readings as number[][]).map(([time = 0, voltage = 0, resolution = 0]) => ({ time, voltage, resolution })),
  );
  expect(fit.model).toBe(model);
  expect(fit.warnings[0]?.kind).toBe(warns);
});

test.each`
  text          | kind
  ${'1000'}     | ${'too-large'}
  ${'470'}      | ${'too-large'}
  ${'0.5'}      | ${'too-large'}
  ${'1000 16V'} | ${'too-large'}
  ${'5m'}       | ${'no-capacitance'}
`('a bank typed “$text” is asked about', ({ text, kind }) => {
  const bank = parseBank(text as string);
  expect(bank.ok ? undefined : bank.problem.kind).toBe(kind);
});

// P = V²/R: what a small resistor carries for good needs no large one, however many farads stand behind it.
test.each([
  [5.5, 1],
  [2.7, 100],
  [16, 58],
])('a supercapacitor of %f V and %f F is bled by a small resistor', (start, capacitance) => {
  const plan = suggestBleed({ start, capacitance });
  expect(plan?.wirewound).toBeLessThanOrEqual(5);
  expect(plan?.initialPower).toBeLessThanOrEqual(3);
});
