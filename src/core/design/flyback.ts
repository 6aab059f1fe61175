import {
  controller,
  diode,
  electrolytic,
  film,
  load,
  mosfet,
  resistor,
  supply,
  transformer,
  type PowerCircuit,
  type Values,
} from '../whatif';
import { clampOf, strayOf } from './parts';
import { RULES } from './rules';
import type { Design } from './search';

/** Leads to a bench supply; and parts where the drawers have none, of usual ratings: common practice, no source. */
const LEADS = { ohms: 0.02, henries: 1e-6 } as const;
const SWITCH = { ohms: 0.05, farads: 300e-12, damping: 5, volts: 100, amperes: 30, watts: 2 } as const;
const RECTIFIER = { drop: 0.5, ohms: 0.02, volts: 100, mean: 10, subtype: 'schottky' } as const;
const CLAMP = { drop: 0.7, ohms: 0.05, volts: 200, mean: 1 } as const;

/** A flyback at low volts around the transformer of a design, with the clamp that it needs. */
export function flybackCircuit({ demand, inductance, turns = 1, parts }: Design): PowerCircuit {
  const { frequency } = demand.point;
  const ratings = parts.choke?.lot.ratings ?? { inductance };
  const clamp = clampOf(demand, ratings);
  const of = (values: Values, id: string) => values[id] ?? Number.NaN;
  return {
    id: 'flyback',
    name: 'Flyback',
    message: 'one switch; the transformer stores in one part of the period and delivers in the other',
    knobs: [],
    parts: (values) => [
      supply('J1', 'in', '0', of(values, 'input'), LEADS),
      electrolytic('C1', 'in', '0', { farads: 470e-6, ohms: 0.05, volts: 63, rms: 2 }),
      resistor('R5', 'in', 'cl', clamp.ohms, 2 * clamp.watts),
      film('C5', 'cl', 'in', {
        farads: clamp.farads,
        ohms: 0,
        volts: 2 * clamp.volts,
        rms: 1,
        start: clamp.volts,
      }),
      diode('D2', 'sw', 'cl', CLAMP),
      transformer(
        'T1',
        [
          { nets: ['in', 'sw'], turns: 1, ohms: RULES.dcrUnknown },
          { nets: ['s0', 's1'], turns: 1 / turns, ohms: RULES.dcrUnknown / turns ** 2 },
        ],
        { henries: inductance, leakage: strayOf(ratings), saturates: 2 * demand.peak },
      ),
      mosfet('Q1', { gate: 'g1', drain: 'sw', source: '0' }, SWITCH),
      controller('U1', { VCC: 'in', OUT: 'g1', GND: '0' }),
      diode('D1', 's1', 'out', RECTIFIER),
      electrolytic('C2', 'out', 's0', {
        farads: of(values, 'capacitance'),
        ohms: of(values, 'esr'),
        volts: 2 * of(values, 'output'),
        rms: 2,
      }),
      load('J2', 'out', 's0', of(values, 'output') / Math.max(of(values, 'load'), 1e-6)),
    ],
    drive: {
      kind: 'duty',
      least: 0.01,
      most: 0.85,
      guess: () => Math.max(...demand.point.at.map(({ duty }) => duty)),
      period: () => 1 / frequency,
      gates: ({ period, control }) => ({ Q1: { delay: 0, width: control * period } }),
      limit: { ref: 'Q1', amperes: 3 * demand.switchPeak },
    },
    output: ['out', 's0'],
    roles: {
      switches: ['Q1'],
      rectifiers: ['D1'],
      store: 'T1',
      outputCapacitors: ['C2'],
      load: 'J2',
      clamp: 'D2',
    },
    traces: [
      { label: 'Q1, drain', unit: 'V', of: { volts: 'Q1' } },
      { label: 'Q1', unit: 'A', of: { amperes: 'Q1' } },
      { label: 'D1', unit: 'A', of: { amperes: 'D1' } },
      { label: 'output ripple', unit: 'V', of: 'ripple' },
    ],
  };
}
