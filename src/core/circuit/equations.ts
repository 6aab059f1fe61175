import type { Course } from './deck/deck';
import { solveInPlace } from './linear';
import { upperInverse, type Network, type NetworkProblem } from './network';

/** A tiny leak from every node to ground, siemens: it holds floating parts and is felt by nothing. */
const LEAK = 1e-11;
/**
 * And from parts that only coils and devices join to the rest: what coils carry into one must come to nothing, and the volts it stands at
 * are what rounding leaves of that over its leak. It is the same in every phase, or diodes would find no state that agrees.
 */
const LOOSE_LEAK = 1e-7;
/**
 * The network in one state of its devices as linear equations of its own state z (capacitors and inductors scaled by their energy, a
 * constant, the courses of the sources): dz/dt = M·z, and every node's volts as a row over z.
 */
export interface PhaseEquations {
  readonly m: Float64Array;
  /** Volts of node k: row k over z. */
  readonly volts: Float64Array;
  /** Amperes of capacitor k, in its first node, and of voltage source k. */
  readonly capacitorAmperes: Float64Array;
  readonly sourceAmperes: Float64Array;
}

/** Writes the equations of one state of the devices down. @param isOn by device */
export function equationsOf(network: Network, isOn: (device: number) => boolean): PhaseEquations | NetworkProblem {
  const { nodes, devices, capacitors, inductors, resistors, sources, constant, courseAt, size } = network;
  const batteries = sources.flatMap((source, index) => (source.kind === 'V' ? [index] : []));
  const nodeCount = nodes.length;
  const n = nodeCount + capacitors.length + batteries.length;
  const g = new Float64Array(n * n);
  const rhs = new Float64Array(n * size);
  const conduct = (a: number, b: number, siemens: number) => {
    if (a >= 0) g[a * n + a]! += siemens;
    if (b >= 0) g[b * n + b]! += siemens;
    if (a >= 0 && b >= 0) {
      g[a * n + b]! -= siemens;
      g[b * n + a]! -= siemens;
    }
  };
  /** A current into a node is on the right side. */
  const inject = (into: number, column: number, amperes: number) => {
    if (into >= 0) rhs[into * size + column]! += amperes;
  };
  for (let index = 0; index < nodeCount; index += 1) g[index * n + index]! += LEAK;
  for (const index of network.loose) g[index * n + index]! += LOOSE_LEAK;
  for (const { a, b, siemens } of resistors) conduct(a, b, siemens);
  devices.forEach(({ a, b, onSiemens, offSiemens, drop }, index) => {
    const siemens = isOn(index) ? onSiemens : offSiemens;
    conduct(a, b, siemens);
    // Both lines of a diode meet at its knee.
    inject(a, constant, siemens * drop);
    inject(b, constant, -siemens * drop);
  });
  const branch = (row: number, a: number, b: number) => {
    if (a >= 0) {
      g[a * n + row]! += 1;
      g[row * n + a]! += 1;
    }
    if (b >= 0) {
      g[b * n + row]! -= 1;
      g[row * n + b]! -= 1;
    }
  };
  capacitors.forEach(({ a, b, farads, ohms }, index) => {
    const row = nodeCount + index;
    branch(row, a, b);
    g[row * n + row]! -= ohms;
    rhs[row * size + index]! += 1 / Math.sqrt(farads);
  });
  batteries.forEach((source, index) => {
    const row = nodeCount + capacitors.length + index;
    const one = sources[source]!;
    branch(row, one.a, one.b);
    addCourse(rhs, row * size, one.course, courseAt[source]!, constant, 1);
  });
  const chol = network.inductance;
  const coils = inductors.length;
  // i = chol⁻ᵀ·w, column by column.
  const inverse = upperInverse(chol, coils);
  inductors.forEach(({ a, b }, row) => {
    for (let column = 0; column < coils; column += 1) {
      const share = inverse[row * coils + column]!;
      inject(a, capacitors.length + column, -share);
      inject(b, capacitors.length + column, share);
    }
  });
  sources.forEach(({ kind, a, b, course }, index) => {
    if (kind !== 'I') return;
    if (a >= 0) addCourse(rhs, a * size, course, courseAt[index]!, constant, -1);
    if (b >= 0) addCourse(rhs, b * size, course, courseAt[index]!, constant, 1);
  });
  const broken = solveInPlace(g, n, rhs, size);
  if (broken !== undefined)
    return {
      kind: 'singular',
      nodes:
        broken < nodeCount
          ? [nodes[broken] ?? '']
          : [
              capacitors[broken - nodeCount]?.name ??
                sources[batteries[broken - nodeCount - capacitors.length] ?? 0]?.name ??
                '',
            ],
    };
  const m = new Float64Array(size * size);
  capacitors.forEach(({ farads }, index) => {
    for (let column = 0; column < size; column += 1)
      m[index * size + column] = rhs[(nodeCount + index) * size + column]! / Math.sqrt(farads);
  });
  // dw/dt = chol⁻¹·v, and chol⁻¹ is the transpose of chol⁻ᵀ.
  for (let row = 0; row < coils; row += 1)
    for (let column = 0; column < size; column += 1) {
      let sum = 0;
      inductors.forEach(({ a, b }, coil) => {
        const share = inverse[coil * coils + row]!;
        if (share === 0) return;
        const volts = (a >= 0 ? rhs[a * size + column]! : 0) - (b >= 0 ? rhs[b * size + column]! : 0);
        sum += share * volts;
      });
      m[(capacitors.length + row) * size + column] = sum;
    }
  sources.forEach(({ course }, index) => {
    const at = courseAt[index]!;
    if (course.kind === 'pulse') m[at * size + at + 1] = 1;
    if (course.kind === 'sine') {
      const omega = 2 * Math.PI * course.frequency;
      m[at * size + at + 1] = omega;
      m[(at + 1) * size + at] = -omega;
    }
  });
  return {
    m,
    volts: rhs.slice(0, nodeCount * size),
    capacitorAmperes: rhs.slice(nodeCount * size, (nodeCount + capacitors.length) * size),
    sourceAmperes: rhs.slice((nodeCount + capacitors.length) * size),
  };
}

function addCourse(rhs: Float64Array, row: number, course: Course, at: number, constant: number, sign: number): void {
  if (course.kind === 'dc') rhs[row + constant]! += sign * course.value;
  else if (course.kind === 'pulse') rhs[row + at]! += sign;
  else {
    rhs[row + constant]! += sign * course.offset;
    rhs[row + at]! += sign * course.amplitude;
  }
}
