import type { Signal } from './deck/deck';
import { upperInverse, type Network } from './network';
import { rowsTimes, type Phase } from './phase';

/** A signal as a row over the state of a phase, with its rate; and the sizes of its terms, for how far rounding puts it off. */
export interface Read {
  readonly row: Float64Array;
  readonly rate: Float64Array;
  readonly terms: Float64Array;
}
export type Reader = (phase: Phase) => Read;

/** Why a signal cannot be read. */
export interface SignalProblem {
  readonly unknown: string;
}

/** A signal that is a sum over the state: volts or amperes. */
type Plain = Exclude<Signal, { kind: 'watts' }> | { readonly kind: 'across' | 'amperes'; readonly element: string };

/** A plain signal of a measure over any phase of a network. */
export function readerOf(network: Network, signal: Plain): Reader | SignalProblem {
  const rows = rowOf(network, signal);
  if (typeof rows !== 'function') return rows;
  const known = new Map<Phase, Read>();
  return (phase) => {
    const before = known.get(phase);
    if (before) return before;
    const { row, terms = row.map(Math.abs) } = rows(phase);
    const one = { row, rate: rowsTimes(row, 1, phase.equations.m, network.size), terms };
    known.set(phase, one);
    return one;
  };
}

/** A row, and the sizes of its terms where they cancel in it. */
interface Row {
  readonly row: Float64Array;
  readonly terms?: Float64Array;
}

function rowOf(network: Network, signal: Plain): ((phase: Phase) => Row) | SignalProblem {
  const n = network.size;
  const between = (phase: Phase, a: number, b: number, factor = 1) => {
    const { volts } = phase.equations;
    const row = new Float64Array(n);
    const terms = new Float64Array(n);
    for (let column = 0; column < n; column += 1) {
      const [high, low] = [a >= 0 ? volts[a * n + column]! : 0, b >= 0 ? volts[b * n + column]! : 0];
      row[column] = factor * (high - low);
      terms[column] = Math.abs(factor) * (Math.abs(high) + Math.abs(low));
    }
    return { row, terms };
  };
  if (signal.kind === 'volts') {
    const [plus, minus] = [network.node.get(signal.plus), network.node.get(signal.minus)];
    if (plus === undefined) return { unknown: `a node ${signal.plus}` };
    if (minus === undefined) return { unknown: `a node ${signal.minus}` };
    return (phase) => between(phase, plus, minus);
  }
  const { element } = signal;
  if (signal.kind === 'magnetising') {
    const coil = network.inductors.findIndex(({ name }) => name === element);
    return coil < 0 ? { unknown: `a winding ${element}` } : () => ({ row: network.fluxOf(coil) });
  }
  if (signal.kind === 'across') {
    const ends = [
      ...network.resistors,
      ...network.devices,
      ...network.inductors,
      ...network.capacitors,
      ...network.sources,
    ];
    const one = ends.find(({ name }) => name === element);
    return one ? (phase) => between(phase, one.a, one.b) : { unknown: `an element ${element}` };
  }
  const is = ({ name }: { readonly name: string }) => name === element;
  const resistor = network.resistors.find(is);
  if (resistor) return (phase) => between(phase, resistor.a, resistor.b, resistor.siemens);
  const devices = indicesOf(network.devices, is);
  if (devices.length > 0)
    return (phase) => {
      const sum = { row: new Float64Array(n), terms: new Float64Array(n) };
      for (const device of devices) {
        const { a, b, onSiemens, offSiemens, drop, isTurned } = network.devices[device]!;
        const siemens = (phase.on[device] ? onSiemens : offSiemens) * (isTurned ? -1 : 1);
        const { row, terms } = between(phase, a, b, siemens);
        row[network.constant]! -= siemens * drop;
        for (let column = 0; column < n; column += 1) {
          sum.row[column]! += row[column]!;
          sum.terms[column]! += terms[column]!;
        }
      }
      return sum;
    };
  const coils = indicesOf(network.inductors, is);
  if (coils.length > 0) {
    const count = network.inductors.length;
    const inverse = upperInverse(network.inductance, count);
    const row = new Float64Array(n);
    for (const coil of coils)
      for (let column = 0; column < count; column += 1)
        row[network.capacitors.length + column]! += inverse[coil * count + column]!;
    return () => ({ row });
  }
  const capacitor = network.capacitors.findIndex(is);
  if (capacitor >= 0)
    return (phase) => ({ row: phase.equations.capacitorAmperes.slice(capacitor * n, (capacitor + 1) * n) });
  const source = network.sources.findIndex(is);
  const battery = network.sources.filter(({ kind }) => kind === 'V').findIndex(is);
  if (source >= 0 && battery >= 0)
    return (phase) => ({ row: phase.equations.sourceAmperes.slice(battery * n, (battery + 1) * n) });
  const pushed = network.sources[source];
  if (pushed) {
    const row = new Float64Array(n);
    const { course } = pushed;
    if (course.kind === 'dc') row[network.constant] = course.value;
    else row[network.courseAt[source]!] = 1;
    return () => ({ row });
  }
  return { unknown: `an element ${element} that carries a current` };
}

/** Where the pieces of one element stand: a switch and its body diode, a coil and what its core gives way by. */
const indicesOf = <T>(all: readonly T[], is: (one: T) => boolean): readonly number[] =>
  all.flatMap((one, index) => (is(one) ? [index] : []));
