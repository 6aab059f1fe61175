import { carryOf, largestOf, multiplyOf } from './linear';
import { equationsOf, type PhaseEquations } from './equations';
import type { Network, NetworkProblem } from './network';

/** Taylor terms of a propagator whose exponent is at most a quarter. */
const TERMS = 9;
const EASY = 0.25;
/** Halvings of a tick at most, where a network is that stiff. */
const MOST_HALVINGS = 80;
/** Durations are written in digits of this base, each with a propagator of its own. */
const BASE_BITS = 4;
const BASE = 2 ** BASE_BITS;
/** Times that a digit of several bits is wanted before a propagator is made for it. */
const WORTH_MAKING = 12;
/** A network is told in ticks of another that are longer or shorter by up to this power of two. */
const OTHER_TICK = 1;
const LARGEST_WORD = 2 ** 30 - 1;

/**
 * The network in one state of its devices, with what carries it through time: exp(M·h) − 1 for every digit of a duration in ticks,
 * doubled as 2X + X², which loses nothing of slow modes beside fast ones. Each is made when it is first wanted.
 */
export class Phase {
  /** What the guards are over the state, and behind them their rates. */
  readonly guards: Float64Array;
  readonly guardRows: Float64Array;
  /** Sums of the sizes of the terms of their rates, which say what rounding of each may be off by; and the largest of each. */
  readonly guardBlurs: Float64Array;
  readonly mostBlur: Float64Array;
  /** Sizes of the entries of M. */
  readonly sizes: Float64Array;
  /** exp(M·d·16ᵖ) − 1 at p·16 + d. */
  private readonly digits: (Float64Array | undefined)[] = [];
  private readonly uses: number[] = [];
  private readonly n: number;
  private readonly one: Float64Array;
  private readonly other: Float64Array;
  /** Carries a state by a propagator: y = x + X·x. */
  readonly carry: ReturnType<typeof carryOf>;
  private readonly multiply: ReturnType<typeof multiplyOf>;

  /** @param number its place among the phases of its network */
  constructor(
    readonly number: number,
    readonly equations: PhaseEquations,
    readonly on: readonly boolean[],
    network: Network,
    private readonly tick: number,
    /** Devices that change by what the circuit does. */
    guarded: readonly number[],
  ) {
    const { m, volts } = equations;
    const n = network.size;
    this.n = n;
    this.one = new Float64Array(n);
    this.other = new Float64Array(n);
    this.carry = carryOf(n);
    this.multiply = multiplyOf(n);
    this.guards = new Float64Array(2 * guarded.length * n);
    this.guardRows = this.guards.subarray(0, guarded.length * n);
    guarded.forEach((index, row) => {
      const device = network.devices[index]!;
      if (device.control?.flux) {
        this.guardRows.set(device.control.flux, row * n);
        return;
      }
      const [plus, minus] = device.control ? [device.control.plus, device.control.minus] : [device.a, device.b];
      for (let column = 0; column < n; column += 1)
        this.guardRows[row * n + column] =
          (plus >= 0 ? volts[plus * n + column]! : 0) - (minus >= 0 ? volts[minus * n + column]! : 0);
      if (!device.control) this.guardRows[row * n + network.constant]! -= device.drop;
    });
    this.guards.set(rowsTimes(this.guardRows, guarded.length, m, n), guarded.length * n);
    this.sizes = m.map(Math.abs);
    this.guardBlurs = rowsTimes(this.guardRows.map(Math.abs), guarded.length, this.sizes, n);
    this.mostBlur = largestOf(this.guardBlurs, guarded.length, n);
  }

  /** exp(M) − 1 of one tick: a series over a part of it, doubled. */
  private ofOneTick(): Float64Array {
    const { n, tick } = this;
    const { m } = this.equations;
    let norm = 0;
    for (let row = 0; row < n; row += 1) {
      let sum = 0;
      for (let column = 0; column < n; column += 1) sum += Math.abs(m[row * n + column]!);
      norm = Math.max(norm, sum);
    }
    const halvings = Math.max(0, Math.min(MOST_HALVINGS, Math.ceil(Math.log2(Math.max(norm * tick, 1e-300) / EASY))));
    const step = m.map((value) => value * (tick / 2 ** halvings));
    let sum: Float64Array = new Float64Array(n * n);
    // Horner: X = A(1 + A/2(1 + A/3(…)))
    for (let term = TERMS; term >= 1; term -= 1) {
      const next = new Float64Array(n * n);
      for (let index = 0; index < n; index += 1) sum[index * n + index]! += 1;
      this.multiply(step, sum, next);
      for (let index = 0; index < next.length; index += 1) next[index]! /= term;
      sum = next;
    }
    for (let halving = 0; halving < halvings; halving += 1) sum = this.doubled(sum);
    return sum;
  }

  private digit(place: number, digit: number): Float64Array {
    const at = place * BASE + digit;
    const known = this.digits[at];
    if (known) return known;
    let made: Float64Array;
    if (digit === 1) made = place === 0 ? this.ofOneTick() : this.doubled(this.digit(place - 1, BASE / 2));
    else if (digit % 2 === 0) made = this.doubled(this.digit(place, digit / 2));
    else made = this.joined(this.digit(place, digit - 1), this.digit(place, 1));
    this.digits[at] = made;
    return made;
  }

  /** The propagator of a digit that comes often enough; the others are carried over bit by bit, of which each is there anyway. */
  private worthMaking(place: number, digit: number): Float64Array | undefined {
    const at = place * BASE + digit;
    const uses = (this.uses[at] ?? 0) + 1;
    this.uses[at] = uses;
    return uses > WORTH_MAKING || (digit & (digit - 1)) === 0 ? this.digit(place, digit) : undefined;
  }

  /** exp(A + B) − 1 of two that commute. */
  private joined(a: Float64Array, b: Float64Array): Float64Array {
    const product = new Float64Array(a.length);
    this.multiply(a, b, product);
    for (let index = 0; index < product.length; index += 1) product[index]! += a[index]! + b[index]!;
    return product;
  }

  private doubled(x: Float64Array): Float64Array {
    const squared = new Float64Array(x.length);
    this.multiply(x, x, squared);
    for (let index = 0; index < squared.length; index += 1) squared[index]! += 2 * x[index]!;
    return squared;
  }

  /** The propagator over a whole number of ticks. */
  over(ticks: number): Float64Array {
    let made: Float64Array | undefined;
    let left = ticks;
    for (let place = 0; left > 0; place += 1) {
      const digit = left % BASE;
      left = (left - digit) / BASE;
      if (digit === 0) continue;
      const part = this.digit(place, digit);
      made = made ? this.joined(made, part) : part;
    }
    return made ?? new Float64Array(this.n * this.n);
  }

  /** Carries z over a whole number of ticks, into another vector. */
  advance(z: Float64Array, ticks: number, into: Float64Array): void {
    const { carry, digits } = this;
    let left = ticks;
    let place = 0;
    let from = z;
    let to = this.one;
    // The last digit is carried into the vector that was asked for.
    while (left > 0) {
      // Whole numbers of a machine word are taken apart by shifts.
      const isWord = left <= LARGEST_WORD;
      const digit = isWord ? left & (BASE - 1) : left % BASE;
      left = isWord ? left >> BASE_BITS : (left - digit) / BASE;
      let bits = digit;
      while (bits > 0) {
        const x = digits[place * BASE + bits] ?? this.worthMaking(place, bits);
        const one = x ?? this.digit(place, bits & -bits);
        bits = x ? 0 : bits & (bits - 1);
        if (left === 0 && bits === 0) {
          carry(one, from, into);
          return;
        }
        carry(one, from, to);
        from = to;
        to = to === this.one ? this.other : this.one;
      }
      place += 1;
    }
    into.set(from);
  }
}

/** Rows of functions over z, each times M: their rates. */
export function rowsTimes(rows: Float64Array, count: number, m: Float64Array, n: number): Float64Array {
  const rates = new Float64Array(count * n);
  for (let row = 0; row < count; row += 1)
    for (let inner = 0; inner < n; inner += 1) {
      const factor = rows[row * n + inner]!;
      if (factor === 0) continue;
      for (let column = 0; column < n; column += 1) rates[row * n + column]! += factor * m[inner * n + column]!;
    }
  return rates;
}

/** The phases of a network, each made when its state of devices is first met. */
export class Phases {
  private readonly known = new Map<number, Phase>();
  private ownFigures: string | undefined;

  constructor(
    private readonly network: Network,
    readonly tick: number,
    private readonly guarded: readonly number[],
  ) {}

  /**
   * Whether these hold for another network: one that differs in when its gates and sources do what they do, and in nothing else.
   * @param tick what it would be told in by itself, seconds; these may be finer or coarser by less than a factor
   */
  serve(network: Network, tick: number): boolean {
    if (!(Math.abs(Math.log2(tick / this.tick)) < OTHER_TICK)) return false;
    this.ownFigures ??= figuresOf(this.network);
    return figuresOf(network) === this.ownFigures;
  }

  at(on: readonly boolean[]): Phase | NetworkProblem {
    // One bit a device; more than fit into the whole part of a number are in no deck of this trade.
    let key = 0;
    for (const isOn of on) key = key * 2 + (isOn ? 1 : 0);
    const known = this.known.get(key);
    if (known) return known;
    const equations = equationsOf(this.network, (device) => on[device] === true);
    if ('kind' in equations) return equations;
    const phase = new Phase(this.known.size, equations, [...on], this.network, this.tick, this.guarded);
    this.known.set(key, phase);
    return phase;
  }
}

/** All of a network that its equations depend on. */
const figuresOf = ({
  nodes,
  devices,
  capacitors,
  inductors,
  resistors,
  sources,
  inductance,
  constant,
  size,
}: Network) =>
  JSON.stringify([
    nodes,
    devices.map(({ control, ...device }) => [device, control?.plus, control?.minus, control?.flux, !control?.course]),
    capacitors,
    inductors,
    resistors,
    sources.map(({ course, ...source }) => [source, course.kind === 'pulse' ? course.kind : course]),
    [...inductance],
    constant,
    size,
  ]);
