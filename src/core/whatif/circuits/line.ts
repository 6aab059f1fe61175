import {
  bridge,
  choke,
  controller,
  diode,
  electrolytic,
  film,
  fuse,
  load,
  mains,
  mosfet,
  resistor,
  supply,
  triac,
  zener,
} from '../part';
import type { PowerCircuit, Values } from '../powerCircuit';
import { capacitance, current, esr, frequency, inductance, input, loadOhms, other, value } from './knobs';

/** The line behind a socket, ohms; common practice, no source. */
const LINE_OHMS = 0.5;
const line = (label = 'line') => ({ ...input([90, 230, 264]), label });
const hertz = other('frequency', 'line frequency', 'hertz', [45, 50, 65]);
const cycle = (values: Values) => 1 / value(values, 'frequency');
const CREST = Math.SQRT2;

const PFC_OUT = 390;

const pfc: PowerCircuit = {
  id: 'pfc',
  name: 'PFC boost stage',
  message: 'at the crest of the line, where its current is largest; a boost that shapes the current of the line',
  holds: PFC_OUT,
  knobs: [
    line('line, rms'),
    current([0.05, 0.77, 1.2]),
    frequency([40e3, 65e3, 150e3]),
    inductance([100e-6, 877e-6, 4e-3], 'L1'),
    capacitance([47e-6, 220e-6, 680e-6], 'C2'),
    esr([50e-3, 0.3, 5], 'C2'),
  ],
  parts: (v) => [
    supply('J1', 'dc', '0', CREST * value(v, 'input')),
    fuse('F1', 'dc', 'in', 5),
    film('C1', 'in', '0', { farads: 1e-6, ohms: 0.02, volts: 400, rms: 3 }),
    choke('L1', 'in', 'x', { henries: value(v, 'inductance'), ohms: 0.15, saturates: 8 }),
    mosfet(
      'Q1',
      { gate: 'g1', drain: 'x', source: '0' },
      {
        ohms: 0.25,
        farads: 120e-12,
        damping: 15,
        volts: 600,
        amperes: 20,
        watts: 12,
      },
    ),
    diode('D1', 'x', 'out', { drop: 0.9, ohms: 0.05, volts: 600, mean: 8 }),
    electrolytic('C2', 'out', '0', { farads: value(v, 'capacitance'), ohms: value(v, 'esr'), volts: 450, rms: 1.8 }),
    // At the crest twice the mean power goes through.
    load('J2', 'out', '0', loadOhms(v, PFC_OUT) / 2),
    controller('U1', { VCC: 'in', OUT: 'g1', GND: '0' }),
  ],
  drive: {
    kind: 'duty',
    least: 0.01,
    most: 0.95,
    guess: (v) => Math.max(0.02, 1 - (CREST * value(v, 'input')) / (PFC_OUT + 1)),
    period: cycle,
    gates: ({ period, control }) => ({ Q1: { delay: 0, width: control * period } }),
    limit: { ref: 'Q1', amperes: 12 },
  },
  output: ['out', '0'],
  roles: { switches: ['Q1'], rectifiers: ['D1'], store: 'L1', outputCapacitors: ['C2'], load: 'J2' },
  traces: [
    { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
    { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
    { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
    { label: 'output ripple', unit: 'V', of: 'ripple' },
  ],
};

/** A load of a current at the crest of the line. */
const crestLoad = (v: Values, factor = 1) => loadOhms(v, factor * CREST * value(v, 'input'));

const reservoir: PowerCircuit = {
  id: 'bridge-reservoir',
  name: 'Bridge with reservoir',
  message: 'the line is rectified and a capacitor carries the load between the crests',
  knobs: [
    line(),
    current([0.02, 0.25, 1]),
    hertz,
    capacitance([10e-6, 100e-6, 470e-6], 'C1', 'reservoir'),
    esr([0.1, 0.6, 10], 'C1'),
    other('series', 'in series', 'ohm', [0.5, 3, 20]),
  ],
  parts: (v) => [
    mains('J1', 'l', 'n', { rms: value(v, 'input'), hertz: value(v, 'frequency'), ohms: LINE_OHMS }),
    fuse('F1', 'l', 'f', 2),
    resistor('R1', 'f', 'ac', value(v, 'series'), 3),
    bridge('BR1', { a: 'ac', b: 'n', plus: 'out', minus: '0' }, { drop: 0.8, ohms: 0.05, volts: 600, mean: 1 }),
    electrolytic('C1', 'out', '0', { farads: value(v, 'capacitance'), ohms: value(v, 'esr'), volts: 400, rms: 0.9 }),
    load('J2', 'out', '0', crestLoad(v)),
  ],
  drive: { kind: 'free', period: cycle },
  output: ['out', '0'],
  roles: { switches: [], rectifiers: ['BR1'], outputCapacitors: ['C1'], load: 'J2' },
  traces: [
    { label: 'output', unit: 'V', of: 'output' },
    { label: 'F1', unit: 'A', of: { amperes: 'F1' } },
    { label: 'C1', unit: 'A', of: { amperes: 'C1' } },
    { label: 'output ripple', unit: 'V', of: 'ripple' },
  ],
};

const doubler: PowerCircuit = {
  id: 'doubler',
  name: 'Voltage doubler',
  message: 'each half of the wave charges one of two capacitors in series',
  knobs: [
    { ...line(), usual: 115, to: 140 },
    current([0.02, 0.25, 1]),
    hertz,
    capacitance([22e-6, 220e-6, 680e-6], 'C1', 'C1 and C2'),
    esr([0.1, 0.4, 10], 'C1'),
    other('series', 'in series', 'ohm', [0.5, 3, 20]),
  ],
  parts: (v) => {
    const can = { farads: value(v, 'capacitance'), ohms: value(v, 'esr'), volts: 200, rms: 1.4 } as const;
    const rectifier = { drop: 0.8, ohms: 0.05, volts: 600, mean: 1, subtype: 'rectifier' } as const;
    return [
      mains('J1', 'l', 'm', { rms: value(v, 'input'), hertz: value(v, 'frequency'), ohms: LINE_OHMS }),
      fuse('F1', 'l', 'f', 3),
      resistor('R1', 'f', 'ac', value(v, 'series'), 4),
      diode('D1', 'ac', 'out', rectifier),
      diode('D2', '0', 'ac', rectifier),
      electrolytic('C1', 'out', 'm', can),
      electrolytic('C2', 'm', '0', can),
      load('J2', 'out', '0', crestLoad(v, 2)),
    ];
  },
  drive: { kind: 'free', period: cycle },
  output: ['out', '0'],
  roles: { switches: [], rectifiers: ['D1', 'D2'], outputCapacitors: ['C1', 'C2'], load: 'J2' },
  traces: [
    { label: 'output', unit: 'V', of: 'output' },
    { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
    { label: 'C1', unit: 'V', of: { volts: 'C1' } },
    { label: 'output ripple', unit: 'V', of: 'ripple' },
  ],
};

/** A triac is let go before the half wave ends, seconds. */
const LET_GO = 20e-6;

const phase: PowerCircuit = {
  id: 'phase-control',
  name: 'Phase control',
  message: 'a triac closes late in each half wave; the later, the less power',
  knobs: [
    line(),
    other('load', 'load at full line', 'ampere', [0.1, 0.43, 4]),
    hertz,
    other('angle', 'firing angle', 'count', [10, 90, 170]),
    inductance([0.1e-3, 1e-3, 5e-3], 'L1'),
  ],
  parts: (v) => [
    mains('J1', 'l', '0', { rms: value(v, 'input'), hertz: value(v, 'frequency'), ohms: LINE_OHMS }),
    fuse('F1', 'l', 'f', 3),
    load('J2', 'f', 'b', loadOhms(v, value(v, 'input'))),
    choke('L1', 'b', 'mt2', { henries: value(v, 'inductance'), ohms: 0.3, saturates: 6 }),
    triac('Q1', { mt1: '0', mt2: 'mt2', gate: 'g1' }, { drop: 1, ohms: 0.05, volts: 600, rms: 4 }),
    resistor('R1', 'mt2', 'n', 220, 1),
    film('C1', 'n', '0', { farads: 47e-9, ohms: 0, volts: 400, rms: 0.5 }),
    controller('U1', { IN: 'mt2', OUT: 'g1', GND: '0' }),
  ],
  drive: {
    kind: 'free',
    period: cycle,
    gates: (v) => {
      const half = cycle(v) / 2;
      const delay = (value(v, 'angle') / 180) * half;
      return { Q1: { delay, width: Math.max(0, half - delay - LET_GO), every: half } };
    },
  },
  output: ['f', 'b'],
  roles: { switches: ['Q1'], rectifiers: [], outputCapacitors: [], load: 'J2' },
  traces: [
    { label: 'load', unit: 'V', of: 'output' },
    { label: 'Q1', unit: 'V', of: { volts: 'Q1' } },
    { label: 'L1', unit: 'A', of: { amperes: 'L1' } },
  ],
};

const dropper: PowerCircuit = {
  id: 'dropper',
  name: 'Capacitive dropper',
  message: 'a capacitor limits the current of the line; a Zener diode takes what the load leaves; nothing is isolated',
  knobs: [
    line(),
    current([0.5e-3, 10e-3, 30e-3]),
    hertz,
    other('dropping', 'dropping C', 'farad', [100e-9, 330e-9, 1e-6]),
    other('zener', 'Zener', 'volt', [5.1, 24, 33]),
    capacitance([22e-6, 220e-6, 1000e-6], 'C2', 'reservoir'),
    esr([0.1, 1, 30], 'C2'),
  ],
  parts: (v) => [
    mains('J1', 'l', 'n', { rms: value(v, 'input'), hertz: value(v, 'frequency'), ohms: LINE_OHMS }),
    resistor('R1', 'l', 'a', 100, 1),
    film('C1', 'a', 'b', { farads: value(v, 'dropping'), ohms: 0, volts: 630, rms: 0.3 }),
    bridge('BR1', { a: 'b', b: 'n', plus: 'out', minus: '0' }, { drop: 0.8, ohms: 0.1, volts: 600, mean: 1 }),
    zener('D1', '0', 'out', { volts: value(v, 'zener'), ohms: 5, watts: 1.3 }),
    electrolytic('C2', 'out', '0', { farads: value(v, 'capacitance'), ohms: value(v, 'esr'), volts: 35, rms: 0.3 }),
    load('J2', 'out', '0', loadOhms(v, value(v, 'zener'))),
  ],
  drive: { kind: 'free', period: cycle },
  output: ['out', '0'],
  roles: { switches: [], rectifiers: ['BR1'], outputCapacitors: ['C2'], load: 'J2', clamp: 'D1', series: 'C1' },
  traces: [
    { label: 'output', unit: 'V', of: 'output' },
    { label: 'R1', unit: 'A', of: { amperes: 'R1' } },
    { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
    { label: 'output ripple', unit: 'V', of: 'ripple' },
  ],
};

const discharge: PowerCircuit = {
  id: 'discharge',
  name: 'Capacitor discharge',
  message: 'a charged capacitor and what bleeds it',
  knobs: [
    { ...input([50, 325, 450]), label: 'charged to' },
    capacitance([10e-6, 150e-6, 1000e-6], 'C1', 'capacitor'),
    esr([0.05, 0.5, 10], 'C1'),
    other('bleed', 'bleed resistor', 'ohm', [100, 2200, 470e3]),
  ],
  parts: (v) => [
    electrolytic('C1', 'out', '0', {
      farads: value(v, 'capacitance'),
      ohms: value(v, 'esr'),
      volts: 400,
      rms: 1,
      start: value(v, 'input'),
    }),
    resistor('R1', 'out', '0', value(v, 'bleed'), 10),
  ],
  drive: { kind: 'once', span: (v) => 6 * value(v, 'capacitance') * (value(v, 'bleed') + value(v, 'esr')) },
  output: ['out', '0'],
  roles: { switches: [], rectifiers: [], outputCapacitors: ['C1'], load: 'R1' },
  traces: [
    { label: 'capacitor', unit: 'V', of: 'output' },
    { label: 'R1', unit: 'A', of: { amperes: 'R1' } },
  ],
};

/** Circuits at the line. */
export const LINE: readonly PowerCircuit[] = [pfc, reservoir, doubler, phase, dropper, discharge];
