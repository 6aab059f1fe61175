import type { BoardPart } from '../../../board';
import { recognise } from '../..';
import { judgeBoard } from '../judge';

const part = (
  ref: string,
  kind: BoardPart['kind'],
  pins: Record<string, string | null>,
  more: Partial<BoardPart> = {},
) => ({ ref, kind, pins, ...more }) satisfies BoardPart;
const INLET = part('J1', 'connector', { L: 'l', N: 'n' }, { role: 'mains-inlet' });
const BULK = part('C1', 'capacitor', { '+': 'bulk', '-': 'gnd' }, { value: { capacitance: 8.2e-5, voltage: 400 } });
const WINDINGS = {
  windings: [
    ['1', '2'],
    ['3', '4'],
  ],
};
const coil = (one: string, two: string, three: string, four: string) =>
  part('T1', 'transformer', { 1: one, 2: two, 3: three, 4: four }, WINDINGS);
const gated = (foot: string) => part('Q1', 'nmos', { G: 'g', D: 'sw', S: foot }, { marking: '10N65' });
const toGate = (from: string) => part('R1', 'resistor', { 1: from, 2: 'g' }, { value: { resistance: 1000 } });
const thyristor = (ref: string, cathode: string) => part(ref, 'scr', { A: `a${ref}`, K: cathode, G: null });
const bipolar = (marking: string) => part('Q2', 'npn', { B: null, C: null, E: null }, { marking });

test.each<[name: string, parts: readonly BoardPart[], fact: string, isThere: boolean]>([
  [
    'a winding over a resistor to the gate',
    [gated('gnd'), coil('x', 'gnd', 'p', 'q'), toGate('x')],
    'drives one gate',
    true,
  ],
  [
    'a resistor from the foot to the gate',
    [gated('gnd'), coil('x', 'gnd', 'p', 'q'), toGate('gnd')],
    'drives one gate',
    false,
  ],
  [
    'two thyristors with one cathode',
    [thyristor('Q3', 'k'), thyristor('Q4', 'k'), coil('k', 'y', 'p', 'q')],
    'winding at the cathodes of thyristors',
    true,
  ],
  [
    'one thyristor, and another elsewhere',
    [thyristor('Q3', 'k'), thyristor('Q4', 'm'), coil('k', 'y', 'p', 'q')],
    'winding at the cathodes of thyristors',
    false,
  ],
  ['a power bipolar alone', [bipolar('13009'), coil('x', 'y', 'p', 'q')], 'bipolar power switches', true],
  [
    'a power bipolar beside a FET',
    [bipolar('13009'), gated('gnd'), coil('x', 'y', 'p', 'q')],
    'bipolar power switches',
    false,
  ],
])('%s', (_, parts, fact, isThere) => {
  const { model, stages } = recognise({ parts: [INLET, BULK, ...parts] });
  const sheet = judgeBoard(model, stages).slots.find(({ anchor }) => anchor.ref === 'T1')?.sheet;
  expect(sheet).toBeDefined();
  expect((sheet?.grade(fact) ?? 0) > 0).toBe(isThere);
});
