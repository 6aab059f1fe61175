import { choke, controller, diode, electrolytic, film, load, mosfet, supply } from '../part';
import type { Drive, PowerCircuit, Values } from '../powerCircuit';
import { capacitance, current, esr, frequency, inductance, input, loadOhms, output, value } from './knobs';

/** Leads to a bench supply; common practice, no source. */
const LEADS = { ohms: 0.02, henries: 1e-6 } as const;
/** A small MOSFET, a Schottky diode and a can for low volts, with ratings as printed on common parts; values from memory. */
const SWITCH = { ohms: 0.03, farads: 300e-12, damping: 5, volts: 60, amperes: 30, watts: 2 } as const;
const SCHOTTKY = { drop: 0.4, ohms: 0.02, volts: 60, mean: 5, subtype: 'schottky' } as const;
const INPUT_CAN = { farads: 220e-6, ohms: 0.05, volts: 25, rms: 1.8 } as const;

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

const outputCan = (values: Values, ref: string, plus: string, minus: string, volts: number, rms: number) =>
  electrolytic(ref, plus, minus, { farads: value(values, 'capacitance'), ohms: value(values, 'esr'), volts, rms });

const TRACES = (choking: string): PowerCircuit['traces'] => [
  { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
  { label: choking, unit: 'A', of: { amperes: choking } },
  { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
  { label: 'output ripple', unit: 'V', of: 'ripple' },
];

const FREQUENCY = frequency([30e3, 100e3, 400e3]);

const buck: PowerCircuit = {
  id: 'buck',
  name: 'Buck',
  message: 'steps down; one switch, one diode, one choke',
  knobs: [
    input([7, 12, 24]),
    output([1.5, 5, 6]),
    current([0.02, 3, 5]),
    FREQUENCY,
    inductance([4.7e-6, 33e-6, 330e-6], 'L1'),
    capacitance([22e-6, 220e-6, 2200e-6], 'C2'),
    esr([5e-3, 50e-3, 1], 'C2'),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), LEADS),
    electrolytic('C1', 'in', '0', { ...INPUT_CAN, volts: 35 }),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, SWITCH),
    diode('D1', '0', 'x', SCHOTTKY),
    choke('L1', 'x', 'out', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 6 }),
    outputCan(v, 'C2', 'out', '0', 10, 1),
    load('J2', 'out', '0', loadOhms(v)),
    controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: single((v) => (value(v, 'output') + 0.5) / value(v, 'input'), 8, 0.95),
  output: ['out', '0'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C2'], load: 'J2' },
  traces: TRACES('L1'),
};

const boost: PowerCircuit = {
  id: 'boost',
  name: 'Boost',
  message: 'steps up; one switch, one diode, one choke',
  knobs: [
    input([5, 12, 20]),
    output([13, 24, 40]),
    current([0.02, 1, 3]),
    FREQUENCY,
    inductance([4.7e-6, 47e-6, 470e-6], 'L1'),
    capacitance([10e-6, 100e-6, 1000e-6], 'C2'),
    esr([5e-3, 50e-3, 1], 'C2'),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), LEADS),
    electrolytic('C1', 'in', '0', INPUT_CAN),
    choke('L1', 'in', 'x', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    mosfet('Q1', { gate: 'g1', drain: 'x', source: '0' }, SWITCH),
    diode('D1', 'x', 'out', SCHOTTKY),
    outputCan(v, 'C2', 'out', '0', 50, 1.4),
    load('J2', 'out', '0', loadOhms(v)),
    controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: single((v) => 1 - value(v, 'input') / (value(v, 'output') + 0.5), 6),
  output: ['out', '0'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C2'], load: 'J2' },
  traces: TRACES('L1'),
};

const inverting: PowerCircuit = {
  id: 'inverting',
  name: 'Inverting',
  message: 'a negative output from a positive input; one switch, one diode, one choke',
  knobs: [
    input([6, 12, 24]),
    output([3, 12, 24]),
    current([0.02, 1, 2]),
    FREQUENCY,
    inductance([4.7e-6, 47e-6, 470e-6], 'L1'),
    capacitance([22e-6, 220e-6, 2200e-6], 'C2'),
    esr([5e-3, 50e-3, 1], 'C2'),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), LEADS),
    electrolytic('C1', 'in', '0', { ...INPUT_CAN, volts: 35 }),
    mosfet('Q1', { gate: 'g1', drain: 'in', source: 'x' }, SWITCH),
    choke('L1', 'x', '0', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    diode('D1', 'neg', 'x', SCHOTTKY),
    outputCan(v, 'C2', '0', 'neg', 35, 1.4),
    load('J2', '0', 'neg', loadOhms(v)),
    controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: single((v) => {
    const out = value(v, 'output') + 0.5;
    return out / (out + value(v, 'input'));
  }, 6),
  output: ['0', 'neg'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C2'], load: 'J2' },
  traces: TRACES('L1'),
};

/** A capacitor that the power goes through; polypropylene as common parts of that size, from memory. */
const COUPLING = { farads: 10e-6, ohms: 0.01, volts: 63, rms: 4 } as const;

const sepic: PowerCircuit = {
  id: 'sepic',
  name: 'SEPIC',
  message: 'steps up or down; two chokes and a capacitor that the power goes through',
  knobs: [
    input([5, 9, 18]),
    output([3, 12, 24]),
    current([0.02, 1, 2]),
    FREQUENCY,
    inductance([10e-6, 47e-6, 470e-6], 'L1', 'L1 and L2'),
    capacitance([47e-6, 470e-6, 4700e-6], 'C3'),
    esr([5e-3, 50e-3, 1], 'C3'),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), LEADS),
    electrolytic('C1', 'in', '0', INPUT_CAN),
    choke('L1', 'in', 'x', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    mosfet('Q1', { gate: 'g1', drain: 'x', source: '0' }, SWITCH),
    film('C2', 'x', 'y', { ...COUPLING, start: value(v, 'input') }),
    choke('L2', 'y', '0', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    diode('D1', 'y', 'out', SCHOTTKY),
    outputCan(v, 'C3', 'out', '0', 35, 1.6),
    load('J2', 'out', '0', loadOhms(v)),
    controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: single((v) => {
    const out = value(v, 'output') + 0.5;
    return out / (out + value(v, 'input'));
  }, 8),
  output: ['out', '0'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C3'], load: 'J2', series: 'C2' },
  traces: TRACES('L1'),
};

const cuk: PowerCircuit = {
  id: 'cuk',
  name: 'Ćuk',
  message: 'a negative output with smooth currents on both sides; the power goes through a capacitor',
  knobs: [
    input([6, 12, 24]),
    output([3, 5, 24]),
    current([0.02, 2, 3]),
    FREQUENCY,
    inductance([10e-6, 47e-6, 470e-6], 'L1', 'L1 and L2'),
    capacitance([22e-6, 220e-6, 2200e-6], 'C3'),
    esr([5e-3, 50e-3, 1], 'C3'),
  ],
  parts: (v) => [
    supply('J1', 'in', '0', value(v, 'input'), LEADS),
    electrolytic('C1', 'in', '0', { ...INPUT_CAN, volts: 35 }),
    choke('L1', 'in', 'x', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    mosfet('Q1', { gate: 'g1', drain: 'x', source: '0' }, SWITCH),
    film('C2', 'x', 'y', { ...COUPLING, start: value(v, 'input') + value(v, 'output') }),
    diode('D1', 'y', '0', SCHOTTKY),
    choke('L2', 'neg', 'y', { henries: value(v, 'inductance'), ohms: 0.03, saturates: 5 }),
    outputCan(v, 'C3', '0', 'neg', 35, 1),
    load('J2', '0', 'neg', loadOhms(v)),
    controller('U1', { VIN: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: single((v) => {
    const out = value(v, 'output') + 0.5;
    return out / (out + value(v, 'input'));
  }, 8),
  output: ['0', 'neg'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C3'], load: 'J2', series: 'C2' },
  traces: TRACES('L1'),
};

/** Circuits of one switch without a transformer. */
export const SINGLE: readonly PowerCircuit[] = [buck, boost, inverting, sepic, cuk];
