import { choke, controller, diode, electrolytic, film, load, mosfet, supply, type PowerPart } from '../part';
import type { Drive, PowerCircuit, Values } from '../powerCircuit';
import { capacitance, current, esr, frequency, inductance, input, loadOhms, output, value } from './knobs';

/** Leads to a bench supply; common practice, no source. */
const LEADS = { ohms: 0.02, henries: 1e-6 } as const;
/** A small MOSFET, a Schottky diode and a can for low volts, with ratings as printed on common parts; values from memory. */
const SWITCH = { ohms: 0.03, farads: 300e-12, damping: 5, volts: 60, amperes: 30, watts: 2 } as const;
const SCHOTTKY = { drop: 0.4, ohms: 0.02, volts: 60, mean: 5, subtype: 'schottky' } as const;
const INPUT_CAN = { farads: 220e-6, ohms: 0.05, rms: 1.8 } as const;
/** Of the switch and the diode together, about, volts. */
const DROPS = 0.5;

/** One switch on for a share of the period. */
function single(guess: (values: Values) => number, amperes: number, most = 0.9): Drive {
  return {
    kind: 'duty',
    least: 0.01,
    most,
    guess,
    period: (values) => 1 / value(values, 'frequency'),
    gates: ({ period, control }) => ({ Q1: { delay: 0, width: control * period } }),
    limit: { ref: 'Q1', amperes },
  };
}

const TRACES: PowerCircuit['traces'] = [
  { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
  { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
  { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

const FREQUENCY = frequency([30e3, 100e3, 400e3]);

type Span = readonly [from: number, usual: number, to: number];

/** A circuit of one switch: what feeds it, what drives it and what loads it are the same in all of them. */
function cell(of: {
  readonly id: string;
  readonly name: string;
  readonly message: string;
  readonly input: Span;
  readonly output: Span;
  readonly load: Span;
  readonly inductance: Span;
  readonly capacitance: Span;
  /** Volts that the input capacitor stands. */
  readonly inputVolts: number;
  /** The output capacitor, with its nets. */
  readonly can: { readonly ref: string; readonly volts: number; readonly rms: number };
  readonly nets: readonly [plus: string, minus: string];
  readonly between: (values: Values) => readonly PowerPart[];
  readonly drive: Drive;
  /** The capacitor that the power goes through, and so two chokes. */
  readonly series?: string;
}): PowerCircuit {
  const { id, name, message, can, series } = of;
  const [plus, minus] = of.nets;
  return {
    id,
    name,
    message,
    knobs: [
      input(of.input),
      output(of.output),
      current(of.load),
      FREQUENCY,
      inductance(of.inductance, 'L1', series === undefined ? 'L1' : 'L1 and L2'),
      capacitance(of.capacitance, can.ref),
      esr([5e-3, 50e-3, 1], can.ref),
    ],
    parts: (v) => [
      supply('J1', 'in', '0', value(v, 'input'), LEADS),
      electrolytic('C1', 'in', '0', { ...INPUT_CAN, volts: of.inputVolts }),
      ...of.between(v),
      electrolytic(can.ref, plus, minus, {
        farads: value(v, 'capacitance'),
        ohms: value(v, 'esr'),
        volts: can.volts,
        rms: can.rms,
      }),
      load('J2', plus, minus, loadOhms(v)),
      controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
    ],
    drive: of.drive,
    output: of.nets,
    roles: {
      switches: ['Q1'],
      rectifiers: ['D1'],
      store: 'L1',
      outputCapacitors: [can.ref],
      load: 'J2',
      ...(series === undefined ? {} : { series }),
    },
    traces: TRACES,
  };
}

const coil = (v: Values, ref: string, a: string, b: string, saturates = 5) =>
  choke(ref, a, b, { henries: value(v, 'inductance'), ohms: 0.03, saturates });
const lowSwitch = () => mosfet('Q1', { gate: 'g1', drain: 'x', source: '0' }, SWITCH);
const highSwitch = () => mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, SWITCH);

/** The duty of circuits that step up or down. */
const upOrDown = (values: Values): number => {
  const out = value(values, 'output') + DROPS;
  return out / (out + value(values, 'input'));
};

const buck = cell({
  id: 'buck',
  name: 'Buck',
  message: 'steps down; one switch, one diode, one choke',
  input: [7, 12, 24],
  output: [1.5, 5, 6],
  load: [0.02, 3, 5],
  inductance: [4.7e-6, 33e-6, 330e-6],
  capacitance: [22e-6, 220e-6, 2200e-6],
  inputVolts: 35,
  can: { ref: 'C2', volts: 10, rms: 1 },
  nets: ['out', '0'],
  between: (v) => [highSwitch(), diode('D1', '0', 'x', SCHOTTKY), coil(v, 'L1', 'x', 'out', 6)],
  drive: single((v) => (value(v, 'output') + DROPS) / value(v, 'input'), 8, 0.95),
});

const boost = cell({
  id: 'boost',
  name: 'Boost',
  message: 'steps up; one switch, one diode, one choke',
  input: [5, 12, 20],
  output: [13, 24, 40],
  load: [0.02, 1, 3],
  inductance: [4.7e-6, 47e-6, 470e-6],
  capacitance: [10e-6, 100e-6, 1000e-6],
  inputVolts: 25,
  can: { ref: 'C2', volts: 50, rms: 1.4 },
  nets: ['out', '0'],
  between: (v) => [coil(v, 'L1', 'in', 'x'), lowSwitch(), diode('D1', 'x', 'out', SCHOTTKY)],
  drive: single((v) => 1 - value(v, 'input') / (value(v, 'output') + DROPS), 6),
});

const inverting = cell({
  id: 'inverting',
  name: 'Inverting',
  message: 'a negative output from a positive input; one switch, one diode, one choke',
  input: [6, 12, 24],
  output: [3, 12, 24],
  load: [0.02, 1, 2],
  inductance: [4.7e-6, 47e-6, 470e-6],
  capacitance: [22e-6, 220e-6, 2200e-6],
  inputVolts: 35,
  can: { ref: 'C2', volts: 35, rms: 1.4 },
  nets: ['0', 'neg'],
  between: (v) => [highSwitch(), coil(v, 'L1', 'x', '0'), diode('D1', 'neg', 'x', SCHOTTKY)],
  drive: single(upOrDown, 6),
});

/** A capacitor that the power goes through; polypropylene as common parts of that size, from memory. */
const COUPLING = { farads: 10e-6, ohms: 0.01, volts: 63, rms: 4 } as const;

const sepic = cell({
  id: 'sepic',
  name: 'SEPIC',
  message: 'steps up or down; two chokes and a capacitor that the power goes through',
  input: [5, 9, 18],
  output: [3, 12, 24],
  load: [0.02, 1, 2],
  inductance: [10e-6, 47e-6, 470e-6],
  capacitance: [47e-6, 470e-6, 4700e-6],
  inputVolts: 25,
  can: { ref: 'C3', volts: 35, rms: 1.6 },
  nets: ['out', '0'],
  series: 'C2',
  between: (v) => [
    coil(v, 'L1', 'in', 'x'),
    lowSwitch(),
    film('C2', 'x', 'y', { ...COUPLING, start: value(v, 'input') }),
    coil(v, 'L2', 'y', '0'),
    diode('D1', 'y', 'out', SCHOTTKY),
  ],
  drive: single(upOrDown, 8),
});

const cuk = cell({
  id: 'cuk',
  name: 'Ćuk',
  message: 'a negative output with smooth currents on both sides; the power goes through a capacitor',
  input: [6, 12, 24],
  output: [3, 5, 24],
  load: [0.02, 2, 3],
  inductance: [10e-6, 47e-6, 470e-6],
  capacitance: [22e-6, 220e-6, 2200e-6],
  inputVolts: 35,
  can: { ref: 'C3', volts: 35, rms: 1 },
  nets: ['0', 'neg'],
  series: 'C2',
  between: (v) => [
    coil(v, 'L1', 'in', 'x'),
    lowSwitch(),
    film('C2', 'x', 'y', { ...COUPLING, start: value(v, 'input') + value(v, 'output') }),
    diode('D1', 'y', '0', SCHOTTKY),
    coil(v, 'L2', 'neg', 'y'),
  ],
  drive: single(upOrDown, 8),
});

/** Circuits of one switch without a transformer. */
export const SINGLE: readonly PowerCircuit[] = [buck, boost, inverting, sepic, cuk];
