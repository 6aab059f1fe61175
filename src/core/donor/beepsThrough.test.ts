import { beepsThrough, type ProbedFact } from '.';

const KINDS = new Map([
  ['T1', 'transformer'],
  ['L1', 'inductor'],
  ['D3', 'dual-diode'],
  ['R1', 'resistor'],
  ['J1', 'connector'],
]);
const through = (a: string, b: string): ProbedFact => ({ relation: 'through', a, b, ohms: 0.5, dropV: null });
const WINDINGS = [through('T1.1', 'T1.2'), through('T1.3', 'T1.4'), through('T1.4', 'T1.5')];

test.each<[pins: string, facts: readonly ProbedFact[], ends: string | undefined]>([
  ['Q1.D T1.1 C1.+', [], undefined],
  ['Q1.D T1.1 T1.2', [], 'T1.1 T1.2'],
  ['Q1.D T1.1 T1.2', WINDINGS, 'T1.1 T1.2'],
  ['Q1.D T1.3 T1.5', WINDINGS, 'T1.3 T1.5'],
  ['C3.- T1.2 T1.4', WINDINGS, undefined],
  ['C3.- T1.2 T1.6', WINDINGS, 'T1.2 T1.6'],
  ['L1.1 D3.K L1.2', [], 'L1.1 L1.2'],
  ['Q1.S R1.1 R1.2', [], 'R1.1 R1.2'],
  ['T1.3 D3.A1 D3.A2', [], undefined],
  ['C1.- J1.1 J1.2', [], undefined],
])('of %s', (pins, facts, ends) => {
  expect(beepsThrough(pins.split(' '), KINDS, facts)?.join(' ')).toBe(ends);
});
