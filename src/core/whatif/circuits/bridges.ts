import {
  bridge,
  choke,
  controller,
  diode,
  electrolytic,
  film,
  load,
  mosfet,
  resistor,
  supply,
  transformer,
  type PowerPart,
} from '../part';
import type { Drive, PowerCircuit, Trace, Values } from '../powerCircuit';
import { feed } from './isolated';
import {
  capacitance,
  current,
  dead,
  esr,
  frequency,
  inductance,
  input,
  leakage,
  loadOhms,
  other,
  value,
} from './knobs';

/** Parts of common ratings; values from memory. */
const SWITCH = { ohms: 0.3, farads: 150e-12, damping: 20, volts: 500, amperes: 14, watts: 6 } as const;

/** Two sets of switches that take turns, each on for a share of the period; at most half of it less the dead time. */
function turns(of: {
  readonly first: readonly string[];
  readonly second: readonly string[];
  readonly guess: (values: Values) => number;
  readonly amperes: number;
}): Drive {
  return {
    kind: 'duty',
    least: 0.005,
    most: 0.5,
    guess: of.guess,
    period: (values) => 1 / value(values, 'frequency'),
    gates: ({ period, control, dead: pause }) => {
      const width = Math.min(control * period, period / 2 - pause);
      return Object.fromEntries([
        ...of.first.map((ref) => [ref, { delay: 0, width }] as const),
        ...of.second.map((ref) => [ref, { delay: period / 2, width }] as const),
      ]);
    },
    limit: { ref: of.first[0]!, amperes: of.amperes },
  };
}

const cans = (v: Values, volts: number, rms: number): readonly PowerPart[] => [
  electrolytic('C21', 'out', 's0', { farads: value(v, 'capacitance'), ohms: value(v, 'esr'), volts, rms }),
];

/** Across each half of a secondary, as common practice has it. @param first of the two capacitors; the second is the next */
const snubbers = (first: string, ohms: number, farads: number, volts: number): readonly PowerPart[] => {
  const second = `C${Number(first.slice(1)) + 1}`;
  return [
    resistor('R2', 's1', 'n1s', ohms, 3),
    film(first, 'n1s', 's0', { farads, ohms: 0, volts, rms: 1 }),
    resistor('R3', 's2', 'n2s', ohms, 3),
    film(second, 'n2s', 's0', { farads, ohms: 0, volts, rms: 1 }),
  ];
};

const TRACES: readonly Trace[] = [
  { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
  { label: 'Q1', unit: 'A', of: { amperes: 'Q1' } },
  { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

const PUSH_OUT = 24;
const PUSH_TURNS = 2.563;

const pushPull: PowerCircuit = {
  id: 'push-pull',
  name: 'Push-pull',
  message: 'two switches to ground take turns on a tapped primary',
  holds: PUSH_OUT,
  knobs: [
    input([10, 12, 15]),
    current([0.1, 5, 8]),
    frequency([20e3, 50e3, 150e3]),
    inductance([10e-6, 47e-6, 470e-6], 'L1'),
    leakage([20e-9, 60e-9, 400e-9], 'T1'),
    capacitance([100e-6, 1000e-6, 4700e-6], 'C21'),
    esr([5e-3, 20e-3, 0.5], 'C21'),
    dead([100e-9, 500e-9, 1e-6]),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), { ohms: 0.005, henries: 0.3e-6 }),
    electrolytic('C1', 'in', '0', { farads: 2200e-6, ohms: 0.015, volts: 25, rms: 7 }),
    transformer(
      'T1',
      [
        { nets: ['in', 'd1'], turns: 1, ohms: 0.003 },
        { nets: ['d2', 'in'], turns: 1, ohms: 0.003 },
        { nets: ['s1', 's0'], turns: PUSH_TURNS, ohms: 0.02 },
        { nets: ['s0', 's2'], turns: PUSH_TURNS, ohms: 0.02 },
      ],
      { henries: 120e-6, leakage: value(v, 'leakage'), saturates: 2.5 },
    ),
    mosfet('Q1', { gate: 'g1', drain: 'd1', source: '0' }, { ...PUSH_SWITCH }),
    mosfet('Q2', { gate: 'g2', drain: 'd2', source: '0' }, { ...PUSH_SWITCH }),
    resistor('R1', 'd1', 'n1', 10, 3),
    film('C2', 'n1', 'd2', { farads: 4.7e-9, ohms: 0, volts: 100, rms: 2 }),
    controller('U1', { VCC: 'in', OUTA: 'g1', OUTB: 'g2', GND: '0' }),
    diode('D1', 's1', 'k', { drop: 0.7, ohms: 0.01, volts: 150, mean: 8 }),
    diode('D2', 's2', 'k', { drop: 0.7, ohms: 0.01, volts: 150, mean: 8 }),
    ...snubbers('C3', 100, 330e-12, 400),
    choke('L1', 'k', 'out', { henries: value(v, 'inductance'), ohms: 0.01, saturates: 10 }),
    ...cans(v, 35, 2.5),
    load('J2', 'out', 's0', loadOhms(v, PUSH_OUT)),
  ],
  drive: turns({
    first: ['Q1'],
    second: ['Q2'],
    guess: (v) => (PUSH_OUT + 1) / (2 * PUSH_TURNS * value(v, 'input')),
    amperes: 25,
  }),
  output: ['out', 's0'],
  roles: {
    switches: ['Q1', 'Q2'],
    rectifiers: ['D1', 'D2'],
    store: 'L1',
    outputCapacitors: ['C21'],
    load: 'J2',
    clamp: 'R1',
  },
  traces: TRACES,
};

const PUSH_SWITCH = { ohms: 0.008, farads: 1e-9, damping: 1, volts: 100, amperes: 50, watts: 4 } as const;

const HALF_OUT = 12;
const HALF_TURNS = 1 / 8.33;

const tapped = (
  v: Values,
  primary: readonly [string, string],
  ratio: number,
  core: { henries: number; saturates: number },
) =>
  transformer(
    'T1',
    [
      { nets: primary, turns: 1, ohms: 0.08 },
      { nets: ['s1', 's0'], turns: ratio, ohms: 0.002 },
      { nets: ['s0', 's2'], turns: ratio, ohms: 0.002 },
    ],
    { ...core, leakage: value(v, 'leakage') },
  );

const halfBridge: PowerCircuit = {
  id: 'half-bridge',
  name: 'Half bridge',
  message: 'two switches in series take turns; the primary hangs between them and the middle of two capacitors',
  holds: HALF_OUT,
  knobs: [
    input([260, 300, 375]),
    current([0.5, 20, 30]),
    frequency([25e3, 50e3, 120e3]),
    inductance([1e-6, 4.7e-6, 47e-6], 'L1'),
    leakage([1e-6, 5e-6, 40e-6], 'T1'),
    capacitance([470e-6, 4700e-6, 22e-3], 'C21'),
    esr([3e-3, 10e-3, 0.3], 'C21'),
    dead([200e-9, 1e-6, 3e-6]),
  ],
  parts: (v) => [
    ...feed(value(v, 'input'), 2.5).filter(({ ref }) => ref !== 'C3'),
    electrolytic('C1', 'in', 'm', { ...HALF_CAN, start: value(v, 'input') / 2 }),
    electrolytic('C2', 'm', '0', { ...HALF_CAN, start: value(v, 'input') / 2 }),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, SWITCH),
    mosfet('Q2', { gate: 'g2', drain: 'x', source: '0' }, SWITCH),
    tapped(v, ['x', 'm'], HALF_TURNS, { henries: 3e-3, saturates: 0.8 }),
    controller('U1', { VCC: 'in', HO: 'g1', LO: 'g2', GND: '0' }),
    diode('D1', 's1', 'k', HALF_DIODE),
    diode('D2', 's2', 'k', HALF_DIODE),
    ...snubbers('C4', 22, 2.2e-9, 250),
    choke('L1', 'k', 'out', { henries: value(v, 'inductance'), ohms: 0.001, saturates: 35 }),
    ...cans(v, 16, 4),
    load('J2', 'out', 's0', loadOhms(v, HALF_OUT)),
  ],
  drive: turns({
    first: ['Q1'],
    second: ['Q2'],
    guess: (v) => (HALF_OUT + 0.8) / (HALF_TURNS * value(v, 'input')),
    amperes: 6,
  }),
  output: ['out', 's0'],
  roles: { switches: ['Q1', 'Q2'], rectifiers: ['D1', 'D2'], store: 'L1', outputCapacitors: ['C21'], load: 'J2' },
  traces: TRACES,
};

const HALF_CAN = { farads: 220e-6, ohms: 0.15, volts: 200, rms: 2 } as const;
const HALF_DIODE = { drop: 0.5, ohms: 0.004, volts: 100, mean: 20, subtype: 'schottky' } as const;

const FULL_OUT = 48;
const FULL_TURNS = 1 / 6.204;

const fullBridge: PowerCircuit = {
  id: 'full-bridge',
  name: 'Full bridge',
  message: 'four switches; diagonal pairs take turns and give the primary the whole input',
  holds: FULL_OUT,
  knobs: [
    input([350, 380, 410]),
    current([0.5, 20, 25]),
    frequency([50e3, 100e3, 200e3]),
    inductance([3e-6, 10e-6, 100e-6], 'L1'),
    leakage([0.5e-6, 2e-6, 15e-6], 'T1'),
    capacitance([100e-6, 1000e-6, 4700e-6], 'C21'),
    esr([3e-3, 15e-3, 0.3], 'C21'),
    dead([100e-9, 300e-9, 800e-9]),
  ],
  parts: (v) => [
    ...feed(value(v, 'input'), 6, 2.4),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, FULL_SWITCH),
    mosfet('Q2', { gate: 'g2', drain: 'x', source: '0' }, FULL_SWITCH),
    mosfet('Q3', { gate: 'g3', drain: 'in', source: 'y' }, FULL_SWITCH),
    mosfet('Q4', { gate: 'g4', drain: 'y', source: '0' }, FULL_SWITCH),
    transformer(
      'T1',
      [
        { nets: ['x', 'y'], turns: 1, ohms: 0.05 },
        { nets: ['s1', 's2'], turns: FULL_TURNS, ohms: 0.003 },
      ],
      { henries: 2e-3, leakage: value(v, 'leakage'), saturates: 1.2 },
    ),
    controller('U1', { VCC: 'in', OUTA: 'g1', OUTB: 'g2', OUTC: 'g3', OUTD: 'g4', GND: '0' }),
    bridge('BR2', { a: 's1', b: 's2', plus: 'k', minus: 's0' }, { drop: 0.5, ohms: 0.005, volts: 200, mean: 20 }),
    ...snubbers('C4', 22, 1e-9, 630),
    choke('L1', 'k', 'out', { henries: value(v, 'inductance'), ohms: 0.002, saturates: 35 }),
    ...cans(v, 63, 4),
    load('J2', 'out', 's0', loadOhms(v, FULL_OUT)),
  ],
  drive: turns({
    first: ['Q1', 'Q4'],
    second: ['Q2', 'Q3'],
    guess: (v) => (FULL_OUT + 1.4) / (2 * FULL_TURNS * value(v, 'input')),
    amperes: 6,
  }),
  output: ['out', 's0'],
  roles: {
    switches: ['Q1', 'Q2', 'Q3', 'Q4'],
    rectifiers: ['BR2'],
    store: 'L1',
    outputCapacitors: ['C21'],
    load: 'J2',
  },
  traces: TRACES,
};

const FULL_SWITCH = { ...SWITCH, ohms: 0.15, farads: 250e-12, volts: 600, amperes: 20, watts: 10 } as const;

const LLC_OUT = 24;
/** Resonant capacitor, and turns that give the output at the resonance. */
const RESONANT = 25.3e-9;
const LLC_TURNS = 1 / 7.959;

const llc: PowerCircuit = {
  id: 'llc',
  name: 'LLC',
  message: 'a half bridge drives a resonant circuit; the frequency holds the output',
  holds: LLC_OUT,
  knobs: [
    input([340, 390, 420]),
    current([0.1, 10, 12]),
    inductance([60e-6, 100e-6, 150e-6], 'L1', 'resonant L'),
    other('magnetising', 'magnetising L', 'henry', [300e-6, 500e-6, 1.2e-3]),
    other('resonant', 'resonant C', 'farad', [15e-9, RESONANT, 47e-9]),
    capacitance([220e-6, 2200e-6, 10e-3], 'C21'),
    esr([2e-3, 6e-3, 0.3], 'C21'),
    dead([50e-9, 250e-9, 600e-9]),
  ],
  parts: (v) => [
    ...feed(value(v, 'input'), 2, 1.4),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, SWITCH),
    mosfet('Q2', { gate: 'g2', drain: 'x', source: '0' }, SWITCH),
    choke('L1', 'x', 'a', { henries: value(v, 'inductance'), ohms: 0.05, saturates: 5 }),
    transformer(
      'T1',
      [
        { nets: ['a', 'b'], turns: 1, ohms: 0.08 },
        { nets: ['s1', 's0'], turns: LLC_TURNS, ohms: 0.002 },
        { nets: ['s0', 's2'], turns: LLC_TURNS, ohms: 0.002 },
      ],
      { henries: value(v, 'magnetising'), leakage: 0.001 * value(v, 'magnetising'), saturates: 2.5 },
    ),
    film('C1', 'b', '0', {
      farads: value(v, 'resonant'),
      ohms: 0.02,
      volts: 630,
      rms: 3,
      start: value(v, 'input') / 2,
    }),
    controller('U1', { VCC: 'in', HO: 'g1', LO: 'g2', GND: '0' }),
    diode('D1', 's1', 'out', LLC_DIODE),
    diode('D2', 's2', 'out', LLC_DIODE),
    ...snubbers('C4', 47, 220e-12, 250),
    ...cans(v, 35, 6),
    load('J2', 'out', 's0', loadOhms(v, LLC_OUT)),
  ],
  drive: {
    kind: 'frequency',
    least: 55e3,
    most: 300e3,
    guess: (v) => 1 / (2 * Math.PI * Math.sqrt(value(v, 'inductance') * value(v, 'resonant'))),
    gates: ({ period, dead: pause }) => ({
      Q1: { delay: 0, width: period / 2 - pause },
      Q2: { delay: period / 2, width: period / 2 - pause },
    }),
    limit: { ref: 'L1', amperes: 5 },
  },
  output: ['out', 's0'],
  roles: { switches: ['Q1', 'Q2'], rectifiers: ['D1', 'D2'], store: 'L1', outputCapacitors: ['C21'], load: 'J2' },
  traces: [
    { label: 'Q2, drain', unit: 'V', of: { volts: 'Q2' } },
    { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
    { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
    { label: 'output ripple', unit: 'V', of: 'ripple' },
  ],
};

const LLC_DIODE = { drop: 0.45, ohms: 0.005, volts: 60, mean: 10, subtype: 'schottky' } as const;

/** Circuits whose transformer is driven from both sides. */
export const BRIDGES: readonly PowerCircuit[] = [pushPull, halfBridge, fullBridge, llc];
