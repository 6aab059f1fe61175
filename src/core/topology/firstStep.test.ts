import type { Board, BoardPart, PinPair } from '../board';
import { CORPUS } from './fixtures/corpus';
import { firstStep, tracedSoFar } from '.';

const PARTS: Readonly<Record<string, BoardPart>> = {
  J1: { ref: 'J1', kind: 'connector', role: 'mains-inlet', pins: { L: null, N: null } },
  J0: { ref: 'J0', kind: 'connector', role: 'dc-input', pins: { '+': null, '-': null } },
  F1: { ref: 'F1', kind: 'fuse', pins: { '1': null, '2': null } },
  BR1: { ref: 'BR1', kind: 'bridge', pins: { AC1: null, AC2: null, '+': null, '-': null } },
  C1: {
    ref: 'C1',
    kind: 'capacitor',
    subtype: 'electrolytic',
    value: { voltage: 400 },
    pins: { '+': null, '-': null },
  },
  C9: { ref: 'C9', kind: 'capacitor', subtype: 'electrolytic', value: { voltage: 25 }, pins: { '+': null, '-': null } },
  T1: { ref: 'T1', kind: 'transformer', pins: {} },
  Q1: { ref: 'Q1', kind: 'nmos', pins: { G: null, D: null, S: null } },
  D5: { ref: 'D5', kind: 'diode', subtype: 'schottky', pins: { A: null, K: null } },
};
const board = (refs: string, joined: readonly PinPair[] = [], separate: readonly PinPair[] = []): Board => ({
  parts: refs.split(' ').flatMap((ref) => PARTS[ref] ?? []),
  joined,
  separate,
});

// The order of the work: from the inlet along the power, common practice, no source.
test.each`
  logged         | joined                 | separate              | step
  ${''}          | ${[]}                  | ${[]}                 | ${{ kind: 'log', what: expect.stringContaining('inlet') }}
  ${'J1'}        | ${[]}                  | ${[]}                 | ${{ kind: 'log', what: expect.stringContaining('bridge') }}
  ${'J1 F1'}     | ${[]}                  | ${[]}                 | ${{ a: 'J1.L', b: 'F1.1' }}
  ${'J1 F1 BR1'} | ${[['J1.L', 'F1.1']]}  | ${[]}                 | ${{ a: 'F1.2', b: 'BR1.AC1' }}
  ${'BR1 C1'}    | ${[]}                  | ${[]}                 | ${{ a: 'BR1.+', b: 'C1.+', question: 'Does pin + of BR1 go straight to the plus of C1?' }}
  ${'BR1 C1'}    | ${[['BR1.+', 'C1.+']]} | ${[]}                 | ${{ a: 'BR1.-', b: 'C1.-' }}
  ${'BR1 C9'}    | ${[]}                  | ${[]}                 | ${{ kind: 'log', what: expect.stringContaining('inlet') }}
  ${'J0 C9'}     | ${[]}                  | ${[]}                 | ${{ kind: 'log', what: expect.stringContaining('choke') }}
  ${'C1 T1'}     | ${[]}                  | ${[]}                 | ${{ a: 'C1.+', b: 'T1.1' }}
  ${'Q1 T1'}     | ${[]}                  | ${[]}                 | ${{ a: 'Q1.D' }}
  ${'T1 D5'}     | ${[]}                  | ${[]}                 | ${{ a: 'T1.1', b: 'D5.A' }}
  ${'D5 C9'}     | ${[]}                  | ${[]}                 | ${{ a: 'D5.K', b: 'C9.+' }}
  ${'D5 C9'}     | ${[]}                  | ${[['D5.K', 'C9.+']]} | ${{ kind: 'log' }}
`('with “$logged” logged and $joined.length joins', ({ logged, joined, separate, step }) => {
  expect(firstStep(board(logged, joined, separate))).toMatchObject(step);
});

test('on every board of the reference there is a first step while nothing is joined, between pins that it has', () => {
  for (const { name, board: whole } of CORPUS) {
    const step = firstStep(tracedSoFar(whole, []));
    const pins = new Set(whole.parts.flatMap(({ ref, pins: own }) => Object.keys(own).map((pin) => `${ref}.${pin}`)));
    const isThere = step?.kind === 'log' || (step !== undefined && pins.has(step.a) && pins.has(step.b));
    expect({ name, isThere }).toEqual({ name, isThere: true });
  }
});
