import { checkBleedPath, fitDischarge, type TimedReading } from '.';

/** Seeded randomness: the same runs each time. Park and Miller's generator, and Box and Muller's transform. */
function randomness(seed: number) {
  let state = seed;
  const uniform = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const gaussian = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, gaussian };
}

/** What a 6,000-count meter shows: ranges 0.6, 6, 60, 600 V, half a count of noise, rounded to its digit. */
function meterShows(volts: number, gaussian: () => number): Omit<TimedReading, 'time'> {
  const range = [0.6, 6, 60, 600, 1000].find((full) => volts < full) ?? 1000;
  const resolution = range === 1000 ? 1 : range / 6000;
  return { voltage: Math.round(volts / resolution + 0.5 * gaussian()) * resolution, resolution };
}

function run(of: {
  shape: (time: number) => number;
  times: readonly number[];
  /** Seconds by which the hand misses the moment, one standard deviation. */
  hand: number;
  gaussian: () => number;
}): TimedReading[] {
  return of.times.map((time) => ({
    time,
    ...meterShows(of.shape(Math.max(0, time + of.hand * of.gaussian())), of.gaussian),
  }));
}

/** A discharge that someone might watch: start, time constant and pace drawn at random. */
function drawn(random: ReturnType<typeof randomness>) {
  const start = 250 + 120 * random.uniform();
  const tau = 5 * 12 ** random.uniform();
  const count = 5 + Math.floor(8 * random.uniform());
  const span = tau * (0.6 + 1.2 * random.uniform());
  const times = Array.from({ length: count }, (_, index) => Math.round((span * index * 10) / (count - 1)) / 10);
  return { start, tau, times };
}

const RUNS = 2000;

test('over 2,000 runs the 95 % bounds hold in 92 to 98 of 100', () => {
  const random = randomness(2026);
  let fitted = 0;
  let tauHeld = 0;
  let timeHeld = 0;
  for (let index = 0; index < RUNS; index += 1) {
    const { start, tau, times } = drawn(random);
    const shape = (time: number) => start * Math.exp(-time / tau);
    const fit = fitDischarge(run({ shape, times, hand: 0.004 * tau, gaussian: random.gaussian }));
    if (fit.tau === undefined || !fit.timeTo) continue;
    fitted += 1;
    if ((fit.tauLow ?? Infinity) <= tau && tau <= (fit.tauHigh ?? 0)) tauHeld += 1;
    if (fit.timeTo(60).latest >= tau * Math.log(start / 60)) timeHeld += 1;
  }
  expect(fitted / RUNS).toBeGreaterThan(0.97);
  for (const held of [tauHeld, timeHeld]) {
    expect(held / fitted).toBeGreaterThan(0.92);
    expect(held / fitted).toBeLessThan(0.98);
  }
});

test('plain decays are not accused of anything', () => {
  const random = randomness(7);
  const accused: string[] = [];
  for (let index = 0; index < RUNS; index += 1) {
    const { start, tau, times } = drawn(random);
    const shape = (time: number) => start * Math.exp(-time / tau);
    const { warnings } = fitDischarge(run({ shape, times, hand: 0.002 * tau, gaussian: random.gaussian }));
    accused.push(...warnings.map(({ kind }) => kind).filter((kind) => kind !== 'cannot-tell-model'));
  }
  expect(accused.length / RUNS).toBeLessThan(0.01);
});

// Shapes worked out by hand; each with a time constant of 20 s before it goes wrong.
const decay = (time: number) => 320 * Math.exp(-time / 20);
test.each`
  bad                              | message          | shape
  ${'still fed from 24 s on'}      | ${'plateau'}     | ${(t: number) => Math.max(decay(t), decay(24))}
  ${'a load stops at 20 s'}        | ${'two-regimes'} | ${(t: number) => (t < 20 ? decay(t) : decay(20) * Math.exp(-(t - 20) / 70))}
  ${'a bleeder comes on at 20 s'}  | ${'two-regimes'} | ${(t: number) => (t < 20 ? 320 * Math.exp(-t / 90) : 320 * Math.exp(-20 / 90) * Math.exp(-(t - 20) / 12))}
  ${'plugged in again at 30 s'}    | ${'rising'}      | ${(t: number) => (t < 30 ? 320 * Math.exp(-t / 90) : 250 + t)}
  ${'recovers after a short dump'} | ${'rebound'}     | ${(t: number) => (t < 30 ? 320 * Math.exp(-t / 6) : 9)}
`('$bad is recognised as $message, run after run', ({ message, shape }) => {
  const random = randomness(99);
  let recognised = 0;
  for (let index = 0; index < 200; index += 1) {
    const times = Array.from({ length: 10 }, (_, step) => step * 5);
    const { warnings, model } = fitDischarge(run({ shape, times, hand: 0.1, gaussian: random.gaussian }));
    if (warnings.some(({ kind }) => kind === message) && model !== 'exponential') recognised += 1;
  }
  expect(recognised / 200).toBeGreaterThan(0.97);
});

// R = τ/C with 10 MΩ of meter in parallel, worked by hand; 150 µF through 470 kΩ is 67.3 s with the meter on.
test.each`
  tau     | uF     | bleed        | verdict                   | why
  ${67.3} | ${150} | ${470e3}     | ${'as-traced'}            | ${'470 k beside 10 M is 449 k'}
  ${1500} | ${150} | ${470e3}     | ${'bleeder-open'}         | ${'only the meter bleeds'}
  ${1500} | ${150} | ${undefined} | ${'bleeder-open'}         | ${'only the meter bleeds'}
  ${67.3} | ${150} | ${undefined} | ${'no-bleeder-traced'}    | ${'something bleeds'}
  ${42}   | ${150} | ${470e3}     | ${'capacitor-low'}        | ${'94 µF are left'}
  ${135}  | ${150} | ${470e3}     | ${'bleeder-high'}         | ${'twice the resistance'}
  ${5}    | ${150} | ${470e3}     | ${'something-else-loads'} | ${'33 k in all'}
`('$tau s on $uF µF is $verdict ($why)', ({ tau, uF, bleed, verdict }) => {
  expect(checkBleedPath({ tau, capacitance: uF * 1e-6, bleed }).verdict).toBe(verdict);
});

test('the meter is taken out of the resistance', () => {
  // F1-4: 50.04 s on 150 µF is 333.6 kΩ, 345.1 kΩ without the meter.
  expect(checkBleedPath({ tau: 50.04, capacitance: 150e-6 }).resistance).toBeCloseTo(345.1e3, -2);
});
