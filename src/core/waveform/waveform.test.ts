import fc from 'fast-check';
import FFT from 'fft.js';
import {
  analyseChopping,
  analyseDischarge,
  analyseRamp,
  analyseRing,
  analyseRipple,
  analyseStep,
  fitColumns,
  makeWave,
  MADE_WAVES,
  parasiticsOf,
  reduceWave,
  stretchOf,
  WaveReader,
  waveProblemText,
  type MadeWave,
  type RippleCurrent,
  type RippleFinding,
  type Stretch,
} from '.';

/** Seeded randomness: Park and Miller's generator, and Box and Muller's transform. */
function gaussianFrom(seed: number) {
  let state = seed;
  const uniform = () => (state = (state * 16807) % 2147483647) / 2147483647;
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}
const made = (name: MadeWave, noise = 0.01, points = 4000, seed = 5): Stretch =>
  stretchOf(makeWave(name, { points, noise, gaussian: gaussianFrom(seed) }), 0);
const near = (value: number | undefined, expected: number, share: number) =>
  expect(Math.abs((value ?? NaN) / expected - 1)).toBeLessThan(share);
const found = <T extends { kind: string }>(result: T): Exclude<T, { kind: 'failure' }> => {
  if (result.kind === 'failure') throw new Error((result as unknown as { message: string }).message);
  return result as Exclude<T, { kind: 'failure' }>;
};

// Closed form by hand: 12 V across 100 µH until 5 A, then 50 µH; saturation lies where the slope doubles.
describe.each([
  ['clean', 0],
  ['with 1 % noise', 0.01],
  ['with 2 % noise', 0.02],
])('recordings in eight bits, %s', (_words, noise) => {
  test('a ramp: inductance and saturation', () => {
    const ramp = found(analyseRamp(made('ramp', noise), { volts: 12 }));
    near(ramp.inductance, 100e-6, 0.04);
    near(ramp.saturation, 5, 0.1);
    near(ramp.peak, 7, 0.04);
    // A shunt of 0.1 ohm and its channel in volts: the same, less the drop that the shunt takes.
    const shunt = { ...made('ramp', noise), values: made('ramp', noise).values.map((value) => value * 0.1) };
    const loaded = found(analyseRamp(shunt, { volts: 12, amperesPerUnit: 10, loopOhms: 0.1 }));
    expect(loaded.inductance).toBeLessThan(ramp.inductance);
  });

  test('a ring: frequency, quality, and what makes it', () => {
    const ring = found(analyseRing(made('ring', noise)));
    near(ring.frequency, 64974, 0.004);
    near(ring.quality, 20, 0.08);
    expect(ring.periods).toBeGreaterThanOrEqual(13);
    expect(Math.abs(ring.frequency - 64974)).toBeLessThan(6 * ring.frequencyUncertainty + 60);
  });

  test('a discharge: time constant', () => {
    const discharge = found(analyseDischarge(made('discharge', noise)));
    near(discharge.tau, 0.33, 0.03);
    near(discharge.start, 325, 0.04);
    // 0.33 s through 2.2 kΩ is 150 µF.
    near(found(analyseDischarge(made('discharge', noise), 2200)).capacitance, 150e-6, 0.03);
  });

  test('a step: ESR and capacitance', () => {
    // The whole screen is 19 V and the jump 76 mV: a scope shows it with the offset taken out.
    const raw = makeWave('step', { points: 4000, noise: 0, gaussian: () => 0 }).time;
    const gaussian = gaussianFrom(9);
    const values = raw.map((t) => {
      const clean = t < 60e-6 ? 0 : -2 * 0.038 - (2 * (t - 60e-6)) / 680e-6;
      return Math.round((clean + noise * 0.5 * gaussian()) / (1 / 256)) / 256;
    });
    const step = found(analyseStep({ time: raw, values }, 2));
    near(step.esr, 0.038, 0.1);
    near(step.capacitance, 680e-6, 0.1);
  });

  test('a dimmer: the angle', () => {
    const chopping = found(analyseChopping(made('chopping', noise)));
    expect(Math.abs(chopping.angle - 70)).toBeLessThan(2);
    near(chopping.frequency, 50, 0.01);
  });
});

test('ripple: peak to peak and rms of a sine', () => {
  const time = Float64Array.from({ length: 5000 }, (_, index) => index * 1e-6);
  const ripple = analyseRipple({ time, values: time.map((t) => 24 + 0.1 * Math.sin(2 * Math.PI * 65e3 * t)) });
  near(ripple.mean, 24, 1e-4);
  near(ripple.rms, 0.1 / Math.SQRT2, 0.01);
  near(ripple.peakToPeak, 0.2, 0.01);
});

const told = (capacitor: RippleFinding['capacitor']) => capacitor ?? ({ kind: 'failure', message: 'nothing' } as const);

// Closed form by hand: a triangle of 2 A in 470 µF with 45 mΩ. The shape alone must find the same without the current.
describe.each([0, 0.01, 0.02])('ripple of a choke with %d of noise', (noise) => {
  const wave = makeWave('ripple', { points: 6000, noise, gaussian: gaussianFrom(11) });
  test.each([
    ['recorded beside it', { recorded: stretchOf(wave, 1).values }],
    ['recorded with the probe turned round', { recorded: stretchOf(wave, 1).values.map((value) => 0.3 - value) }],
    ['known by its shape', { shape: 'triangle', swing: 2 }],
  ] as [string, RippleCurrent][])('ESR and capacitance from a current %s', (_words, current) => {
    const { capacitor, peakToPeak } = analyseRipple(stretchOf(wave, 0), current);
    const { esr, capacitance, esrUncertainty } = found(told(capacitor));
    near(esr, 0.045, 0.03);
    near(capacitance, 470e-6, 0.15);
    // The scales of two channels promise 3 % each.
    near(esrUncertainty, 0.045 * 0.03 * Math.sqrt(2 / 3), 0.2);
    near(peakToPeak, 0.0905, 0.06);
  });
});

// Erickson & Maksimovic, from memory: a flyback's output falls by Io·D/(f·C) and jumps by Ipk·ESR.
test.each`
  peak | duty    | esr      | capacitance
  ${8} | ${0.4}  | ${0.02}  | ${1e-3}
  ${3} | ${0.25} | ${0.12}  | ${220e-6}
  ${5} | ${0.5}  | ${0.005} | ${330e-6}
`('ripple of a flyback with pulses of $peak A: $esr ohm, $capacitance F', ({ peak, duty, esr, capacitance }) => {
  const f = 80e3;
  const load = (peak * duty) / 2;
  const time = Float64Array.from({ length: 8000 }, (_, index) => index * 12.5e-9);
  const gaussian = gaussianFrom(3);
  const values = time.map((t) => {
    const x = (t * f + 0.3) % 1;
    const pulse = x < duty ? peak * (1 - x / duty) : 0;
    const charge = x < duty ? peak * (x - x ** 2 / (2 * duty)) : load;
    return 12 + esr * (pulse - load) + (charge - load * x) / (f * capacitance) + 0.002 * gaussian();
  });
  const { capacitor } = analyseRipple({ time, values }, { shape: 'pulse', swing: peak });
  const result = found(told(capacitor));
  near(result.esr, esr, 0.05);
  near(result.capacitance, capacitance, 0.1);
});

test.each([
  ['a flat line', new Float64Array(400).fill(5), { shape: 'triangle', swing: 2 }, 'Two whole periods'],
  ['no swing', new Float64Array(400).fill(5), { shape: 'triangle', swing: 0 }, 'above zero'],
  ['a few samples', new Float64Array(12), { recorded: new Float64Array(12) }, 'Forty samples'],
  [
    'a current beside a flat line',
    new Float64Array(400),
    { recorded: new Float64Array(400).map((_, i) => i % 20) },
    'does not follow',
  ],
] as [string, Float64Array, RippleCurrent, string][])(
  '%s gives no ESR and says why',
  (_words, values, current, message) => {
    const time = values.map((_, index) => index * 1e-6);
    expect(analyseRipple({ time, values }, current).capacitor).toMatchObject({
      kind: 'failure',
      message: expect.stringContaining(message),
    });
  },
);

test('a fit by columns finds what made the values, and knows what it cannot tell', () => {
  const gaussian = gaussianFrom(21);
  const x = Float64Array.from({ length: 2000 }, (_, index) => index / 100);
  const columns = [x.map(() => 1), x, x.map(Math.sin)];
  const values = x.map((value) => 3 - 0.5 * value + 2 * Math.sin(value) + 0.1 * gaussian());
  const { coefficients, uncertainties, residual } = fitColumns(columns, values);
  // Closed form: the uncertainty of a mean of n samples is sigma/√n at the least.
  for (const [at, exact] of [3, -0.5, 2].entries())
    expect(Math.abs((coefficients[at] ?? 0) - exact)).toBeLessThan(4 * (uncertainties[at] ?? 0));
  near(Math.sqrt(residual / 1997), 0.1, 0.05);
  near(uncertainties[2], 0.1 / Math.sqrt(1000), 0.1);
  expect(fitColumns([x, x.map((value) => 2 * value)], values)).toMatchObject({
    uncertainties: [expect.any(Number), Infinity],
    coefficients: [expect.any(Number), 0],
  });
});

// Reference: fft.js. The strongest line of the spectrum lies within half a line of the frequency that the crossings give.
test('the frequency of a ring is that of its strongest spectral line', () => {
  const { time, values } = made('ring', 0.02, 8192);
  const fft = new FFT(8192);
  const spectrum = fft.createComplexArray();
  fft.realTransform(spectrum, [...values]);
  let [line, most] = [0, 0];
  for (let index = 4; index < 4096; index += 1) {
    const power = (spectrum[2 * index] ?? 0) ** 2 + (spectrum[2 * index + 1] ?? 0) ** 2;
    if (power > most) [line, most] = [index, power];
  }
  const spacing = 1 / ((time[1] ?? 0) * 8192);
  expect(Math.abs(found(analyseRing({ time, values })).frequency - line * spacing)).toBeLessThan(spacing);
});

// By hand: 1 nF more takes a ring of 30 nH... here 20 µH with 100 pF from 3.559 MHz to 1.073 MHz.
test('leakage and parasitic capacitance from two rings, and the snubber', () => {
  const f = (c: number) => 1 / (2 * Math.PI * Math.sqrt(20e-6 * c));
  const two = found(
    parasiticsOf({ frequency: f(100e-12), loaded: f(1.1e-9), added: 1e-9 }) as { kind: 'x' } & Exclude<
      ReturnType<typeof parasiticsOf>,
      { kind: string }
    >,
  );
  near(two.capacitance, 100e-12, 1e-6);
  near(two.inductance, 20e-6, 1e-6);
  near(two.snubber.resistance, Math.sqrt(20e-6 / 100e-12), 1e-6);
  near(two.snubber.capacitance, 300e-12, 1e-6);
  expect(parasiticsOf({ frequency: 1e6, loaded: 2e6, added: 1e-9 })).toMatchObject({ kind: 'failure' });
  expect(parasiticsOf({ frequency: 64974, inductance: 600e-6 })).toMatchObject({
    inductance: expect.closeTo(600e-6, 9),
  });
});

test.each(Object.keys(MADE_WAVES) as MadeWave[])('what is no %s is refused with what is missing', (name) => {
  const flat: Stretch = {
    time: Float64Array.from({ length: 200 }, (_, index) => index),
    values: new Float64Array(200).fill(1),
  };
  const result = {
    ramp: () => analyseRamp(flat, { volts: 12 }),
    ring: () => analyseRing(flat),
    discharge: () => analyseDischarge(flat),
    step: () => analyseStep(flat, 0),
    ripple: () => analyseRipple(flat, { shape: 'pulse', swing: 1 }).capacitor,
    chopping: () => analyseChopping(flat),
  }[name]();
  expect(result).toMatchObject({ kind: 'failure', message: expect.stringMatching(/\.$/) });
});

describe('CSV of oscilloscopes', () => {
  const read = (text: string, separator = ',') => {
    const reader = new WaveReader();
    reader.push(text.split('\n').map((line) => line.split(separator)));
    return reader.end();
  };
  const rows = (line: (index: number) => string) => Array.from({ length: 20 }, (_, index) => line(index)).join('\n');
  test.each`
    text                                                                             | separator | channels           | seconds | first   | why
    ${`Time (s),CH1 (V)\n${rows((i) => `${i * 1e-6},${i}`)}`}                        | ${','}    | ${['CH1 V']}       | ${1e-6} | ${1}    | ${'names with units'}
    ${`x-axis,1,2\nsecond,Volt,Ampere\n${rows((i) => `${i * 1e-6},${i},${2 * i}`)}`} | ${','}    | ${['1 V', '2 A']}  | ${1e-6} | ${1}    | ${'units in a row of their own, two channels'}
    ${`Time;Kanal A\n(ms);(mV)\n${rows((i) => `${i},5;${i}0,0`)}`}                   | ${';'}    | ${['Kanal A V']}   | ${1e-3} | ${0.01} | ${'decimal commas, milliseconds, millivolts'}
    ${`Model,Scope\nSample Interval,4e-9\nCH1\n${rows((i) => `${i}`)}`}              | ${','}    | ${['CH1 ']}        | ${4e-9} | ${1}    | ${'no time, but an interval'}
    ${`"Sampling Rate",1e6\nVolts\n${rows((i) => `${i}`)}`.replaceAll('"', '')}      | ${','}    | ${['channel 0 V']} | ${1e-6} | ${1}    | ${'no time, but a rate'}
    ${rows((i) => `${i * 1e-6}\t${i}`)}                                              | ${'\t'}   | ${['channel 1 ']}  | ${1e-6} | ${1}    | ${'no head at all'}
    ${`t,i\n${rows((i) => `${i * 1e-6},${i}`)}\nend of record,`}                     | ${','}    | ${['i ']}          | ${1e-6} | ${1}    | ${'a remark behind the data'}
  `('$why', ({ text, separator, channels, seconds, first }) => {
    const result = read(text, separator);
    if (!result.ok) throw new Error(waveProblemText(result.problem));
    const { wave } = result;
    expect(wave.channels.map(({ name, unit }) => `${name} ${unit}`)).toEqual(channels);
    expect((wave.time[1] ?? 0) - (wave.time[0] ?? 0)).toBeCloseTo(seconds, 12);
    expect(wave.channels[0]?.values[1]).toBeCloseTo(first, 9);
    expect(wave.time).toHaveLength(20);
  });

  test.each`
    text                                       | message
    ${''}                                      | ${'numbers'}
    ${'a,b\nc,d'}                              | ${'None of the first'}
    ${'t,v\n1,2\n2,3'}                         | ${'2 points'}
    ${`volts\n${rows((i) => `${i}`)}`}         | ${'no sample interval'}
    ${`t,v\n${rows((i) => `${20 - i},${i}`)}`} | ${'Time goes back at row 3'}
  `('is refused: $message', ({ text, message }) => {
    const result = read(text as string);
    expect(result.ok ? '' : waveProblemText(result.problem)).toContain(message);
  });
});

test('reduced for the eye no spike is lost, and time goes on', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 50, maxLength: 2000 }), (list) => {
      const stretch = { time: Float64Array.from(list, (_, index) => index), values: Float64Array.from(list) };
      const points = reduceWave(stretch, 40);
      expect(points.length).toBeLessThanOrEqual(Math.max(80, 2 * 40));
      expect(Math.max(...points.map(({ v }) => v))).toBe(Math.max(...list));
      expect(Math.min(...points.map(({ v }) => v))).toBe(Math.min(...list));
      expect(points.every(({ t }, index) => index === 0 || t > (points[index - 1]?.t ?? 0))).toBe(true);
    }),
    { seed: 12, numRuns: 100 },
  );
});

test('a stretch holds what lies between its ends', () => {
  const wave = makeWave('ramp', { points: 100, noise: 0, gaussian: () => 0 });
  const part = stretchOf(wave, 0, wave.time[10], wave.time[20]);
  expect([part.time[0], part.time.length]).toEqual([wave.time[10], 11]);
  expect(stretchOf(wave, 0).values).toHaveLength(100);
});

// Closed forms without noise: the jump is I·ESR at one moment, whatever runs away behind it.
test.each([
  [2, 0.038, 680e-6],
  [2, 0.005, 680e-6],
  [1, 0.2, 22e-6],
  [5, 0.01, 100e-6],
  [0.5, 1.5, 10e-6],
])('a clean step of %f A shows %f Ω and %f F', (amperes, ohms, farads) => {
  for (const [points, share] of [
    [4000, 0.3],
    [1000, 0.55],
    [20000, 0.17],
  ] as const) {
    const time = Float64Array.from({ length: points }, (_, index) => (index * 200e-6) / points);
    const at = share * 200e-6;
    const values = time.map((t) => (t < at ? 0 : -amperes * ohms - (amperes * (t - at)) / farads));
    const step = found(analyseStep({ time, values }, amperes));
    expect(Math.abs(step.esr - ohms)).toBeLessThan(step.esrUncertainty * 1.01 + 0.003 * ohms);
    // Half a sample, while I/C runs away.
    near(step.esrUncertainty, 200e-6 / points / 2 / farads, 0.02);
    near(step.capacitance, farads, 0.01);
  }
});

// V = A·e^(−t/τ) + B: a rest above zero is no second time constant.
test.each([
  [300, 0.2, 40],
  [12, 0.05, 1.2],
  [300, 0.2, 0],
])('a discharge from %f V with %f s that rests at %f V', (start, tau, rests) => {
  const gaussian = gaussianFrom(3);
  const time = Float64Array.from({ length: 3000 }, (_, index) => index * 0.0004);
  const values = time.map((t) => (start - rests) * Math.exp(-t / tau) + rests + 0.002 * start * gaussian());
  const discharge = found(analyseDischarge({ time, values }));
  near(discharge.tau, tau, 0.03);
  expect(discharge.rests ?? 0).toBeGreaterThan(rests - 0.01 * start);
  expect(discharge.rests ?? 0).toBeLessThan(rests + 0.01 * start);
});

// A sine let through from an angle on; nothing cut is no angle.
test.each([0, 20, 45, 70, 90, 110, 135, 160])('a dimmer at %f°', (angle) => {
  const time = Float64Array.from({ length: 6000 }, (_, index) => index * 1e-5);
  const values = time.map((t) => ((t * 100) % 1 < angle / 180 ? 0 : 325 * Math.sin(2 * Math.PI * 50 * t)));
  expect(Math.abs(found(analyseChopping({ time, values })).angle - angle)).toBeLessThan(1.5);
});
