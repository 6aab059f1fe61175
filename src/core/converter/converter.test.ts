import fc from 'fast-check';
import { readDeck, steadyState } from '../circuit';
import { convert, TOPOLOGIES, type Conversion, type Task } from '.';

function conversion(task: Task): Conversion {
  const came = convert(task);
  if ('wrong' in came) throw new Error(came.wrong);
  return came;
}

const k = 1e3;
const u = 1e-6;

// Worked examples F6-1 to F6-12, derived from Erickson & Maksimovic, chapters 2, 5 and 6 (from memory). The switches of
// F6-11 are given there for the flat top alone (1.42 A); with the ripple of the choke it is 1.429 A.
test.each<[string, Task, Partial<Record<keyof Conversion, number | string>>]>([
  [
    'F6-1 buck',
    {
      topology: 'buck',
      input: 12,
      output: 5,
      current: 3,
      frequency: 100 * k,
      inductance: 33 * u,
      outputCapacitance: 220 * u,
      outputEsr: 0.05,
    },
    {
      duty: 0.4167,
      ripple: 0.884,
      peak: 3.442,
      switchRms: 1.943,
      rectifierMean: 1.75,
      rectifierRms: 2.3,
      rms: 3.011,
      inputCapacitorRms: 1.488,
      outputCapacitorRms: 0.255,
      chargeRipple: 5.0e-3,
      esrRipple: 44.2e-3,
      boundary: 0.442,
    },
  ],
  [
    'F6-1 buck that runs empty',
    { topology: 'buck', input: 12, output: 5, current: 0.1, frequency: 100 * k, inductance: 33 * u },
    { mode: 'discontinuous', duty: 0.198, fall: 0.277, peak: 0.42 },
  ],
  [
    'F6-1 buck with drops',
    {
      topology: 'buck',
      input: 12,
      output: 5,
      current: 3,
      frequency: 100 * k,
      inductance: 33 * u,
      rectifierDrop: 0.5,
      switchDrop: 0.3,
    },
    { duty: 0.451 },
  ],
  [
    'F6-2 boost',
    {
      topology: 'boost',
      input: 12,
      output: 24,
      current: 1,
      frequency: 100 * k,
      inductance: 47 * u,
      outputCapacitance: 100 * u,
      outputEsr: 0.05,
    },
    {
      duty: 0.5,
      mean: 2,
      ripple: 1.277,
      peak: 2.638,
      switchRms: 1.438,
      rectifierRms: 1.438,
      outputCapacitorRms: 1.033,
      chargeRipple: 50e-3,
      esrRipple: 132e-3,
      rightZero: 20.3 * k,
      boundary: 0.319,
    },
  ],
  [
    'F6-2 boost that runs empty',
    { topology: 'boost', input: 12, output: 24, current: 0.05, frequency: 100 * k, inductance: 47 * u },
    { mode: 'discontinuous', duty: 0.198, peak: 0.505 },
  ],
  [
    'F6-3 inverting',
    { topology: 'inverting', input: 12, output: 12, current: 1, frequency: 100 * k, inductance: 47 * u },
    {
      duty: 0.5,
      mean: 2,
      ripple: 1.277,
      peak: 2.638,
      switchVolts: 24,
      switchRms: 1.438,
      inputCapacitorRms: 1.033,
      outputCapacitorRms: 1.033,
      rightZero: 20.3 * k,
    },
  ],
  [
    'F6-3 inverting that runs empty',
    { topology: 'inverting', input: 12, output: 12, current: 0.1, frequency: 100 * k, inductance: 47 * u },
    { mode: 'discontinuous', duty: 0.28 },
  ],
  [
    'F6-4 SEPIC',
    { topology: 'sepic', input: 9, output: 12, current: 1, frequency: 100 * k, inductance: 47 * u },
    {
      duty: 0.5714,
      mean: 1.333,
      ripple: 1.094,
      switchPeak: 3.428,
      switchVolts: 21,
      switchRms: 1.827,
      linkRms: 1.197,
      outputCapacitorRms: 1.227,
    },
  ],
  [
    'F6-5 Ćuk',
    { topology: 'cuk', input: 12, output: 5, current: 2, frequency: 100 * k, inductance: 47 * u },
    {
      duty: 0.2941,
      mean: 0.833,
      ripple: 0.751,
      linkVolts: 17,
      switchPeak: 3.584,
      switchRms: 1.554,
      outputCapacitorRms: 0.217,
    },
  ],
  [
    'F6-6 flyback that runs empty',
    {
      topology: 'flyback',
      input: 120,
      output: 12,
      current: 2,
      frequency: 65 * k,
      inductance: 400 * u,
      turns: 8,
      rectifierDrop: 0.5,
      efficiency: 0.85,
    },
    {
      mode: 'discontinuous',
      peak: 1.474,
      duty: 0.319,
      fall: 0.383,
      rms: 0.481,
      rectifierPeak: 11.79,
      rectifierRms: 4.214,
      outputCapacitorRms: 3.56,
    },
  ],
  [
    'F6-7 flyback',
    {
      topology: 'flyback',
      input: 120,
      output: 12,
      current: 2,
      frequency: 65 * k,
      inductance: 1200 * u,
      turns: 8,
      rectifierDrop: 0.5,
      efficiency: 0.85,
    },
    {
      mode: 'continuous',
      duty: 0.4545,
      mean: 0.518,
      ripple: 0.699,
      peak: 0.867,
      rms: 0.375,
      rightZero: 33.3 * k,
      rectifierPeak: 6.94,
      rectifierRms: 3.28,
      rectifierMean: 2.26,
      outputCapacitorRms: 2.38,
    },
  ],
  [
    'F6-8 forward',
    {
      topology: 'forward',
      input: 300,
      output: 12,
      current: 10,
      frequency: 100 * k,
      inductance: 22 * u,
      turns: 10,
      rectifierDrop: 0.6,
    },
    {
      duty: 0.42,
      ripple: 3.32,
      peak: 11.66,
      switchPeak: 1.166,
      switchRms: 0.651,
      rectifierMean: 5.8,
      rectifierVolts: 30,
      switchVolts: 600,
    },
  ],
  [
    'F6-9 two-switch forward',
    {
      topology: 'two-switch-forward',
      input: 375,
      output: 12,
      current: 10,
      frequency: 100 * k,
      inductance: 22 * u,
      turns: 10,
      rectifierDrop: 0.6,
    },
    { switchVolts: 375, rectifierVolts: 37.5 },
  ],
  [
    'F6-10 push-pull',
    {
      topology: 'push-pull',
      input: 12,
      output: 24,
      current: 5,
      frequency: 50 * k,
      inductance: 47 * u,
      turns: 1 / 2.5625,
      rectifierDrop: 0.6,
    },
    {
      duty: 0.4,
      ripple: 1.05,
      switchPeak: 14.2,
      switchRms: 8.1,
      switchVolts: 24,
      rectifierVolts: 61.5,
      rectifierMean: 2.5,
      rectifierRms: 3.354,
    },
  ],
  [
    'F6-11 half bridge',
    {
      topology: 'half-bridge',
      input: 300,
      output: 12,
      current: 20,
      frequency: 50 * k,
      inductance: 4.7 * u,
      turns: 1 / 0.12,
      rectifierDrop: 0.6,
    },
    { duty: 0.35, ripple: 8.04, switchPeak: 2.88, switchRms: 1.429, rms: 2.01, rectifierVolts: 36 },
  ],
  [
    'F6-12 full bridge',
    {
      topology: 'full-bridge',
      input: 380,
      output: 48,
      current: 20,
      frequency: 100 * k,
      inductance: 10 * u,
      turns: 6.204,
      rectifierDrop: 1,
    },
    { duty: 0.4, ripple: 4.9, switchPeak: 3.62, switchRms: 2.04, rms: 2.88, rectifierVolts: 122.5 },
  ],
])('%s', (_, task, wanted) => {
  const came = conversion(task);
  for (const [name, value] of Object.entries(wanted)) {
    const got = came[name as keyof Conversion];
    if (typeof value === 'string') expect(got).toBe(value);
    else expect([name, Math.abs(Number(got) / value - 1) < 0.006 || got]).toEqual([name, true]);
  }
});

describe('laws', () => {
  const between = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
  const task = fc.record({
    topology: fc.constantFrom(...TOPOLOGIES),
    input: between(5, 400),
    output: between(3, 60),
    current: between(0.05, 20),
    frequency: between(30e3, 300e3),
    inductance: between(5e-6, 2e-3),
    turns: between(0.2, 20),
  });

  test('at the boundary both modes say the same', () => {
    fc.assert(
      fc.property(task, (one) => {
        const first = convert(one);
        if ('wrong' in first) return;
        const [above, below] = [1.000001, 0.999999].map((factor) =>
          convert({ ...one, current: first.boundary * factor }),
        );
        if (!above || !below || 'wrong' in above || 'wrong' in below) throw new Error('no conversion at the boundary');
        for (const name of ['duty', 'peak', 'switchRms', 'rectifierRms', 'outputCapacitorRms'] as const)
          expect(Math.abs(above[name] / below[name] - 1)).toBeLessThan(2e-3);
      }),
      { seed: 22 },
    );
  });

  test('what goes in comes out: nothing is lost but in the drop of the rectifier', () => {
    fc.assert(
      fc.property(task, (one) => {
        const came = convert(one);
        if ('wrong' in came) return;
        const { topology, input, output, current } = one;
        // What is drawn flows through the switch of some, through the choke at the input of the others.
        const atSwitch = ['buck', 'inverting', 'flyback'].includes(topology);
        if (!atSwitch && !['boost', 'sepic', 'cuk'].includes(topology)) return;
        const onSwitch = came.mode === 'continuous' ? came.mean * came.duty : 0.5 * came.peak * came.duty;
        const taken = (atSwitch ? onSwitch : came.mean) * input;
        expect(Math.abs(taken / (output * current) - 1)).toBeLessThan(1e-9);
      }),
      { seed: 24 },
    );
  });

  test('a larger choke ripples less, and no rms is above its peak', () => {
    fc.assert(
      fc.property(task, between(1.1, 4), (one, factor) => {
        const [small, large] = [convert(one), convert({ ...one, inductance: one.inductance * factor })];
        if ('wrong' in small || 'wrong' in large) return;
        expect(large.peak).toBeLessThanOrEqual(small.peak * (1 + 1e-9));
        expect(small.switchRms).toBeLessThanOrEqual(small.switchPeak * (1 + 1e-9));
        expect(small.rectifierRms).toBeLessThanOrEqual(small.rectifierPeak * (1 + 1e-9));
      }),
      { seed: 23 },
    );
  });
});

// The sums against the simulator, with parts that are all but ideal: within 3 %.
const CELLS: Partial<Record<Task['topology'], (L: number) => string>> = {
  buck: (L) => `S1 in sw g 0 SWM\nD1 0 sw DI\nL1 sw out ${L}`,
  boost: (L) => `L1 in sw ${L}\nS1 sw 0 g 0 SWM\nD1 sw out DI`,
  inverting: (L) => `S1 in sw g 0 SWM\nL1 sw 0 ${L}\nD1 out sw DI`,
  sepic: (L) => `L1 in sw ${L}\nS1 sw 0 g 0 SWM\nCS sw x 100u ic=12\nL2 0 x ${L}\nD1 x out DI`,
  cuk: (L) => `L1 in sw ${L}\nS1 sw 0 g 0 SWM\nCS sw x 100u ic=17\nD1 x 0 DI\nL2 x out ${L}`,
  flyback: (L) => `L1 in sw ${L}\nS1 sw 0 g 0 SWM\nL2 0 s ${L / 9}\nK1 L1 L2 0.999999\nD1 s out DI`,
};

/** Runs a deck to its steady state: whether a measure over one period lies within 3 % of a value. */
function apartIn(text: string): (name: string, value: number) => readonly unknown[] {
  const read = readDeck(text);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const came = steadyState(read.deck, { period: 1e-5 });
  if ('kind' in came) throw new Error(JSON.stringify(came));
  return (name, value) => {
    const got = Math.abs(came.measures[`${name} last 1 periods`]?.value ?? NaN);
    return [name, Math.abs(got / value - 1) < 0.03 || [got, value]];
  };
}

describe('the simulator agrees', () => {
  test.each([
    ['buck', 12, 5, 3],
    ['buck', 12, 5, 0.1],
    ['boost', 12, 24, 1],
    ['boost', 12, 24, 0.05],
    ['inverting', 12, 12, 1],
    ['inverting', 12, 12, 0.1],
    ['sepic', 9, 12, 1],
    ['cuk', 12, 5, 2],
    ['flyback', 48, 12, 2],
    ['flyback', 48, 12, 0.2],
  ] as const)('%s, %d V to %d V at %d A', (topology, input, output, current) => {
    const [frequency, inductance] = [100e3, 47e-6];
    const turns = topology === 'flyback' ? 3 : 1;
    const want = conversion({ topology, input, output, current, frequency, inductance, turns, rectifierDrop: 0.01 });
    const sign = topology === 'inverting' || topology === 'cuk' ? -1 : 1;
    const text = [
      't',
      '* pwl: vf=0.01 ron=0.001',
      '* period: 10u',
      ...['max i(S1)', 'rms i(S1)', 'rms i(D1)', 'avg v(out)', 'max v(sw)'].map(
        (name) => `* measure: ${name} last 1 periods`,
      ),
      `Vin in 0 ${input}`,
      `Vg g 0 PULSE(0 1 0 1n 1n ${want.duty * 1e-5 - 1e-9} 10u)`,
      CELLS[topology]?.(inductance),
      `C1 out 0 1m ic=${sign * output}\nR1 out 0 ${output / current}`,
      '.model SWM SW(Ron=1m Roff=10Meg Vt=0.5 Vh=0)\n.model DI D(is=1e-12 n=0.05 rs=0.001)\n.tran 1u 10m uic\n.end',
    ].join('\n');
    const apart = apartIn(text);
    expect(apart('avg v(out)', output)).toEqual(['avg v(out)', true]);
    expect(apart('max i(S1)', want.switchPeak)).toEqual(['max i(S1)', true]);
    expect(apart('rms i(S1)', want.switchRms)).toEqual(['rms i(S1)', true]);
    expect(apart('rms i(D1)', want.rectifierRms)).toEqual(['rms i(D1)', true]);
  });

  // Ideal windings on one core of 10 mH, body diodes at the switches, one rectifier drop of 10 mV.
  const BEHIND = 'D1 s1 x DI\nD2 s2 x DI\nL9 x out 22u';
  const TAPPED = (turns: number) => `L2 s1 0 ${1e-2 / turns ** 2}\nL3 0 s2 ${1e-2 / turns ** 2}`;
  test.each([
    [
      'two-switch-forward',
      { input: 300, output: 12, current: 10, turns: 10 },
      `S1 in a g 0 SWM\nS2 b 0 g 0 SWM\nD5 0 a DI\nD6 b in DI\nL1 a b 100m\nL2 s 0 1m\nK1 L1 L2 0.9999999\nD2 s x DI\nD1 0 x DI\nL9 x out 22u`,
    ],
    [
      'half-bridge',
      { input: 300, output: 12, current: 20, turns: 8 },
      `V2 mid 0 150\nS1 in a g 0 SWM\nS2 a 0 h 0 SWM\nD5 a in DI\nD6 0 a DI\nL1 a mid 10m\n${TAPPED(8)}\nK1 L1 L2 0.999999\nK2 L1 L3 0.999999\nK3 L2 L3 0.999999\n${BEHIND}`,
    ],
    [
      'full-bridge',
      { input: 300, output: 24, current: 20, turns: 8 },
      `S1 in a g 0 SWM\nS2 a 0 h 0 SWM\nS3 in b h 0 SWM\nS4 b 0 g 0 SWM\nD5 a in DI\nD6 0 a DI\nD7 b in DI\nD8 0 b DI\nL1 a b 10m\n${TAPPED(8)}\nK1 L1 L2 0.999999\nK2 L1 L3 0.999999\nK3 L2 L3 0.999999\n${BEHIND}`,
    ],
    [
      'push-pull',
      { input: 16, output: 24, current: 5, turns: 0.4 },
      `L1 in p 10m\nL4 q in 10m\nS1 p 0 g 0 SWM\nS2 q 0 h 0 SWM\nD5 0 p DI\nD6 0 q DI\n${TAPPED(0.4)}\nK1 L1 L2 0.999999\nK2 L1 L3 0.999999\nK3 L2 L3 0.999999\nK4 L1 L4 0.999999\nK5 L4 L2 0.999999\nK6 L4 L3 0.999999\n${BEHIND}`,
    ],
  ] as const)('%s', (topology, task, cell) => {
    const want = conversion({ ...task, topology, frequency: 100e3, inductance: 22e-6, rectifierDrop: 0.01 });
    const width = want.duty * 1e-5 - 1e-9;
    const names = ['max i(S1)', 'rms i(S1)', 'rms i(D1)', 'avg v(out)', 'pp i(L9)'];
    const text = [
      't\n* pwl: vf=0.01 ron=0.001\n* period: 10u',
      ...names.map((name) => `* measure: ${name} last 1 periods`),
      `Vin in 0 ${task.input}\nVg g 0 PULSE(0 1 0 1n 1n ${width} 10u)\nVh h 0 PULSE(0 1 5u 1n 1n ${width} 10u)`,
      cell,
      `C1 out 0 1m ic=${task.output}\nR1 out 0 ${task.output / task.current}`,
      '.model SWM SW(Ron=1m Roff=10Meg Vt=0.5 Vh=0)\n.model DI D(is=1e-12 n=0.05 rs=0.001)\n.tran 1u 10m uic\n.end',
    ].join('\n');
    const apart = apartIn(text);
    expect(apart('avg v(out)', task.output)).toEqual(['avg v(out)', true]);
    expect(apart('pp i(L9)', want.ripple)).toEqual(['pp i(L9)', true]);
    expect(apart('max i(S1)', want.switchPeak)).toEqual(['max i(S1)', true]);
    expect(apart('rms i(S1)', want.switchRms)).toEqual(['rms i(S1)', true]);
    expect(apart('rms i(D1)', want.rectifierRms)).toEqual(['rms i(D1)', true]);
  });
});
