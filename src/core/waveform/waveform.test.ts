import fc from 'fast-check';
import FFT from 'fft.js';
import {
  analyseChopping,
  analyseDischarge,
  analyseRamp,
  analyseRing,
  analyseRipple,
  analyseStep,
  makeWave,
  MADE_WAVES,
  parasiticsOf,
  reduceWave,
  stretchOf,
  WaveReader,
  waveProblemText,
  type MadeWave,
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
  if (result.kind === 'failure') throw new Error((result as unknown as { says: string }).says);
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
    expect(Math.abs(ring.frequency - 64974)).toBeLessThan(6 * ring.frequencyDoubt + 60);
  });

  test('a discharge: time constant', () => {
    const discharge = found(analyseDischarge(made('discharge', noise)));
    near(discharge.tau, 0.33, 0.03);
    near(discharge.start, 325, 0.04);
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
    chopping: () => analyseChopping(flat),
  }[name]();
  expect(result).toMatchObject({ kind: 'failure', says: expect.stringMatching(/\.$/) });
});

describe('CSV of oscilloscopes', () => {
  const read = (text: string, separator = ',') => {
    const reader = new WaveReader();
    reader.push(text.split('\n').map((line) => line.split(separator)));
    return reader.end();
  };
  const rows = (line: (index: number) => string) => Array.from({ length: 20 }, (_, index) => line(index)).join('\n');
  test.each`
    text                                                                           | separator | channels           | seconds | first   | why
    ${`Time (s),CH1 (V)\n${rows((i) => `${i * 1e-6},${i}`)}`}                      | ${','}    | ${['CH1 V']}       | ${1e-6} | ${1}    | ${'names with units'}
    ${`x-axis,1,2\nsecond,Volt,Volt\n${rows((i) => `${i * 1e-6},${i},${2 * i}`)}`} | ${','}    | ${['1 V', '2 V']}  | ${1e-6} | ${1}    | ${'units in a row of their own, two channels'}
    ${`Time;Kanal A\n(ms);(mV)\n${rows((i) => `${i},5;${i}0,0`)}`}                 | ${';'}    | ${['Kanal A V']}   | ${1e-3} | ${0.01} | ${'decimal commas, milliseconds, millivolts'}
    ${`Model,Scope\nSample Interval,4e-9\nCH1\n${rows((i) => `${i}`)}`}            | ${','}    | ${['CH1 ']}        | ${4e-9} | ${1}    | ${'no time, but an interval'}
    ${`"Sampling Rate",1e6\nVolts\n${rows((i) => `${i}`)}`.replaceAll('"', '')}    | ${','}    | ${['channel 0 V']} | ${1e-6} | ${1}    | ${'no time, but a rate'}
    ${rows((i) => `${i * 1e-6}\t${i}`)}                                            | ${'\t'}   | ${['channel 1 ']}  | ${1e-6} | ${1}    | ${'no head at all'}
    ${`t,i\n${rows((i) => `${i * 1e-6},${i}`)}\nend of record,`}                   | ${','}    | ${['i ']}          | ${1e-6} | ${1}    | ${'a remark behind the data'}
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
    text                                       | says
    ${''}                                      | ${'numbers'}
    ${'a,b\nc,d'}                              | ${'None of the first'}
    ${'t,v\n1,2\n2,3'}                         | ${'2 points'}
    ${`volts\n${rows((i) => `${i}`)}`}         | ${'no sample interval'}
    ${`t,v\n${rows((i) => `${20 - i},${i}`)}`} | ${'Time goes back at row 3'}
  `('is refused: $says', ({ text, says }) => {
    const result = read(text as string);
    expect(result.ok ? '' : waveProblemText(result.problem)).toContain(says);
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
