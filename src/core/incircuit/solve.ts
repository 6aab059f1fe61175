import { LuDecomposition, Matrix } from 'ml-matrix';
import type { Element } from './elements';

/** How the meter drives the network: an open-circuit voltage behind a resistance. */
export interface Drive {
  readonly volts: number;
  readonly ohms: number;
}

/** Emission coefficient times thermal voltage that gives silicon its slope at a milliampere. */
const SLOPE = 0.045;
/** Keeps the matrix regular where nothing conducts; a meter cannot see it. */
const LEAK = 1e-10;
const ROUNDS = 80;
const STEADY = 1e-6;
/** Largest step of a junction's voltage in one round. */
const LIMIT = 0.15;

export interface Solution {
  /** Volts across the leads. */
  readonly volts: number;
  /** Amperes through the leads. */
  readonly amperes: number;
  /** Amperes through each element, in the order given, from `from` to `to`. */
  readonly currents: readonly number[];
  readonly converged: boolean;
}

/**
 * Node voltages of a network of resistors and junctions that a meter drives from `plus` to `minus`. Method: modified
 * nodal analysis, Newton's iteration with the step of each junction limited; exact to 1 µV when it converged. The linear
 * equations of a round are solved by LU decomposition (ml-matrix); the leak keeps them regular.
 */
export function solveNetwork(elements: readonly Element[], plus: number, minus: number, drive: Drive): Solution {
  const numbers = new Map<number, number>([[minus, -1]]);
  const nodeOf = (net: number) => {
    const known = numbers.get(net);
    if (known !== undefined) return known;
    const next = numbers.size - 1;
    numbers.set(net, next);
    return next;
  };
  const ends = elements.map((element) => ({ a: nodeOf(element.from), b: nodeOf(element.to) }));
  const lead = nodeOf(plus);
  const size = numbers.size - 1;
  let volts: readonly number[] = new Array<number>(size).fill(0);
  const at = (node: number) => (node < 0 ? 0 : (volts[node] ?? 0));
  const across = elements.map(() => 0);
  let converged = size === 0;
  for (let round = 0; round < ROUNDS && !converged; round += 1) {
    const conductances = Matrix.eye(size, size, LEAK);
    const sources = Matrix.zeros(size, 1);
    const stamp = (a: number, b: number, siemens: number, source: number) => {
      add(conductances, a, a, siemens);
      add(conductances, b, b, siemens);
      add(conductances, a, b, -siemens);
      add(conductances, b, a, -siemens);
      add(sources, a, 0, -source);
      add(sources, b, 0, source);
    };
    stamp(lead, -1, 1 / drive.ohms, -drive.volts / drive.ohms);
    elements.forEach((element, index) => {
      const { a, b } = ends[index] ?? { a: -1, b: -1 };
      const { siemens, source } = linearised(element, across[index] ?? 0);
      stamp(a, b, siemens, source);
    });
    const next = new LuDecomposition(conductances).solve(sources).getColumn(0);
    const change = next.reduce((most, value, node) => Math.max(most, Math.abs(value - (volts[node] ?? 0))), 0);
    volts = next;
    let limited = false;
    elements.forEach((element, index) => {
      const { a, b } = ends[index] ?? { a: -1, b: -1 };
      const wanted = at(a) - at(b);
      const before = across[index] ?? 0;
      const step = wanted - before;
      const isLimited = element.kind === 'junction' && wanted > 0.3 && step > LIMIT;
      across[index] = isLimited ? before + LIMIT : wanted;
      limited ||= isLimited;
    });
    converged = !limited && change < STEADY;
  }
  const volt = at(lead);
  return {
    volts: volt,
    amperes: (drive.volts - volt) / drive.ohms,
    currents: elements.map((element, index) => currentOf(element, across[index] ?? 0)),
    converged,
  };
}

/** Adds at a place of a matrix; the reference node, which is negative, has no row. */
function add(matrix: Matrix, row: number, column: number, value: number): void {
  if (row >= 0 && column >= 0) matrix.set(row, column, matrix.get(row, column) + value);
}

const saturationOf = (drop: number) => 1e-3 / (Math.exp(drop / SLOPE) - 1);

function currentOf(element: Element, volts: number): number {
  if (element.kind === 'resistor') return volts / element.ohms;
  if (element.kind === 'junction') return saturationOf(element.drop) * (Math.exp(Math.min(volts / SLOPE, 60)) - 1);
  return 0;
}

/** Conductance and companion source of an element about its present voltage. */
function linearised(element: Element, volts: number): { siemens: number; source: number } {
  if (element.kind === 'resistor') return { siemens: 1 / element.ohms, source: 0 };
  if (element.kind === 'unknown') return { siemens: 0, source: 0 };
  const saturation = saturationOf(element.drop);
  const grown = saturation * Math.exp(Math.min(volts / SLOPE, 60));
  const siemens = grown / SLOPE + 1e-12;
  return { siemens, source: grown - saturation - siemens * volts };
}
