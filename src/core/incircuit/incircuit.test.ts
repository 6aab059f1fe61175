import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { parallelCapacitors, readingInPlace } from '.';
import type { Board, BoardPart } from '../board';
import type { Element } from './elements';
import { solveNetwork } from './solve';

const resistor = (ref: string, a: string, b: string, resistance: number): BoardPart => ({
  ref,
  kind: 'resistor',
  pins: { '1': a, '2': b },
  value: { resistance },
});
const diode = (ref: string, a: string, k: string, subtype = 'rectifier'): BoardPart => ({
  ref,
  kind: 'diode',
  subtype,
  pins: { A: a, K: k },
});
const winding = (ref: string, a: string, b: string): BoardPart => ({
  ref,
  kind: 'transformer',
  pins: { '1': a, '2': b },
  windings: [['1', '2']],
});
const capacitor = (ref: string, a: string, b: string, capacitance: number): BoardPart => ({
  ref,
  kind: 'capacitor',
  pins: { '1': a, '2': b },
  value: { capacitance },
});
const board = (...parts: BoardPart[]): Board => ({ complete: true, parts });
const known = (found: ReturnType<typeof readingInPlace>) => {
  if (found.kind !== 'known') throw new Error(`untraced ${found.pin}`);
  return found;
};

describe('a part that sits on its board, by the sums of resistors in parallel and in series', () => {
  const network = board(
    resistor('R1', 'a', 'b', 1000),
    resistor('R2', 'a', 'c', 2000),
    resistor('R3', 'c', 'b', 2000),
    diode('D1', 'a', 'b'),
    diode('D2', 'e', 'f', 'schottky'),
    winding('T1', 'e', 'f'),
    resistor('R9', 'g', 's', 10e3),
    { ref: 'Q1', kind: 'nmos', pins: { G: 'g', D: 'd', S: 's' } },
    { ref: 'U1', kind: 'ic', pins: { '1': 'h', '2': 's' } },
    resistor('R20', 'h', 's', 47e3),
  );
  test.each`
    ref      | plus   | minus  | mode       | expected    | without     | through         | unknown   | clear    | why
    ${'R1'}  | ${'1'} | ${'2'} | ${'ohm'}   | ${800}      | ${4000}     | ${['R2', 'R3']} | ${[]}     | ${false} | ${'1 k beside 4 k'}
    ${'R2'}  | ${'1'} | ${'2'} | ${'ohm'}   | ${1200}     | ${3000}     | ${['R1', 'R3']} | ${[]}     | ${false} | ${'2 k beside 3 k'}
    ${'D2'}  | ${'A'} | ${'K'} | ${'diode'} | ${0.0003}   | ${0.0003}   | ${['T1']}       | ${[]}     | ${false} | ${'a winding of 0.3 ohm lies across'}
    ${'Q1'}  | ${'D'} | ${'S'} | ${'ohm'}   | ${Infinity} | ${Infinity} | ${[]}           | ${[]}     | ${true}  | ${'nothing at the drain'}
    ${'Q1'}  | ${'S'} | ${'D'} | ${'diode'} | ${0.54}     | ${Infinity} | ${[]}           | ${[]}     | ${true}  | ${'its own body diode only'}
    ${'Q1'}  | ${'G'} | ${'S'} | ${'ohm'}   | ${10e3}     | ${10e3}     | ${['R9']}       | ${[]}     | ${false} | ${'the gate resistor'}
    ${'R20'} | ${'1'} | ${'2'} | ${'ohm'}   | ${47e3}     | ${Infinity} | ${[]}           | ${['U1']} | ${false} | ${'nobody knows the chip'}
  `('$ref $plus-$minus: $expected ($why)', ({ ref, plus, minus, mode, expected, without, through, unknown, clear }) => {
    const found = known(readingInPlace(network, { ref, plus, minus, mode }));
    if (expected === Infinity) expect(found.expected).toBe(Infinity);
    else expect(found.expected / expected).toBeCloseTo(1, 1);
    if (without === Infinity) expect(found.board).toBe(Infinity);
    else expect(found.board / without).toBeCloseTo(1, 1);
    expect({ through: [...found.through].sort(), unknown: found.unknown, clear: found.clear }).toEqual({
      through,
      unknown,
      clear,
    });
  });

  test('what is not traced is told, and a board traced in part is never clear', () => {
    const part = { ref: 'R1', kind: 'resistor', pins: { '1': null, '2': null }, value: { resistance: 1000 } } as const;
    expect(readingInPlace({ parts: [part] }, { ref: 'R1', plus: '1', minus: '2', mode: 'ohm' })).toEqual({
      kind: 'untraced',
      pin: 'R1.1',
    });
    const begun: Board = {
      parts: [
        { ref: 'Q1', kind: 'nmos', pins: { G: null, D: null, S: null } },
        { ...part, ref: 'R9' },
      ],
      joined: [
        ['Q1.D', 'R9.1'],
        ['Q1.S', 'Q1.G'],
      ],
    };
    expect(known(readingInPlace(begun, { ref: 'Q1', plus: 'D', minus: 'S', mode: 'ohm' })).clear).toBe(false);
  });
});

test.each`
  parts                                                                                                                                    | ref     | farads   | refs      | why
  ${[capacitor('C1', 'p', 'n', 470e-6), capacitor('C2', 'p', 'n', 100e-6)]}                                                                | ${'C1'} | ${1e-4}  | ${['C2']} | ${'straight across'}
  ${[capacitor('C1', 'p', 'n', 470e-6), capacitor('C2', 'q', 'n', 220e-6), { ref: 'L1', kind: 'inductor', pins: { '1': 'p', '2': 'q' } }]} | ${'C1'} | ${22e-5} | ${['C2']} | ${'behind a choke'}
  ${[capacitor('C1', 'p', 'n', 470e-6), capacitor('C2', 'q', 'n', 220e-6), resistor('R1', 'p', 'q', 100)]}                                 | ${'C1'} | ${0}     | ${[]}     | ${'a resistor parts them'}
`('capacitors across $ref: $refs ($why)', ({ parts, ref, farads, refs }) => {
  const found = parallelCapacitors(board(...(parts as BoardPart[]), resistor('R8', 'p', 'n', 1e6)), ref);
  expect(found?.refs).toEqual(refs);
  expect(found?.farads).toBeCloseTo(farads, 9);
});

// Reference: ngspice, run in a process of its own; diodes as the model has them, N·Vt = 45 mV, 1 mA at their drop.
test('networks of resistors and diodes by chance read as ngspice has them', () => {
  let state = 11;
  const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const networks = Array.from({ length: 60 }, () => {
    const nodes = 3 + Math.floor(5 * random());
    return Array.from({ length: 4 + Math.floor(10 * random()) }, (_, index): Element => {
      const from = Math.floor(nodes * random());
      const to = (from + 1 + Math.floor((nodes - 1) * random())) % nodes;
      return random() < 0.5
        ? { ref: `E${index}`, from, to, kind: 'resistor', ohms: Math.round(10 * 10 ** (4 * random())) }
        : { ref: `E${index}`, from, to, kind: 'junction', drop: random() < 0.5 ? 0.55 : 0.22 };
    });
  });
  const netlists = networks.map((elements) => {
    const lines = elements.map((element, index) =>
      element.kind === 'resistor'
        ? `R${index} n${element.from} n${element.to} ${element.ohms}`
        : `D${index} n${element.from} n${element.to} ${element.kind === 'junction' && element.drop > 0.4 ? 'si' : 'sk'}`,
    );
    const leaks = [...new Set(elements.flatMap(({ from, to }) => [from, to]))].map(
      (node) => `Rl${node} n${node} 0 1e10`,
    );
    const model = (name: string, drop: number) =>
      `.model ${name} D(IS=${1e-3 / (Math.exp(drop / 0.045) - 1)} N=${0.045 / 0.025865})`;
    return [
      'title',
      'Vm m 0 3',
      'Rm m n0 3k',
      'Rg n1 0 1e-6',
      ...lines,
      ...leaks,
      model('si', 0.55),
      model('sk', 0.22),
      '.options temp=27 tnom=27',
      '.op',
      '.end',
      '',
    ].join('\n');
  });
  const { stdout } = spawnSync('node', [join(process.cwd(), 'scripts/spice.mjs')], {
    input: JSON.stringify(netlists),
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  const results = JSON.parse(stdout) as Record<string, number>[];
  const off = networks.flatMap((elements, index) => {
    const { volts, converged } = solveNetwork(elements, 0, 1, { volts: 3, ohms: 3000 });
    const reference = results[index]?.['v(n0)'] ?? NaN;
    return converged && Math.abs(volts - reference) < 2e-3 ? [] : [{ index, volts, reference, converged }];
  });
  expect(off).toEqual([]);
});
