import fc from 'fast-check';
import {
  copperResistance,
  CORES,
  nearestCore,
  couplingOf,
  effectivePermeability,
  estimateTurns,
  findGap,
  findWindings,
  fluxSwing,
  gapEnergy,
  gapLength,
  gaugeDiameter,
  gaugeOf,
  goodFor,
  matchCore,
  mutualOf,
  parseOhms,
  peakFlux,
  qualityFromFall,
  rampInductance,
  ratioFromInjection,
  ringFactor,
  ringField,
  ringFrequency,
  selfCapacitance,
  sineArea,
  skinDepth,
  squareTurns,
  strandsFor,
  windowFill,
  wireArea,
} from '.';

const near = (value: number | undefined, expected: number, share = 0.005) =>
  expect(Math.abs((value ?? NaN) / expected - 1)).toBeLessThan(share);

// ASTM B258 for the gauges, IEC 60028 for copper; the rest by hand from the handbook formulas named beside each function.
describe('sums of wire and flux', () => {
  test.each`
    what                                  | value                                                                                 | expected
    ${'AWG 20, diameter'}                 | ${gaugeDiameter(20)}                                                                  | ${0.8118e-3}
    ${'AWG 20, area'}                     | ${wireArea(gaugeDiameter(20))}                                                        | ${0.5176e-6}
    ${'AWG 20, ohms a metre'}             | ${copperResistance({ length: 1, area: wireArea(gaugeDiameter(20)) })}                 | ${33.3e-3}
    ${'AWG 24, diameter'}                 | ${gaugeDiameter(24)}                                                                  | ${0.5106e-3}
    ${'AWG 24, ohms a metre'}             | ${copperResistance({ length: 1, area: wireArea(gaugeDiameter(24)) })}                 | ${84.2e-3}
    ${'AWG 30, diameter'}                 | ${gaugeDiameter(30)}                                                                  | ${0.2546e-3}
    ${'gauge of 0.5 mm'}                  | ${gaugeOf(0.5e-3)}                                                                    | ${24.2}
    ${'gauge of 1 mm'}                    | ${gaugeOf(1e-3)}                                                                      | ${18.2}
    ${'skin at 50 kHz'}                   | ${skinDepth(50e3)}                                                                    | ${0.296e-3}
    ${'skin at 65 kHz'}                   | ${skinDepth(65e3)}                                                                    | ${0.259e-3}
    ${'skin at 100 kHz'}                  | ${skinDepth(100e3)}                                                                   | ${0.209e-3}
    ${'skin at 100 kHz, hot'}             | ${skinDepth(100e3, 100)}                                                              | ${0.24e-3}
    ${'skin at 200 kHz'}                  | ${skinDepth(200e3)}                                                                   | ${0.148e-3}
    ${'flux of a flyback, E25, 70 turns'} | ${peakFlux({ inductance: 600e-6, current: 1.5, turns: 70, area: 52e-6 })}             | ${0.247}
    ${'its gap'}                          | ${gapLength({ turns: 70, area: 52e-6, inductance: 600e-6, path: 57.5e-3 })}           | ${0.508e-3}
    ${'energy in that gap'}               | ${gapEnergy({ flux: 0.2473, area: 52e-6, gap: 0.508e-3 })}                            | ${0.642e-3}
    ${'turns of a half-bridge'}           | ${squareTurns({ volts: 150, frequency: 50e3, flux: 0.15, area: 107e-6 })}             | ${46.7}
    ${'340 V for 4 us on 40 turns'}       | ${fluxSwing({ volts: 340, seconds: 4e-6, turns: 40, area: 52e-6 })}                   | ${0.654}
    ${'ring of mu 75'}                    | ${ringFactor({ outer: 27e-3, inner: 14e-3, height: 11e-3, permeability: 75 })}        | ${108.4e-9}
    ${'40 turns on it'}                   | ${1600 * ringFactor({ outer: 27e-3, inner: 14e-3, height: 11e-3, permeability: 75 })} | ${173.4e-6}
    ${'field in it at 5 A'}               | ${ringField({ turns: 40, current: 5, outer: 27e-3, inner: 14e-3 })}                   | ${3105}
    ${'copper for 5 A'}                   | ${strandsFor({ rms: 5, density: 5e6, diameter: 0.2e-3 }).area}                        | ${1e-6}
    ${'strands of 0.2 mm'}                | ${strandsFor({ rms: 5, density: 5e6, diameter: 0.2e-3 }).strands}                     | ${32}
    ${'fill of 70 turns of 0.4 mm'}       | ${windowFill({ turns: 70, outerDiameter: 0.4e-3, window: 56e-6 })}                    | ${0.2}
    ${'iron for 230 V 50 Hz'}             | ${sineArea({ volts: 230, frequency: 50, turns: 1000, flux: 1.2 })}                    | ${863e-6}
    ${'coupling, 600 and 15 uH'}          | ${couplingOf({ open: 600e-6, shorted: 15e-6 })?.coupling}                             | ${0.9874}
    ${'magnetising'}                      | ${couplingOf({ open: 600e-6, shorted: 15e-6 })?.magnetising}                          | ${585e-6}
    ${'coupling, 1.2 mH and 24 uH'}       | ${couplingOf({ open: 1.2e-3, shorted: 24e-6 })?.coupling}                             | ${0.9899}
    ${'ratio by two injections'}          | ${ratioFromInjection({ forward: 0.098, back: 9.6 })?.ratio}                           | ${9.897}
    ${'its coupling'}                     | ${ratioFromInjection({ forward: 0.098, back: 9.6 })?.coupling}                        | ${0.97}
    ${'mutual of 980 and 180 uH'}         | ${mutualOf({ aiding: 980e-6, opposing: 180e-6 }).mutual}                              | ${200e-6}
    ${'both windings of it'}              | ${mutualOf({ aiding: 180e-6, opposing: 980e-6 }).sum}                                 | ${580e-6}
    ${'600 uH with 10 nF'}                | ${ringFrequency({ inductance: 600e-6, capacitance: 10e-9 })}                          | ${64.97e3}
    ${'Q, 1.0 to 0.25 in ten periods'}    | ${qualityFromFall({ first: 1, last: 0.25, periods: 10 })}                             | ${22.7}
    ${'own capacitance'}                  | ${selfCapacitance({ c1: 1e-9, f1: 195.91e3, c2: 4.7e-9, f2: 93.78e3 }).self}          | ${100e-12}
    ${'inductance of it'}                 | ${selfCapacitance({ c1: 1e-9, f1: 195.91e3, c2: 4.7e-9, f2: 93.78e3 }).inductance}    | ${600e-6}
  `('$what: $expected', ({ value, expected }) => near(value, expected, 0.01));
});

test('a ramp of 12 V: 100 uH, and 70 % of it left at 5.5 A', () => {
  const [t, i] = [
    [0, 10, 20, 30, 40, 45, 50],
    [0, 1.2, 2.4, 3.6, 4.8, 5.55, 6.75],
  ] as const;
  const points = t.map((us, index) => ({ t: us * 1e-6, i: i[index] ?? 0 }));
  const { segments, saturation } = rampInductance({ points, volts: 12 });
  expect(segments.map(({ inductance }) => Math.round(inductance * 1e6))).toEqual([100, 100, 100, 100, 80, 50]);
  near(saturation, 5.5);
  expect(rampInductance({ points: points.slice(0, 5), volts: 12 }).saturation).toBeUndefined();
});

describe('the table of cores', () => {
  // IEC 63093: effective volume is area times path, and without a gap power ferrite shows 1300 to 1900.
  test('agrees with itself', () => {
    for (const core of CORES) {
      near(core.volume, core.area * core.path, 0.02);
      const permeability = effectivePermeability(core);
      expect({ name: core.name, ok: permeability > 1000 && permeability < 1950 }).toEqual({
        name: core.name,
        ok: true,
      });
    }
    expect(new Set(CORES.map(({ name }) => name)).size).toBe(CORES.length);
  });

  test.each`
    mm                    | first          | why
    ${[25.1, 12.6, 7.2]}  | ${'E25/13/7'}  | ${'a calliper’s tenth off'}
    ${[25.1, 12.6]}       | ${'E25/13/7'}  | ${'two dimensions do'}
    ${[42, 21, 20.2]}     | ${'E42/21/20'} | ${'the thickness tells the two apart'}
    ${[28.5, 16.8, 11.4]} | ${'EER28L'}    | ${'the taller one'}
    ${[25]}               | ${undefined}   | ${'one dimension tells nothing'}
    ${[60, 5, 5]}         | ${undefined}   | ${'none is like that'}
  `('$mm mm is $first ($why)', ({ mm, first }) => {
    const [width, height, depth] = (mm as number[]).map((value) => value * 1e-3);
    expect(matchCore({ width, height, depth })[0]?.core.name).toBe(first);
  });

  test('every core finds itself within a calliper’s error', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: CORES.length - 1 }),
        fc.array(fc.double({ min: -0.2e-3, max: 0.2e-3, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (index, off) => {
          const core = CORES[index];
          if (!core) return;
          const found = matchCore({
            width: core.width + (off[0] ?? 0),
            height: core.height + (off[1] ?? 0),
            depth: core.depth + (off[2] ?? 0),
          });
          expect(found.map((match) => match.core.name)).toContain(core.name);
        },
      ),
      { seed: 5, numRuns: 200 },
    );
  });
});

describe('windings from ohms', () => {
  test.each`
    table                                                   | windings                                          | lonely   | ask          | why
    ${'1-2 1.2\n3-4 0.4\n5-6 0.03'}                         | ${['1-2 primary', '3-4 auxiliary', '5-6 output']} | ${[]}    | ${'1-3'}     | ${'three windings, not yet told apart'}
    ${'1-2 1.2\n3-4 0.4\n1-3 OL'}                           | ${['1-2 primary', '3-4 output']}                  | ${[]}    | ${undefined} | ${'told apart'}
    ${'1-2 0.6, 2-3 0.5, 1-3 1.1'}                          | ${['1-2-3 primary']}                              | ${[]}    | ${undefined} | ${'a tap at 2'}
    ${'1 3 0.6\n3 2 0.5\n1 2 1.1\n7 8 20m\n7 9 OL\n1 7 OL'} | ${['1-3-2 primary', '7-8 output']}                | ${['9']} | ${'1-9'}     | ${'the tap is not the middle number; 9 is empty'}
  `('$why', ({ table, windings, lonely, ask }) => {
    const { readings, problems } = parseOhms(table);
    expect(problems).toEqual([]);
    const found = findWindings(readings);
    expect(found.windings.map(({ pins, guess }) => `${pins.join('-')} ${guess}`)).toEqual(windings);
    expect(found.lonely).toEqual(lonely);
    expect(found.ask[0]?.join('-')).toBe(ask);
  });

  test('what does not add up is told', () => {
    expect(findWindings(parseOhms('1-2 5\n2-3 5\n1-3 3').readings).problems).toHaveLength(1);
    expect(findWindings(parseOhms('1-2 1\n2-3 1\n1-3 OL').readings).problems[0]).toContain('OL');
  });

  test.each`
    line          | message
    ${'one two'}  | ${'not two pins'}
    ${'1-1 3'}    | ${'one pin twice'}
    ${'1-2 tall'} | ${'not ohms'}
  `('“$line” is refused: $message', ({ line, message }) => {
    const { readings, problems } = parseOhms(`3-4 1\n${line}`);
    expect(readings).toHaveLength(1);
    expect(problems[0]).toMatchObject({ line: 2, message: expect.stringContaining(message) });
  });

  test('windings of any shape are found again from readings in any order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 2, max: 4 }), { minLength: 1, maxLength: 5 }),
        fc.array(fc.double({ min: 0.05, max: 5, noNaN: true }), { minLength: 20, maxLength: 20 }),
        fc.infiniteStream(fc.nat()),
        (sizes, ohms, order) => {
          let pin = 0;
          const truth = sizes.map((size) => Array.from({ length: size }, () => String((pin += 1))));
          const readings = truth.flatMap((pins) => {
            const at = pins.map((_, index) => ohms.slice(0, index).reduce((sum, value) => sum + value, 0));
            return pins.flatMap((a, i) =>
              pins.slice(i + 1).map((b, k) => ({ a, b, ohms: (at[i + 1 + k] ?? 0) - (at[i] ?? 0) })),
            );
          });
          const shuffled = readings
            .map((reading) => ({ reading, key: order.next().value }))
            .sort((a, b) => a.key - b.key)
            .map(({ reading }) => reading);
          const found = findWindings(shuffled).windings.map(({ pins }) => pins.join());
          const wanted = truth.map((pins) => pins.join());
          const reversed = truth.map((pins) => [...pins].reverse().join());
          expect(found.every((pins) => wanted.includes(pins) || reversed.includes(pins))).toBe(true);
          expect(found).toHaveLength(truth.length);
        },
      ),
      { seed: 6, numRuns: 150 },
    );
  });
});

describe('what a transformer is good for', () => {
  const core = CORES.find(({ name }) => name === 'E25/13/7');
  // By hand: B 0.2 T on 70 turns of 52 mm² at 600 uH is 1.21 A; L·I²·f/2 at 65 kHz is 28.7 W.
  test('a gapped one stores', () => {
    const facts = { core, inductance: 600e-6, perTurn: 1 / 70 };
    expect(findGap(facts).gapped).toBe(true);
    const [use] = goodFor(facts);
    expect(use).toMatchObject({ topology: 'flyback', bound: 'flux' });
    near(use?.current, 1.2133);
    near(use?.power, 28.7);
    near(use?.flux, 0.2);
    const saturating = goodFor({ ...facts, saturation: 1 })[0];
    expect(saturating).toMatchObject({ bound: 'saturation' });
    near(saturating?.current, 0.9);
    expect(goodFor({ ...facts, wire: 0.2e-3 })[0]).toMatchObject({ bound: 'copper' });
  });

  test('one without a gap passes on, one that leaks is for resonance', () => {
    const facts = { core, inductance: 1850e-9 * 40 ** 2, perTurn: 1 / 40, wire: 0.5e-3 };
    expect(findGap(facts)).toMatchObject({ gapped: false });
    expect(goodFor(facts).map(({ topology }) => topology)).toEqual(['forward', 'half-bridge']);
    near(goodFor(facts)[1]?.volts, 4 * 65e3 * 40 * 0.15 * 52e-6);
    expect(goodFor({ ...facts, leakageShare: 0.2 }).map(({ topology }) => topology)).toEqual(['resonant']);
  });

  // A gapped core saturates at more ampere-turns for its inductance: N = L·Î/(B·A) at 0.39 T, without a one-turn winding.
  test('where it saturates tells turns and gap, and the core’s own factor never does', () => {
    const gapped = { core, inductance: 600e-6, saturation: (0.39 * 70 * 52e-6) / 600e-6 };
    near(estimateTurns(gapped)?.turns, 70);
    expect(findGap(gapped).gapped).toBe(true);
    expect(goodFor(gapped)[0]?.topology).toBe('flyback');
    expect(findGap({ core, inductance: 600e-6 }).gapped).toBeUndefined();
  });

  test('too little is known', () => {
    expect(goodFor({ core })).toEqual([]);
    expect(estimateTurns({ inductance: 1e-3 })).toBeUndefined();
    expect(goodFor({ core, inductance: 600e-6 })).toEqual([]);
  });
});

test('a core that no table has is told by the nearest, with how far it is off', () => {
  const known = CORES.find(({ name }) => name.startsWith('E'));
  if (!known) throw new Error('no core');
  const size = { width: known.width + 1.4e-3, height: known.height, depth: known.depth - 0.9e-3 };
  const found = nearestCore(size);
  expect(found?.core.name).toBe(known.name);
  expect(found?.off.map(({ by }) => Math.round(by * 1e4) / 10)).toEqual([1.4, 0, -0.9]);
  expect(nearestCore({ width: known.width, height: known.height, depth: known.depth })).toBeUndefined();
  expect(nearestCore({ width: known.width })).toBeUndefined();
});
