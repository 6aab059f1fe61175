import type { Measure, Signal } from './deck/deck';
import { rowsTimes, type Phase } from './phase';
import { upperInverse, type Network } from './network';
import { cubic, powerBelow, TICKS, type Run, type Stretch } from './transient';

/** A value with its unit. */
export interface Measured {
  readonly value: number;
  readonly unit: 'V' | 'A';
}

/** A signal as a row over the state of a phase, with its rate. */
type Reader = (phase: Phase) => { readonly row: Float64Array; readonly rate: Float64Array };

/** Why a signal cannot be read. */
export interface SignalProblem {
  readonly unknown: string;
}

/** The signal of a measure over any phase of a network. */
export function readerOf(network: Network, signal: Signal): Reader | SignalProblem {
  const rows = rowOf(network, signal);
  if (typeof rows !== 'function') return rows;
  const known = new Map<Phase, { row: Float64Array; rate: Float64Array }>();
  return (phase) => {
    const before = known.get(phase);
    if (before) return before;
    const row = rows(phase);
    const one = { row, rate: rowsTimes(row, 1, phase.equations.m, network.size) };
    known.set(phase, one);
    return one;
  };
}

function rowOf(network: Network, signal: Signal): ((phase: Phase) => Float64Array) | SignalProblem {
  const n = network.size;
  const between = (phase: Phase, a: number, b: number, factor = 1) => {
    const { volts } = phase.equations;
    const row = new Float64Array(n);
    for (let column = 0; column < n; column += 1)
      row[column] = factor * ((a >= 0 ? volts[a * n + column]! : 0) - (b >= 0 ? volts[b * n + column]! : 0));
    return row;
  };
  if (signal.kind === 'volts') {
    const [plus, minus] = [network.node.get(signal.plus), network.node.get(signal.minus)];
    if (plus === undefined) return { unknown: `a node ${signal.plus}` };
    if (minus === undefined) return { unknown: `a node ${signal.minus}` };
    return (phase) => between(phase, plus, minus);
  }
  const { element } = signal;
  const is = ({ name }: { readonly name: string }) => name === element;
  const resistor = network.resistors.find(is);
  if (resistor) return (phase) => between(phase, resistor.a, resistor.b, resistor.siemens);
  const device = network.devices.findIndex(is);
  if (device >= 0) {
    const { a, b, onSiemens, offSiemens, drop } = network.devices[device]!;
    return (phase) => {
      const siemens = phase.on[device] ? onSiemens : offSiemens;
      const row = between(phase, a, b, siemens);
      row[network.constant]! -= siemens * drop;
      return row;
    };
  }
  const coil = network.inductors.findIndex(is);
  if (coil >= 0) {
    const count = network.inductors.length;
    const inverse = upperInverse(network.inductance, count);
    const row = new Float64Array(n);
    for (let column = 0; column < count; column += 1)
      row[network.capacitors.length + column] = inverse[coil * count + column]!;
    return () => row;
  }
  const capacitor = network.capacitors.findIndex(is);
  if (capacitor >= 0) return (phase) => phase.equations.capacitorAmperes.slice(capacitor * n, (capacitor + 1) * n);
  const source = network.sources.findIndex(is);
  const battery = network.sources.filter(({ kind }) => kind === 'V').findIndex(is);
  if (source >= 0 && battery >= 0)
    return (phase) => phase.equations.sourceAmperes.slice(battery * n, (battery + 1) * n);
  return { unknown: `an element ${element} that carries a current` };
}

/** A piece of a signal: its ends, their slopes, and how long it is, in seconds. */
interface Piece {
  readonly seconds: number;
  readonly y0: number;
  readonly y1: number;
  readonly d0: number;
  readonly d1: number;
}

/** Halvings of a stretch before a cubic is taken for what it is. */
const DEEPEST = 18;
/** A cubic may be off by so much of the signal’s range in its middle. */
const CLOSE = 4e-6;
/** After a change of a device the first of a period is left out of extremes: leaks settle in it. */
const SETTLING_TICKS = TICKS / 2 ** 22;

/** The span of time that a measure looks at, seconds; a moment has no length. */
export function windowOf(
  { window }: Measure,
  { span, period }: { readonly span: number; readonly period: number },
): readonly [from: number, to: number] {
  if (window.kind === 'span') return [window.from, window.to];
  return window.kind === 'moment' ? [window.at, window.at] : [span - window.periods * period, span];
}

/** Works a measure out of the stretches of a run. */
export function measureOf(
  network: Network,
  run: Run,
  measure: Measure,
  { span, period }: { readonly span: number; readonly period: number },
): Measured | SignalProblem {
  const reader = readerOf(network, measure.signal);
  if ('unknown' in reader) return reader;
  const unit = measure.signal.kind === 'volts' ? 'V' : 'A';
  const { op } = measure;
  const [from, to] = windowOf(measure, { span, period });
  if (op === 'at') return { value: valueAt(run, reader, from), unit };
  const first = Math.round(from / run.tick);
  const last = Math.round(to / run.tick);
  const stretches = run.stretches.filter((one) => one.from >= first && one.from + one.ticks <= last);
  const range = roughRange(stretches, reader);
  const close =
    CLOSE * Math.max(range.high - range.low, 1e-9 * Math.max(Math.abs(range.high), Math.abs(range.low)), 1e-15);
  let [seconds, sum, squares, high, low] = [0, 0, 0, -Infinity, Infinity];
  for (const stretch of stretches)
    piecesOf(stretch, reader(stretch.phase), run.tick, close, (piece, isSettled) => {
      const { y0, y1, d0, d1 } = piece;
      const h = piece.seconds;
      const middle = cubic(0.5, y0, y1, d0 * h, d1 * h);
      seconds += h;
      sum += (h / 6) * (y0 + 4 * middle + y1);
      // Five points of Lobatto are exact to the seventh power: a cubic squared is of the sixth.
      const [one, other] = [0.5 - LOBATTO, 0.5 + LOBATTO].map((share) => cubic(share, y0, y1, d0 * h, d1 * h));
      squares +=
        h * (0.05 * (y0 * y0 + y1 * y1) + (49 / 180) * (one! * one! + other! * other!) + (16 / 45) * middle * middle);
      if (!isSettled) return;
      high = Math.max(high, y0, y1);
      low = Math.min(low, y0, y1);
      if (d0 * d1 < 0) {
        const turn = turningPoint(piece);
        if (turn !== undefined) {
          high = Math.max(high, turn);
          low = Math.min(low, turn);
        }
      }
    });
  const value = { avg: sum / seconds, rms: Math.sqrt(squares / seconds), pp: high - low, max: high, min: low, at: NaN }[
    op
  ];
  return { value, unit };
}

const LOBATTO = Math.sqrt(3 / 7) / 2;

function dot(row: Float64Array, z: Float64Array): number {
  let sum = 0;
  for (let index = 0; index < z.length; index += 1) sum += row[index]! * z[index]!;
  return sum;
}

/** The range of a signal by the beginnings and ends of stretches, leaks settled. */
function roughRange(stretches: readonly Stretch[], reader: Reader): { high: number; low: number } {
  let [high, low] = [-Infinity, Infinity];
  let settled: Float64Array | undefined;
  for (const { phase, z, end, ticks, isFresh } of stretches) {
    const { row } = reader(phase);
    settled ??= new Float64Array(z.length);
    if (isFresh) phase.advance(z, Math.min(ticks, SETTLING_TICKS), settled);
    for (const value of [dot(row, isFresh ? settled : z), dot(row, end)]) {
      high = Math.max(high, value);
      low = Math.min(low, value);
    }
  }
  return Number.isFinite(high) ? { high, low } : { high: 1, low: 0 };
}

function valueAt(run: Run, reader: Reader, seconds: number): number {
  const at = Math.round(seconds / run.tick);
  const stretch = run.stretches.find((one) => one.from <= at && at <= one.from + one.ticks);
  if (!stretch) return NaN;
  const z = new Float64Array(stretch.z.length);
  stretch.phase.advance(stretch.z, at - stretch.from, z);
  return dot(reader(stretch.phase).row, z);
}

/** Cuts a stretch until a cubic holds in each piece, and hands the pieces out in their order. */
function piecesOf(
  { phase, z, end, ticks, isFresh }: Stretch,
  { row, rate }: { readonly row: Float64Array; readonly rate: Float64Array },
  tick: number,
  close: number,
  take: (piece: Piece, isSettled: boolean) => void,
): void {
  const settling = isFresh ? Math.min(ticks, SETTLING_TICKS) : 0;
  const cut = (from: Float64Array, end: Float64Array, length: number, depth: number): void => {
    const h = length * tick;
    const piece = { seconds: h, y0: dot(row, from), y1: dot(row, end), d0: dot(rate, from), d1: dot(rate, end) };
    if (depth < DEEPEST && length > 2) {
      // A power of two is carried over in one go.
      const part = powerBelow(length);
      const middle = new Float64Array(from.length);
      phase.advance(from, part, middle);
      const guess = cubic(part / length, piece.y0, piece.y1, piece.d0 * h, piece.d1 * h);
      const [y, d] = [dot(row, middle), dot(rate, middle)];
      if (Math.abs(guess - y) > close) {
        cut(from, middle, part, depth + 1);
        cut(middle, end, length - part, depth + 1);
        return;
      }
      take({ seconds: part * tick, y0: piece.y0, y1: y, d0: piece.d0, d1: d }, true);
      take({ seconds: (length - part) * tick, y0: y, y1: piece.y1, d0: d, d1: piece.d1 }, true);
      return;
    }
    take(piece, true);
  };
  let from = z;
  if (settling > 0) {
    // Leaks settle in it: it counts as what it has come to.
    from = new Float64Array(z.length);
    phase.advance(z, settling, from);
    const value = dot(row, from);
    take({ seconds: settling * tick, y0: value, y1: value, d0: 0, d1: 0 }, false);
  }
  if (ticks > settling) cut(from, end, ticks - settling, 0);
}

/** Where a cubic turns between its ends. */
function turningPoint({ y0, y1, d0, d1, seconds }: Piece): number | undefined {
  const [a, b] = [d0 * seconds, d1 * seconds];
  // y' = A·s² + B·s + C.
  const A = 6 * (y0 - y1) + 3 * (a + b);
  const B = -6 * (y0 - y1) - 4 * a - 2 * b;
  const C = a;
  const root = B * B - 4 * A * C;
  if (root < 0) return undefined;
  const q = -0.5 * (B + Math.sign(B || 1) * Math.sqrt(root));
  for (const s of [A === 0 ? NaN : q / A, q === 0 ? NaN : C / q]) if (s > 0 && s < 1) return cubic(s, y0, y1, a, b);
  return undefined;
}
