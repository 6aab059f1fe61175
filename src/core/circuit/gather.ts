import { cubic, turningPoint } from './cubic';
import { largestOf, projectOf } from './linear';
import type { Phase } from './phase';
import type { Reader } from './signals';
import { powerBelow, TICKS } from './ticks';
import type { Stretch } from './transient';

/** Halvings of a stretch before a cubic is taken for what it is. */
const DEEPEST = 18;
/** After a change of a device the first of a period is left out of extremes: leaks settle in it. */
const SETTLING_TICKS = TICKS / 2 ** 22;
/** Inner points of Lobatto’s rule with five, and its weights: exact to the seventh power, and a cubic squared is of the sixth. */
const LOBATTO = Math.sqrt(3 / 7) / 2;
const [OUTER, INNER, CENTRE] = [0.05, 49 / 180, 16 / 45];
/** What rounding of the terms of a sum may come to, with room. */
const NOISE = 1e-14;
/** Volts or amperes that no range is looked at more closely than; nothing of this trade hangs on less. */
const LEAST_RANGE = 1e-7;

/** What reads a signal: one sum over the state, or for a power the two that it is the product of. */
export interface Readers {
  readonly reader: Reader;
  readonly factor?: Reader;
}

/** What a signal came to over a window. */
export interface Sums {
  readonly seconds: number;
  readonly sum: number;
  readonly squares: number;
  readonly high: number;
  readonly low: number;
}

/** The signals of a window as rows over the state of one phase. */
interface Rows {
  /** Signals, the currents of those that are powers, and then the rates of both. */
  readonly all: Float64Array;
  /** Sizes of the terms of each but the rates, and the largest of them. */
  readonly terms: Float64Array;
  readonly most: Float64Array;
}

/** Looks of one depth, which the next deeper one does not write into. */
interface Depth {
  readonly state: Float64Array;
  readonly seen: Float64Array;
  readonly wanted: Int32Array;
}

/** Sums signals up over stretches: each is cut until a cubic holds for every signal in each piece, and the cubics are summed. */
class Gatherer {
  private readonly project: ReturnType<typeof projectOf>;
  private readonly rowsIn = new Map<Phase, Rows>();
  private readonly readers: readonly Reader[];
  /** Of each signal the place of the current that goes with its volts, where it is a power; −1 where not. */
  private readonly factorOf: Int32Array;
  private readonly own: number;
  private readonly count: number;
  private readonly depths: readonly Depth[];
  private readonly seconds: Float64Array;
  private readonly sum: Float64Array;
  private readonly squares: Float64Array;
  private readonly high: Float64Array;
  private readonly low: Float64Array;
  /** How near a cubic must come to each signal: over all, and in the stretch in hand, where rounding may ask for less. */
  private readonly close: Float64Array;
  private readonly closeHere: Float64Array;
  /** How far rounding may put rates off in the stretch in hand. */
  private readonly blur: Float64Array;
  /** Sizes of the entries of the state in hand, and of the terms of their rates. */
  private readonly held: Float64Array;
  private readonly moving: Float64Array;
  private readonly piece = new Float64Array(4);
  private readonly other = new Float64Array(4);

  constructor(
    signals: readonly Readers[],
    private readonly tick: number,
    private readonly n: number,
  ) {
    this.own = signals.length;
    const factors = signals.flatMap(({ factor }) => (factor ? [factor] : []));
    this.readers = [...signals.map(({ reader }) => reader), ...factors];
    this.count = this.readers.length;
    let behind = this.own;
    this.factorOf = Int32Array.from(signals, ({ factor }) => (factor ? behind++ : -1));
    this.project = projectOf(n);
    [this.held, this.moving] = [new Float64Array(n), new Float64Array(n)];
    this.depths = Array.from({ length: DEEPEST + 4 }, () => ({
      state: new Float64Array(n),
      seen: new Float64Array(2 * this.count),
      wanted: new Int32Array(this.own),
    }));
    const each = (value = 0) => new Float64Array(this.own).fill(value);
    [this.seconds, this.sum, this.squares] = [each(), each(), each()];
    [this.high, this.low] = [each(-Infinity), each(Infinity)];
    const perRow = () => new Float64Array(this.count);
    [this.close, this.closeHere, this.blur] = [perRow(), perRow(), perRow()];
  }

  /** @param closeness how near a cubic must come, as a share of the range of each signal */
  gather(stretches: readonly Stretch[], closeness: number): readonly Sums[] {
    this.setClose(stretches, closeness);
    for (const stretch of stretches) this.take(stretch);
    const { seconds, sum, squares, high, low } = this;
    return Array.from({ length: this.own }, (_, index) => ({
      seconds: seconds[index]!,
      sum: sum[index]!,
      squares: squares[index]!,
      high: high[index]!,
      low: low[index]!,
    }));
  }

  private rowsOf(phase: Phase): Rows {
    const known = this.rowsIn.get(phase);
    if (known) return known;
    const { n, count, readers } = this;
    const [all, terms] = [new Float64Array(2 * count * n), new Float64Array(count * n)];
    readers.forEach((reader, index) => {
      const read = reader(phase);
      all.set(read.row, index * n);
      all.set(read.rate, (count + index) * n);
      terms.set(read.terms, index * n);
    });
    const most = largestOf(terms, count, n);
    const rows = { all, terms, most };
    this.rowsIn.set(phase, rows);
    return rows;
  }

  /** What a cubic may be off by, from the range of each signal at the beginnings and ends of stretches. */
  private setClose(stretches: readonly Stretch[], closeness: number): void {
    const { count, close } = this;
    const { state, seen } = this.depths[0]!;
    const [high, low] = [new Float64Array(count).fill(-Infinity), new Float64Array(count).fill(Infinity)];
    for (const { phase, z, end, ticks, isFresh } of stretches) {
      const { all } = this.rowsOf(phase);
      let begin = z;
      if (isFresh) {
        phase.advance(z, Math.min(ticks, SETTLING_TICKS), state);
        begin = state;
      }
      for (let last = 0; last < 2; last += 1) {
        this.project(all, count, last ? end : begin, seen);
        for (let index = 0; index < count; index += 1) {
          if (seen[index]! > high[index]!) high[index] = seen[index]!;
          if (seen[index]! < low[index]!) low[index] = seen[index]!;
        }
      }
    }
    for (let index = 0; index < count; index += 1) {
      const [most, least] = [high[index]!, low[index]!];
      close[index] =
        closeness *
        (Number.isFinite(most)
          ? Math.max(most - least, 1e-9 * Math.max(Math.abs(most), Math.abs(least)), LEAST_RANGE)
          : 1);
    }
  }

  private take({ phase, z, end, ticks, isFresh }: Stretch): void {
    const { own, count, depths } = this;
    const { all } = this.rowsOf(phase);
    this.setNoise(phase, z);
    const [first, last, top] = [depths[DEEPEST + 1]!, depths[DEEPEST + 2]!, depths[DEEPEST + 3]!];
    const settling = isFresh ? Math.min(ticks, SETTLING_TICKS) : 0;
    let from = z;
    if (settling > 0) {
      // Leaks settle in it: it counts as what it has come to.
      from = first.state;
      phase.advance(z, settling, from);
    }
    this.project(all, 2 * count, from, first.seen);
    if (settling > 0) this.addFlat(first.seen, settling * this.tick);
    if (ticks <= settling) return;
    this.project(all, 2 * count, end, last.seen);
    for (let index = 0; index < own; index += 1) top.wanted[index] = index;
    this.cut({ phase, all }, top.wanted, own, from, first.seen, last.seen, ticks - settling, 0);
  }

  /** What rounding of the terms may come to in a stretch; mostly a bound that costs little shows that it does not matter. */
  private setNoise(phase: Phase, z: Float64Array): void {
    const { count, close, closeHere, blur, n, held, moving } = this;
    const { terms, most } = this.rowsOf(phase);
    const { sizes } = phase;
    let size = 0;
    for (let column = 0; column < n; column += 1) {
      held[column] = Math.abs(z[column]!);
      size += held[column]!;
    }
    for (let row = 0, at = 0; row < n; row += 1) {
      let sum = 0;
      for (let column = 0; column < n; column += 1, at += 1) sum += sizes[at]! * held[column]!;
      moving[row] = sum;
    }
    const noiseOf = (row: number, of: Float64Array) => {
      let sum = 0;
      for (let column = 0, at = row * n; column < n; column += 1, at += 1) sum += terms[at]! * of[column]!;
      return NOISE * sum;
    };
    for (let index = 0; index < count; index += 1) {
      closeHere[index] =
        NOISE * most[index]! * size <= close[index]! ? close[index]! : Math.max(close[index]!, noiseOf(index, held));
      blur[index] = noiseOf(index, moving);
    }
  }

  /** Signals that a cubic describes are done with; only the others are looked at more closely. */
  private cut(
    of: { readonly phase: Phase; readonly all: Float64Array },
    wanted: Int32Array,
    many: number,
    from: Float64Array,
    y0: Float64Array,
    y1: Float64Array,
    length: number,
    depth: number,
  ): void {
    const { tick } = this;
    const seconds = length * tick;
    if (depth >= DEEPEST || length <= 2) {
      for (let place = 0; place < many; place += 1) this.add(wanted[place]!, y0, y1, seconds);
      return;
    }
    // A power of two is carried over in one go.
    const part = powerBelow(length);
    const { state, seen, wanted: left } = this.depths[depth]!;
    of.phase.advance(from, part, state);
    this.project(of.all, 2 * this.count, state, seen);
    const share = part / length;
    let leftOver = 0;
    for (let place = 0; place < many; place += 1) {
      const index = wanted[place]!;
      const factor = this.factorOf[index]!;
      const isClose =
        this.isClose(index, y0, y1, seen, seconds, share) &&
        (factor < 0 || this.isClose(factor, y0, y1, seen, seconds, share));
      if (!isClose) {
        left[leftOver] = index;
        leftOver += 1;
      } else {
        this.add(index, y0, seen, part * tick);
        this.add(index, seen, y1, (length - part) * tick);
      }
    }
    if (leftOver === 0) return;
    this.cut(of, left, leftOver, from, y0, seen, part, depth + 1);
    this.cut(of, left, leftOver, state, seen, y1, length - part, depth + 1);
  }

  /** Whether the cubic between two ends comes near what a row is at a share of the way. */
  private isClose(
    row: number,
    y0: Float64Array,
    y1: Float64Array,
    seen: Float64Array,
    seconds: number,
    share: number,
  ): boolean {
    const { piece } = this;
    this.fill(piece, y0, y1, seconds, row);
    return Math.abs(cubic(share, piece[0]!, piece[1]!, piece[2]!, piece[3]!) - seen[row]!) <= this.closeHere[row]!;
  }

  /** Ends of a piece with their rates over it; where rounding has eaten these, those of the chord. */
  private fill(piece: Float64Array, one: Float64Array, other: Float64Array, seconds: number, row: number): void {
    const [y0, y1] = [one[row]!, other[row]!];
    const isBlurred = this.blur[row]! * seconds > this.closeHere[row]!;
    piece[0] = y0;
    piece[1] = y1;
    piece[2] = isBlurred ? y1 - y0 : one[this.count + row]! * seconds;
    piece[3] = isBlurred ? y1 - y0 : other[this.count + row]! * seconds;
  }

  private addFlat(seen: Float64Array, seconds: number): void {
    for (let index = 0; index < this.own; index += 1) {
      const factor = this.factorOf[index]!;
      const value = seen[index]! * (factor < 0 ? 1 : seen[factor]!);
      this.seconds[index]! += seconds;
      this.sum[index]! += seconds * value;
      this.squares[index]! += seconds * value * value;
    }
  }

  /** Adds a piece: a cubic, or for a power the product of two, by Lobatto’s five points. */
  private add(index: number, one: Float64Array, other: Float64Array, seconds: number): void {
    const { piece, high, low } = this;
    const factor = this.factorOf[index]!;
    this.fill(piece, one, other, seconds, index);
    const [y0, y1, a, b] = [piece[0]!, piece[1]!, piece[2]!, piece[3]!];
    let [first, early, middle, late, last] = [
      y0,
      cubic(0.5 - LOBATTO, y0, y1, a, b),
      cubic(0.5, y0, y1, a, b),
      cubic(0.5 + LOBATTO, y0, y1, a, b),
      y1,
    ];
    if (factor >= 0) {
      const amperes = this.other;
      this.fill(amperes, one, other, seconds, factor);
      const [i0, i1, c, d] = [amperes[0]!, amperes[1]!, amperes[2]!, amperes[3]!];
      first *= i0;
      early *= cubic(0.5 - LOBATTO, i0, i1, c, d);
      middle *= cubic(0.5, i0, i1, c, d);
      late *= cubic(0.5 + LOBATTO, i0, i1, c, d);
      last *= i1;
      high[index] = Math.max(high[index]!, early, middle, late);
      low[index] = Math.min(low[index]!, early, middle, late);
    }
    this.seconds[index]! += seconds;
    this.sum[index]! += seconds * (OUTER * (first + last) + INNER * (early + late) + CENTRE * middle);
    this.squares[index]! +=
      seconds *
      (OUTER * (first * first + last * last) + INNER * (early * early + late * late) + CENTRE * middle * middle);
    high[index] = Math.max(high[index]!, first, last);
    low[index] = Math.min(low[index]!, first, last);
    if (factor >= 0 || a * b >= 0) return;
    const turn = turningPoint(y0, y1, a, b);
    if (turn === undefined) return;
    high[index] = Math.max(high[index]!, turn);
    low[index] = Math.min(low[index]!, turn);
  }
}

/**
 * Sums signals up over the stretches of a window.
 * @param of.tick seconds; `of.size` entries of a state; `of.closeness` how near a cubic must come, as a share of the range of each signal
 */
export const gather = (
  signals: readonly Readers[],
  stretches: readonly Stretch[],
  { tick, size, closeness }: { readonly tick: number; readonly size: number; readonly closeness: number },
): readonly Sums[] => new Gatherer(signals, tick, size).gather(stretches, closeness);
