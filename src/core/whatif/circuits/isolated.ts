import {
  controller,
  diode,
  electrolytic,
  film,
  fuse,
  load,
  choke,
  mosfet,
  resistor,
  supply,
  transformer,
  type PowerPart,
} from '../part';
import type { Drive, PowerCircuit, Trace, Values } from '../powerCircuit';
import { capacitance, current, dead, esr, frequency, inductance, input, leakage, loadOhms, value } from './knobs';

/** From the bridge to the bulk capacitor; common practice, no source. */
const LEADS = { ohms: 0.5, henries: 10e-6 } as const;
/** Parts of common ratings for rectified mains; values from memory. */
const SWITCH = { ohms: 0.6, farads: 100e-12, damping: 20, volts: 650, amperes: 10, watts: 4 } as const;
const BULK = { farads: 100e-6, ohms: 0.4, volts: 400, rms: 0.8 } as const;
const FAST = { drop: 0.8, ohms: 0.05, volts: 1000, mean: 1 } as const;

/** What feeds a converter from rectified mains. */
export const feed = (volts: number, amperes: number, rms: number = BULK.rms): readonly PowerPart[] => [
  supply('J1', 'dc', '0', volts, LEADS),
  fuse('F1', 'dc', 'in', amperes),
  electrolytic('C3', 'in', '0', { ...BULK, rms, volts: volts > 370 ? 450 : BULK.volts }),
];

function oneGate(of: {
  readonly guess: (values: Values) => number;
  readonly most: number;
  readonly amperes: number;
  readonly refs?: readonly string[];
}): Drive {
  const refs = of.refs ?? ['Q1'];
  return {
    kind: 'duty',
    least: 0.005,
    most: of.most,
    guess: of.guess,
    period: (values) => 1 / value(values, 'frequency'),
    gates: ({ period, control }) => Object.fromEntries(refs.map((ref) => [ref, { delay: 0, width: control * period }])),
    limit: { ref: refs[0]!, amperes: of.amperes },
  };
}

const outputCans = (v: Values, volts: number, rms: number): readonly PowerPart[] =>
  // Two cans share what the knob says.
  ['C21', 'C22'].map((ref) =>
    electrolytic(ref, 'out', 's0', {
      farads: value(v, 'capacitance') / 2,
      ohms: 2 * value(v, 'esr'),
      volts,
      rms,
    }),
  );

const PUMP_TRACES: readonly Trace[] = [
  { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
  { label: 'Q1', unit: 'A', of: { amperes: 'Q1' } },
  { label: 'D8', unit: 'A', of: { amperes: 'D8' } },
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

const FLYBACK_KNOBS = [
  input([100, 325, 400]),
  current([0.02, 2.5, 5]),
  frequency([30e3, 100e3, 200e3]),
  inductance([100e-6, 340e-6, 2e-3], 'T1', 'primary'),
  leakage([1e-6, 13.3e-6, 40e-6], 'T1'),
  capacitance([47e-6, 940e-6, 4700e-6], 'C21'),
  esr([5e-3, 22e-3, 2], 'C21'),
] as const;

/** Volts of the output of the circuits here that step rectified mains down. */
const FLYBACK_OUT = 24;
const TURNS = 4.5;
const RECTIFIER = { drop: 0.6, ohms: 0.02, volts: 150, mean: 12, subtype: 'schottky' } as const;

/** Duty in discontinuous conduction, and what continuous conduction bounds it to. */
const flybackDuty = (v: Values): number => {
  const power = FLYBACK_OUT * value(v, 'load') * 1.12;
  const reflected = TURNS * (FLYBACK_OUT + 0.7);
  const parted = Math.sqrt(2 * power * value(v, 'inductance') * value(v, 'frequency')) / value(v, 'input');
  return Math.min(parted, reflected / (reflected + value(v, 'input')));
};

const flybackTransformer = (v: Values, primary: readonly [string, string]): PowerPart =>
  transformer(
    'T1',
    [
      { nets: primary, turns: 1, ohms: 0.3 },
      { nets: ['s0', 's1'], turns: 1 / TURNS, ohms: 0.015 },
    ],
    { henries: value(v, 'inductance'), leakage: value(v, 'leakage'), saturates: 2.7 },
  );

const flybackOutput = (v: Values): readonly PowerPart[] => [
  diode('D8', 's1', 'out', RECTIFIER),
  ...outputCans(v, 35, 1.8),
  load('J2', 'out', 's0', loadOhms(v, FLYBACK_OUT)),
];

/** What is said of the parts of every flyback. */
const flybackParts = (
  switches: readonly string[],
  clamp: string,
): Pick<PowerCircuit, 'holds' | 'output' | 'roles' | 'traces'> => ({
  holds: FLYBACK_OUT,
  output: ['out', 's0'],
  roles: { switches, rectifiers: ['D8'], store: 'T1', outputCapacitors: ['C21', 'C22'], load: 'J2', clamp },
  traces: PUMP_TRACES,
});

const flyback: PowerCircuit = {
  id: 'flyback',
  name: 'Flyback',
  message: 'one switch; the transformer stores in one part of the period and delivers in the other',
  knobs: FLYBACK_KNOBS,
  parts: (v) => [
    ...feed(value(v, 'input'), 1.6),
    resistor('R14', 'in', 'cl', 10e3, 7),
    film('C14', 'cl', 'in', { farads: 10e-9, ohms: 0, volts: 630, rms: 1, start: 200 }),
    diode('D3', 'sw', 'cl', FAST),
    flybackTransformer(v, ['in', 'sw']),
    mosfet('Q1', { gate: 'g1', drain: 'sw', source: '0' }, SWITCH),
    controller('U1', { VCC: 'in', OUT: 'g1', GND: '0' }),
    ...flybackOutput(v),
  ],
  drive: oneGate({ guess: flybackDuty, most: 0.7, amperes: 3 }),
  ...flybackParts(['Q1'], 'D3'),
};

const twoSwitchFlyback: PowerCircuit = {
  id: 'two-switch-flyback',
  name: 'Two-switch flyback',
  message: 'two switches open together; two diodes hand the leakage back to the input',
  knobs: FLYBACK_KNOBS,
  parts: (v) => [
    ...feed(value(v, 'input'), 1.6),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'a' }, { ...SWITCH, volts: 500 }),
    flybackTransformer(v, ['a', 'b']),
    diode('D3', '0', 'a', { ...FAST, volts: 600 }),
    diode('D4', 'b', 'in', { ...FAST, volts: 600 }),
    mosfet('Q2', { gate: 'g2', drain: 'b', source: '0' }, { ...SWITCH, volts: 500 }),
    controller('U1', { VCC: 'in', HO: 'g1', LO: 'g2', GND: '0' }),
    ...flybackOutput(v),
  ],
  drive: oneGate({ guess: flybackDuty, most: 0.48, amperes: 3, refs: ['Q1', 'Q2'] }),
  ...flybackParts(['Q1', 'Q2'], 'D4'),
};

const activeClamp: PowerCircuit = {
  id: 'active-clamp-flyback',
  name: 'Active-clamp flyback',
  message: 'a second switch hands the leakage back and swings the drain down before the first one closes',
  knobs: [
    input([100, 325, 400]),
    current([0.02, 2.5, 5]),
    frequency([80e3, 150e3, 400e3]),
    inductance([60e-6, 180e-6, 1e-3], 'T1', 'primary'),
    leakage([0.5e-6, 4e-6, 20e-6], 'T1'),
    capacitance([47e-6, 940e-6, 4700e-6], 'C21'),
    esr([5e-3, 22e-3, 2], 'C21'),
    dead([50e-9, 250e-9, 600e-9]),
  ],
  parts: (v) => [
    ...feed(value(v, 'input'), 2),
    film('C14', 'cl', 'in', { farads: 220e-9, ohms: 0.05, volts: 400, rms: 3, start: 115 }),
    mosfet('Q2', { gate: 'g2', drain: 'cl', source: 'sw' }, SWITCH),
    flybackTransformer(v, ['in', 'sw']),
    mosfet('Q1', { gate: 'g1', drain: 'sw', source: '0' }, SWITCH),
    controller('U1', { VCC: 'in', HO: 'g2', LO: 'g1', GND: '0' }),
    ...flybackOutput(v),
  ],
  drive: {
    kind: 'duty',
    least: 0.02,
    most: 0.7,
    // The clamp keeps the magnetising current flowing: always continuous.
    guess: (v) => {
      const reflected = TURNS * (FLYBACK_OUT + 0.7);
      return reflected / (reflected + value(v, 'input'));
    },
    period: (v) => 1 / value(v, 'frequency'),
    gates: ({ period, control, dead: pause }) => ({
      Q1: { delay: 0, width: control * period },
      Q2: { delay: control * period + pause, width: Math.max(0, (1 - control) * period - 2 * pause) },
    }),
    limit: { ref: 'Q1', amperes: 4 },
  },
  ...flybackParts(['Q1', 'Q2'], 'C14'),
};

const FORWARD_OUT = 12;
const FORWARD_TURNS = 10;
const FORWARD_RECTIFIER = { drop: 0.5, ohms: 0.01, volts: 80, mean: 10, subtype: 'schottky' } as const;
const FORWARD_TRACES: readonly Trace[] = [
  { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
  { label: 'Q1', unit: 'A', of: { amperes: 'Q1' } },
  { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

const FORWARD_KNOBS = [
  input([250, 300, 375]),
  current([0.1, 10, 15]),
  frequency([50e3, 100e3, 200e3]),
  inductance([5e-6, 22e-6, 220e-6], 'L1'),
  leakage([1e-6, 10e-6, 60e-6], 'T1'),
  capacitance([220e-6, 2200e-6, 10e-3], 'C21'),
  esr([3e-3, 12e-3, 0.5], 'C21'),
] as const;

const forwardOutput = (v: Values): readonly PowerPart[] => [
  diode('D1', 's1', 'k', FORWARD_RECTIFIER),
  diode('D2', 's0', 'k', FORWARD_RECTIFIER),
  choke('L1', 'k', 'out', { henries: value(v, 'inductance'), ohms: 0.005, saturates: 16 }),
  ...outputCans(v, 16, 2.5),
  load('J2', 'out', 's0', loadOhms(v, FORWARD_OUT)),
];

const forwardDuty = (v: Values) => (FORWARD_TURNS * (FORWARD_OUT + 0.8)) / value(v, 'input');
const FORWARD_CORE = { henries: 5e-3, saturates: 0.6 } as const;

/** What is said of the parts of every forward converter. */
const forwardParts = (
  switches: readonly string[],
  clamp: string,
): Pick<PowerCircuit, 'holds' | 'knobs' | 'output' | 'roles' | 'traces'> => ({
  holds: FORWARD_OUT,
  knobs: FORWARD_KNOBS,
  output: ['out', 's0'],
  roles: { switches, rectifiers: ['D1', 'D2'], store: 'L1', outputCapacitors: ['C21', 'C22'], load: 'J2', clamp },
  traces: FORWARD_TRACES,
});

const forward: PowerCircuit = {
  id: 'forward',
  name: 'Forward',
  message: 'one switch; power goes through while it is closed, and a third winding empties the core',
  parts: (v) => [
    ...feed(value(v, 'input'), 1.6),
    transformer(
      'T1',
      [
        { nets: ['in', 'sw'], turns: 1, ohms: 0.3 },
        { nets: ['r', 'in'], turns: 1, ohms: 0.5 },
        { nets: ['s1', 's0'], turns: 1 / FORWARD_TURNS, ohms: 0.004 },
      ],
      { ...FORWARD_CORE, leakage: value(v, 'leakage') },
    ),
    diode('D3', '0', 'r', FAST),
    resistor('R15', 'sw', 'sn', 220, 3),
    film('C15', 'sn', '0', { farads: 220e-12, ohms: 0, volts: 1000, rms: 1 }),
    mosfet('Q1', { gate: 'g1', drain: 'sw', source: '0' }, { ...SWITCH, volts: 900, ohms: 1 }),
    controller('U1', { VCC: 'in', OUT: 'g1', GND: '0' }),
    ...forwardOutput(v),
  ],
  drive: oneGate({ guess: forwardDuty, most: 0.48, amperes: 3 }),
  ...forwardParts(['Q1'], 'D3'),
};

const twoSwitchForward: PowerCircuit = {
  id: 'two-switch-forward',
  name: 'Two-switch forward',
  message: 'two switches open together; two diodes empty the core back into the input',
  parts: (v) => [
    ...feed(value(v, 'input'), 1.6),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'a' }, { ...SWITCH, volts: 500 }),
    transformer(
      'T1',
      [
        { nets: ['a', 'b'], turns: 1, ohms: 0.3 },
        { nets: ['s1', 's0'], turns: 1 / FORWARD_TURNS, ohms: 0.004 },
      ],
      { ...FORWARD_CORE, leakage: value(v, 'leakage') },
    ),
    diode('D3', '0', 'a', { ...FAST, volts: 600 }),
    diode('D4', 'b', 'in', { ...FAST, volts: 600 }),
    mosfet('Q2', { gate: 'g2', drain: 'b', source: '0' }, { ...SWITCH, volts: 500 }),
    controller('U1', { VCC: 'in', HO: 'g1', LO: 'g2', GND: '0' }),
    ...forwardOutput(v),
  ],
  drive: oneGate({ guess: forwardDuty, most: 0.48, amperes: 3, refs: ['Q1', 'Q2'] }),
  ...forwardParts(['Q1', 'Q2'], 'D4'),
};

/** Circuits with a transformer that is driven from one side. */
export const ISOLATED: readonly PowerCircuit[] = [flyback, twoSwitchFlyback, activeClamp, forward, twoSwitchForward];
