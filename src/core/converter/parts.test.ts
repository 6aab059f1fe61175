import {
  boundaryCorrector,
  clampOf,
  damped,
  doubled,
  firedShare,
  firingAngle,
  holdUp,
  lastingCorrector,
  lastingOhms,
  lineRipple,
  OSCILLATORS,
  peakGain,
  resonantCurrents,
  ringOf,
  shareForGain,
  snubberHeat,
  startingOhms,
  tankGain,
  tankOf,
} from '.';
import { readDeck, simulate, steadyState } from '../circuit';

const near = (got: number | undefined, want: number, within = 0.006) =>
  expect([got, Math.abs((got ?? NaN) / want - 1) < within]).toEqual([got, true]);
const degrees = (angle: number) => (angle * 180) / Math.PI;

// F6-13 to F6-15, derived on the first-harmonic method of makers’ notes for LLC half bridges (from memory).
test('an LLC tank: resonances, gain, currents at resonance', () => {
  const tank = { series: 100e-6, magnetising: 500e-6, capacitance: 25.3e-9, turns: 390 / 49 };
  const figures = tankOf(tank, 2.4);
  near(figures.resonance, 100.06e3);
  near(figures.lower, 40.85e3);
  near(figures.impedance, 62.87);
  near(figures.reflected, 123.2);
  near(figures.quality, 0.51);
  for (const [share, gain] of [
    [0.6, 1.294],
    [0.8, 1.104],
    [1, 1],
    [1.2, 0.934],
    [1.5, 0.862],
  ] as const)
    near(tankGain({ ratio: 5, quality: 0.4 }, share), gain, 1e-3);
  near(tankGain({ ratio: 5, quality: 0.2 }, 0.6), 1.473, 1e-3);
  const currents = resonantCurrents(tank, { volts: 24.5, current: 10, resonance: figures.resonance });
  near(currents.load, 1.396);
  near(currents.magnetisingPeak, 0.974);
  near(currents.total, 1.505);
  near(currents.secondary, 7.85);
  near(currents.outputCapacitor, 4.83);
  near(currents.capacitorVolts, 94.6);
  // The way back: the share at which a gain is reached has that gain, above the peak.
  const share = shareForGain({ ratio: 5, quality: 0.4 }, 1.104);
  near(share, 0.8, 1e-3);
  expect(peakGain({ ratio: 5, quality: 0.4 }).share).toBeLessThan(0.6);
  expect(shareForGain({ ratio: 5, quality: 0.4 }, 3)).toBeUndefined();
});

// F6-16, F6-17, derived on makers’ notes for such stages (from memory).
test('a power factor stage: currents, choke, bulk', () => {
  const stage = { lowest: 90, power: 300 / 0.94, output: 390 };
  const came = lastingCorrector(stage, { frequency: 65e3, ripple: 0.3, efficiency: 0.94 });
  near(came.linePeak, 5.015);
  near(came.rms, 3.546);
  near(came.duty, 0.674);
  near(came.swing, 1.504);
  near(came.inductance, 877e-6);
  near(came.peak, 5.77);
  near(came.switchRms, 3.015);
  near(came.rectifierMean, 0.769);
  near(came.rectifierRms, 1.866);
  near(came.capacitorRms, 1.7);
  near(came.capacitorLineRms, 0.544);
  near(lineRipple({ current: 300 / 390, line: 50, capacitance: 220e-6 }), 11.1);
  near(holdUp({ capacitance: 220e-6, from: 390, to: 300, power: 300 }), 22.8e-3);
  near(boundaryCorrector(stage, { volts: 90, frequency: 45e3 }).inductance, 190e-6);
  near(boundaryCorrector(stage, { volts: 90, frequency: 45e3 }).peak, 10.0);
  near(boundaryCorrector(stage, { volts: 264, frequency: 45e3 }).inductance, 104e-6, 0.01);
});

// F6-18, F6-19, derived on the clamp sum and the ringing-frequency method of makers’ notes (from memory).
test('a clamp and a snubber', () => {
  const clamp = clampOf({ leakage: 10e-6, peak: 1.474, frequency: 65e3, reflected: 100, clamp: 170, ripple: 0.05 });
  near(clamp?.leaked, 0.706);
  near(clamp?.heat, 1.714);
  near(clamp?.ohms, 16.9e3);
  near(clamp?.farads, 18.3e-9, 0.01);
  expect(clampOf({ leakage: 1e-6, peak: 1, frequency: 1e5, reflected: 100, clamp: 100, ripple: 0.05 })).toBeUndefined();
  const ring = ringOf({ alone: 22e6, added: 330e-12, slowed: 11e6 });
  near(ring?.capacitance, 110e-12);
  near(ring?.inductance, 476e-9);
  near(ring?.impedance, 65.8);
  near(ringOf({ alone: 22e6, added: 330e-12, slowed: 15e6 })?.capacitance, 287e-12);
  near(snubberHeat({ farads: 330e-12, volts: 60, frequency: 65e3 }), 77e-3);
  expect(ringOf({ alone: 10e6, added: 1e-10, slowed: 10e6 })).toBeUndefined();
});

test('how much of a swing a snubber leaves is what the simulator finds', () => {
  const ring = { capacitance: 99e-12, inductance: 13.3e-6, impedance: 367 };
  const snubber = { ohms: 390, farads: 150e-12 };
  const { left, swing } = damped(ring, snubber);
  const turn = (2 * Math.PI) / swing;
  const deck = [
    't',
    ...[0.5, 1.5].map((turns) => `* measure: at i(L1) at ${(turns * turn).toExponential(9)}`),
    `L1 a 0 ${ring.inductance} ic=1\nC1 a 0 ${ring.capacitance}\nR1 a b ${snubber.ohms}\nC2 b 0 ${snubber.farads}`,
    '.tran 1n 3u uic\n.end',
  ].join('\n');
  const read = readDeck(deck);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const came = simulate(read.deck);
  if ('kind' in came) throw new Error(JSON.stringify(came));
  const [first = NaN, second = NaN] = Object.values(came.measures).map(({ value }) => value);
  // The root that dies at once is still a little in the first swing.
  expect(Math.abs(second / first - left)).toBeLessThan(0.03);
});

// F6-21, on datasheet formulas from memory.
test.each([
  ['UC3842', 10e3, 1e-9, 172e3],
  ['UC3842', 4.7e3, 3.3e-9, 110.9e3],
  ['TL494', 12e3, 1e-9, 91.7e3],
  ['SG3525', 10e3, 1e-9, 137e3],
  ['IR2153', 15e3, 1e-9, 47.4e3],
  ['L6599', 12e3, 470e-12, 59.1e3],
  ['UC3854', 15e3, 1e-9, 83.3e3],
  ['SG3524', 10e3, 1e-9, 130e3],
  ['UC3846', 10e3, 1e-9, 220e3],
])('the oscillator of a %s', (family, ohms, farads, hertz) => {
  near(OSCILLATORS.find((one) => one.family === family)?.frequency({ ohms, farads, discharge: 100 }), hertz);
});

// F11-1, F11-2, derived; the angle integrates to the same share.
test('phase control: share of the power, angle of firing, where it snaps on', () => {
  for (const [angle, share] of [
    [30, 0.971],
    [45, 0.909],
    [60, 0.8045],
    [90, 0.5],
    [120, 0.1955],
    [135, 0.0908],
    [150, 0.0288],
  ] as const)
    near(firedShare((angle * Math.PI) / 180), share);
  const timing = { volts: 230, line: 50, farads: 100e-9, breakover: 32 };
  for (const [ohms, angle] of [
    [10e3, 16.5],
    [47e3, 33.4],
    [100e3, 48.6],
    [150e3, 60],
    [220e3, 74.1],
  ] as const)
    near(degrees(firingAngle({ ...timing, ohms }) ?? NaN), angle);
  near(startingOhms(timing), 322e3);
  expect(firingAngle({ ...timing, ohms: 2e6 })).toBeUndefined();
  // F11-3: with 22 V left after each pulse.
  for (const [ohms, angle] of [
    [47e3, 34.9],
    [100e3, 55.2],
    [220e3, 93.6],
    [startingOhms(timing) * 0.9999, 129.4],
  ] as const)
    near(degrees(firingAngle({ ...timing, ohms }, 22) ?? NaN), angle);
  near(lastingOhms(timing, 22), 377e3, 0.01);
});

// Against the simulator, whose rectifiers and source are all but ideal here.
test.each([
  [115, 60, 680e-6, 1500],
  [100, 50, 220e-6, 600],
])('a doubler at %d V and %d Hz: what both fall to and what one does', (volts, hertz, capacitance, load) => {
  const crest = volts * Math.SQRT2;
  const deck = [
    't',
    '* pwl: vf=0 ron=10m',
    ...['avg v(out)', 'pp v(out)', 'min v(out,m)'].map((what) => `* measure: ${what} last 1 periods`),
    `V1 l m SIN(0 ${crest} ${hertz})\nR1 l a 10m\nD1 a out DI\nD2 0 a DI`,
    `C1 out m ${capacitance} ic=${crest}\nC2 m 0 ${capacitance} ic=${crest}\nRL out 0 ${load}\n.model DI D(is=1e-12 n=0.05 rs=10m)`,
    `.tran 1u ${10 / hertz} uic\n.end`,
  ].join('\n');
  const read = readDeck(deck);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const settled = steadyState(read.deck, { period: 1 / hertz });
  if ('kind' in settled) throw new Error(JSON.stringify(settled));
  const [mean = NaN, ripple = NaN, least] = Object.values(settled.measures).map(({ value }) => value);
  const came = doubled({ power: mean ** 2 / load, capacitance, volts, hertz });
  near(came?.mean, mean, 0.01);
  near((came?.highest ?? NaN) - (came?.lowest ?? NaN), ripple, 0.03);
  near(came?.least, least ?? NaN, 0.01);
});
