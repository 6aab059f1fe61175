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
 * nodal analysis, Newton's iteration with the step of each junction limited; exact to 1 µV when it converged.
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
  let volts = new Float64Array(size);
  const at = (node: number) => (node < 0 ? 0 : (volts[node] ?? 0));
  const across = elements.map(() => 0);
  let converged = size === 0;
  for (let round = 0; round < ROUNDS && !converged; round += 1) {
    const matrix = Array.from({ length: size }, () => new Float64Array(size + 1));
    const stamp = (a: number, b: number, siemens: number, source: number) => {
      add(matrix, a, a, siemens);
      add(matrix, b, b, siemens);
      add(matrix, a, b, -siemens);
      add(matrix, b, a, -siemens);
      add(matrix, a, size, -source);
      add(matrix, b, size, source);
    };
    for (let node = 0; node < size; node += 1) add(matrix, node, node, LEAK);
    stamp(lead, -1, 1 / drive.ohms, -drive.volts / drive.ohms);
    elements.forEach((element, index) => {
      const { a, b } = ends[index] ?? { a: -1, b: -1 };
      const { siemens, source } = linearised(element, across[index] ?? 0);
      stamp(a, b, siemens, source);
    });
    const next = eliminate(matrix);
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

function add(matrix: readonly Float64Array[], row: number, column: number, value: number): void {
  const line = matrix[row];
  if (row < 0 || column < 0 || !line) return;
  line[column] = (line[column] ?? 0) + value;
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

/** Solves the augmented matrix in place. Method: Gauss with partial pivoting. */
function eliminate(matrix: Float64Array[]): Float64Array<ArrayBuffer> {
  const size = matrix.length;
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(matrix[row]?.[column] ?? 0) > Math.abs(matrix[pivot]?.[column] ?? 0)) pivot = row;
    const [top, here] = [matrix[pivot], matrix[column]];
    if (!top || !here) continue;
    matrix[column] = top;
    matrix[pivot] = here;
    for (let row = column + 1; row < size; row += 1) {
      const line = matrix[row];
      const factor = (line?.[column] ?? 0) / (top[column] ?? 1);
      if (!line || factor === 0) continue;
      for (let k = column; k <= size; k += 1) line[k] = (line[k] ?? 0) - factor * (top[k] ?? 0);
    }
  }
  const solution = new Float64Array(size);
  for (let row = size - 1; row >= 0; row -= 1) {
    const line = matrix[row];
    if (!line) continue;
    let sum = line[size] ?? 0;
    for (let k = row + 1; k < size; k += 1) sum -= (line[k] ?? 0) * (solution[k] ?? 0);
    solution[row] = sum / (line[row] ?? 1);
  }
  return solution;
}
