import { bendsOf, crossingsOf, startOf, type Bend, type Clock } from './courses';
import { crossingOf, cubic } from './cubic';
import type { Network, NetworkProblem } from './network';
import { Phases, type Phase } from './phase';

/** Ticks of a period; every duration is a sum of powers of two of them. */
export const TICKS = 2 ** 28;
/** Changes of devices after which a run is cut. */
const MOST_EVENTS = 1_000_000;
/** Tries to find which devices are on at one instant. */
const MOST_FLIPS = 60;
/** Flips of all that are violated, before one at a time. */
const FLIPS_AT_ONCE = 6;
/** Volts below which a guard does not say anything. */
const NOISE = 1e-9;
/** Rounding of a sum, as a share of its terms. */
const ROUNDING = 1e-15;
/** And of the device that was just passed. */
const PASSED = 1e-6;
/** Crossings within so many ticks belong together. */
const BURST = 64;
/** A state is changed by no more than this share of its size. */
const LEAST_CHANGE = 1e-4;
/** Volts of a guard that is only just passed. */
const JUST_BEYOND = 1e-10;
/** Times that a phase begins with the step it has learnt before a longer one is tried. */
const REST = 12;
/** A guard may bend so much of its distance between two looks. */
const BEND = 0.3;
/** Looks at a sine in a period of it. */
const LOOKS_A_SINE = 12;

/** A stretch of time in one state of the devices. */
export interface Stretch {
  readonly phase: Phase;
  readonly z: Float64Array;
  /** Where it ends. */
  readonly end: Float64Array;
  readonly from: number;
  readonly ticks: number;
  /** It begins with a change of a device. */
  readonly isFresh: boolean;
}

export interface Run {
  readonly stretches: readonly Stretch[];
  readonly tick: number;
  /** Seconds that were reached. */
  readonly reached: number;
  readonly events: number;
  readonly steps: number;
  readonly end: Float64Array;
  /** Which devices are on at the end. */
  readonly on: readonly boolean[];
  readonly phases: Phases;
  /** Instants at which no state of the devices agreed with the circuit, and the last that was tried was kept. */
  readonly unsettled: number;
  /** Cut before its end, and why. */
  readonly cut?: 'events';
}

/** Where a run begins that does not begin at nothing. */
export interface Beginning {
  readonly seconds: number;
  /** Scaled capacitors and inductors; the rest of the state follows from the moment. */
  readonly state: Float64Array;
  readonly on: readonly boolean[];
  readonly phases: Phases;
}

/**
 * Carries a network through time: exactly from one change of a device to the next, each change located to a tick. Changes of gates and
 * bends of sources are known beforehand; those of diodes are looked for between looks at their guards, which a cubic joins.
 * @param of.from seconds from which stretches are kept; `of.stops` moments at which a stretch ends
 */
export function runNetwork(
  network: Network,
  of: {
    readonly span: number;
    readonly period: number;
    readonly keepFrom: number;
    readonly stops: readonly number[];
    readonly begin?: Beginning;
    /** Changes after which the run is cut. */
    readonly mostEvents?: number;
  },
): Run | NetworkProblem {
  return new Runner(network, of).run();
}

class Runner {
  private readonly tick: number;
  private readonly guarded: readonly number[];
  private readonly phases: Phases;
  private readonly on: boolean[];
  private readonly pulses: readonly { readonly clock: Clock<Bend>; readonly at: number }[];
  private readonly gates: readonly { readonly clock: Clock<boolean>; readonly device: number }[];
  private readonly longest: number;
  private readonly firstSteps = new Map<Phase, { size: number; rest: number }>();
  private readonly g0: Float64Array;
  private readonly g1: Float64Array;
  private readonly r0: Float64Array;
  private readonly r1: Float64Array;
  private readonly keptG: Float64Array;
  private readonly keptR: Float64Array;
  private readonly lowZ: Float64Array;
  private readonly tried: Float64Array;
  /** Of each guard: where a switch that the circuit drives turns on and off; 0 for diodes, whose guard is their own. */
  private readonly onAbove: Float64Array;
  private readonly offBelow: Float64Array;
  private readonly isDiode: readonly boolean[];
  /** Of the rates that were looked at last: how far rounding may have put them off. */
  private readonly blur: Float64Array;
  /** Guards whose rates say nothing over the step in hand. */
  private readonly isBlurred: boolean[];

  constructor(
    private readonly network: Network,
    private readonly of: {
      span: number;
      period: number;
      keepFrom: number;
      stops: readonly number[];
      begin?: Beginning;
      mostEvents?: number;
    },
  ) {
    this.tick = of.period / TICKS;
    this.guarded = network.devices.flatMap(({ control }, index) => (control?.course ? [] : [index]));
    this.gates = network.devices.flatMap(({ control }, device) =>
      control?.course?.kind === 'pulse' ? [{ clock: crossingsOf(control.course, control, this.tick), device }] : [],
    );
    this.phases = of.begin?.phases ?? new Phases(network, this.tick, this.guarded);
    this.on = network.devices.map(({ control }, index) =>
      control?.course ? startOf(control.course) > control.onAbove : (of.begin?.on[index] ?? false),
    );
    this.pulses = network.sources.flatMap(({ course }, index) =>
      course.kind === 'pulse' ? [{ clock: bendsOf(course, this.tick), at: network.courseAt[index]! }] : [],
    );
    const sines = network.sources.flatMap(({ course }) => (course.kind === 'sine' ? [1 / course.frequency] : []));
    const longest = Math.min(of.period, ...sines) / LOOKS_A_SINE;
    this.longest = sines.length > 0 ? Math.floor(longest / this.tick) : Infinity;
    const count = this.guarded.length;
    const row = () => new Float64Array(count);
    [this.g0, this.g1, this.r0, this.r1, this.keptG, this.keptR] = [row(), row(), row(), row(), row(), row()];
    this.onAbove = Float64Array.from(this.guarded, (index) => network.devices[index]!.control?.onAbove ?? 0);
    this.offBelow = Float64Array.from(this.guarded, (index) => network.devices[index]!.control?.offBelow ?? 0);
    this.blur = new Float64Array(count);
    this.isBlurred = this.guarded.map(() => false);
    this.isDiode = this.guarded.map((index) => network.devices[index]!.control === undefined);
    [this.lowZ, this.tried] = [new Float64Array(network.size), new Float64Array(network.size)];
  }

  run(): Run | NetworkProblem {
    const { network, tick, of } = this;
    const end = Math.round(of.span / tick);
    const keepFrom = Math.floor(of.keepFrom / tick);
    const stops = [...new Set(of.stops.map((moment) => Math.round(moment / tick)))].sort((a, b) => a - b);
    let z = network.start.slice();
    network.sources.forEach(({ course }, index) => {
      const at = network.courseAt[index]!;
      if (course.kind === 'pulse') z[at] = course.low;
      if (course.kind === 'sine') {
        const turned = 2 * Math.PI * course.frequency * (of.begin?.seconds ?? 0);
        z[at] = Math.sin(turned);
        z[at + 1] = Math.cos(turned);
      }
    });
    if (of.begin) for (let index = 0; index < network.constant; index += 1) z[index] = of.begin.state[index]!;
    let next = new Float64Array(network.size);
    let t = Math.round((of.begin?.seconds ?? 0) / tick);
    let [events, steps, isFresh] = [0, 0, true];
    let [burst, crossedAt] = [0, -Infinity];
    const stretches: Stretch[] = [];
    this.bendAt(z, t);
    let found = this.settle(z, undefined);
    if ('kind' in found) return found;
    let phase: Phase = found;
    const done = (cut?: 'events'): Run => ({
      stretches,
      tick,
      reached: t * tick,
      events,
      steps,
      end: z,
      on: [...this.on],
      phases: this.phases,
      unsettled: this.unsettled,
      ...(cut ? { cut } : {}),
    });
    while (t < end) {
      const until = Math.min(end, this.scheduled(), this.nextStop(stops, t));
      const learnt = this.firstSteps.get(phase) ?? { size: 2 ** 30, rest: 0 };
      this.firstSteps.set(phase, learnt);
      let { size } = learnt;
      let isFirst = true;
      let crossed = -1;
      this.look(phase, z, this.g0, this.r0);
      while (t < until) {
        let ticks = Math.min(size, until - t, this.longest);
        phase.advance(z, ticks, next);
        steps += 1;
        this.look(phase, next, this.g1, this.r1);
        let verdict = this.judge(ticks * tick);
        if (verdict === 'fine' && this.isBlurred.includes(true)) verdict = this.judgeMiddle(phase, z, ticks);
        if (verdict === 'too long' && ticks > SHORTEST) {
          size = powerBelow(ticks);
          if (isFirst) learnt.rest = REST;
          continue;
        }
        if (isFirst) {
          // A step that was easy is tried longer the next time, but not at once again where that was too long.
          learnt.size = verdict === 'easy' && learnt.rest === 0 ? size * 4 : size;
          if (learnt.rest > 0) learnt.rest -= 1;
          isFirst = false;
        }
        if (verdict === 'crossed') {
          const at = this.locate(phase, z, ticks, next);
          ticks = at.ticks;
          crossed = at.device;
        }
        if (t + ticks >= keepFrom) {
          // What is kept is not written into again.
          stretches.push({ phase, z, end: next, from: t, ticks, isFresh });
          z = next;
          next = new Float64Array(network.size);
        } else [z, next] = [next, z];
        isFresh = false;
        t += ticks;
        if (crossed >= 0) break;
        this.g0.set(this.g1);
        this.r0.set(this.r1);
        if (verdict === 'easy') size *= 4;
      }
      if (t >= end && crossed < 0) break;
      let changed = crossed >= 0;
      if (crossed >= 0) {
        // Where one crossing follows on the heels of another, every second is looked at more sharply.
        burst = t - crossedAt < BURST ? burst + 1 : 0;
        crossedAt = t;
        if (burst % 2 === 1) this.sharpen(phase, z, crossed);
        this.on[crossed] = !this.on[crossed];
      } else {
        if (this.pulses.length > 0 && t > keepFrom) z = z.slice();
        changed = this.bendAt(z, t) || changed;
      }
      events += 1;
      if (events > (of.mostEvents ?? MOST_EVENTS)) return done('events');
      if (!changed) continue;
      found = this.settle(z, crossed >= 0 ? crossed : undefined);
      if ('kind' in found) return found;
      phase = found;
      isFresh = true;
    }
    return done();
  }

  /**
   * Takes out of a state what lies beyond a crossing, by the least change of its energy: where a coil has nowhere to go but through leaks,
   * even what a tick leaves of its current would throw other devices over. A little is left, so that the crossing stays passed.
   */
  private sharpen(phase: Phase, z: Float64Array, device: number): void {
    const row = this.guarded.indexOf(device);
    this.look(phase, z, this.g1, this.r1);
    const guard = this.g1[row]!;
    const n = z.length;
    const { constant } = this.network;
    let size = 0;
    let squares = 0;
    let energy = 0;
    for (let column = 0; column < n; column += 1) {
      const entry = phase.guardRows[row * n + column]!;
      size += Math.abs(entry * z[column]!);
      if (column >= constant) continue;
      squares += entry * entry;
      energy += z[column]! * z[column]!;
    }
    const left = Math.max(JUST_BEYOND, 30 * ROUNDING * size);
    // A guard that hangs on sources more than on what is stored is left alone.
    if (Math.abs(guard) < 2 * left || guard * guard > LEAST_CHANGE ** 2 * energy * squares) return;
    const factor = (Math.sign(guard) * left - guard) / squares;
    for (let column = 0; column < constant; column += 1) z[column]! += factor * phase.guardRows[row * n + column]!;
  }

  private stopAt = 0;
  private unsettled = 0;

  private nextStop(stops: readonly number[], t: number): number {
    while (this.stopAt < stops.length && stops[this.stopAt]! <= t) this.stopAt += 1;
    return stops[this.stopAt] ?? Infinity;
  }

  /** The next instant of a gate or a source. */
  private scheduled(): number {
    let soonest = Infinity;
    for (const { clock } of this.gates) if (clock.next < soonest) soonest = clock.next;
    for (const { clock } of this.pulses) if (clock.next < soonest) soonest = clock.next;
    return soonest;
  }

  /** Sets gates and sources to what they are from an instant on. @returns whether a device changed */
  private bendAt(z: Float64Array, at: number): boolean {
    let changed = false;
    for (const { clock, device } of this.gates)
      while (clock.next <= at) {
        const isOn = clock.take() === true;
        changed ||= this.on[device] !== isOn;
        this.on[device] = isOn;
      }
    for (const { clock, at: place } of this.pulses)
      while (clock.next <= at) {
        const since = (at - clock.next) * this.tick;
        const { value, slope } = clock.take() ?? { value: 0, slope: 0 };
        z[place] = value + slope * since;
        z[place + 1] = slope;
      }
    return changed;
  }

  /** Finds which devices are on at an instant, by what the circuit then does. */
  private settle(z: Float64Array, crossed: number | undefined): Phase | NetworkProblem {
    let last: Phase | undefined;
    for (let flips = 0; flips < MOST_FLIPS; flips += 1) {
      const phase = this.phases.at(this.on);
      if ('kind' in phase) return phase;
      last = phase;
      this.look(phase, z, this.g1, this.r1);
      let violated = 0;
      for (let row = 0; row < this.guarded.length; row += 1) {
        const device = this.guarded[row]!;
        // The device that was just passed stands at its own threshold.
        if (!this.isViolated(row, device === crossed ? PASSED : NOISE)) continue;
        violated += 1;
        this.on[device] = !this.on[device];
        if (flips >= FLIPS_AT_ONCE) break;
      }
      if (violated === 0) return phase;
    }
    this.unsettled += 1;
    return last ?? { kind: 'singular', nodes: [] };
  }

  /** Whether a device is not what its guard says, beyond some noise. */
  private isViolated(row: number, noise: number): boolean {
    const guard = this.g1[row]!;
    if (!this.on[this.guarded[row]!]) return guard > noise;
    return guard < (this.isDiode[row] ? -noise * 1e-3 : -noise);
  }

  private look(phase: Phase, z: Float64Array, guards: Float64Array, rates: Float64Array): void {
    const { guardRows, guardRates, guardBlurs } = phase;
    const n = z.length;
    for (let row = 0, at = 0; row < guards.length; row += 1) {
      let value = 0;
      let rate = 0;
      let size = 0;
      for (let column = 0; column < n; column += 1, at += 1) {
        const held = z[column]!;
        value += guardRows[at]! * held;
        rate += guardRates[at]! * held;
        size += guardBlurs[at]! * (held < 0 ? -held : held);
      }
      this.blur[row] = ROUNDING * size;
      guards[row] = value - (this.on[this.guarded[row]!] ? this.offBelow[row]! : this.onAbove[row]!);
      rates[row] = rate;
    }
  }

  /** What two looks at the guards, and the cubic between them, say of a step. */
  private judge(seconds: number): 'easy' | 'fine' | 'crossed' | 'too long' {
    let verdict: 'easy' | 'fine' | 'crossed' = 'easy';
    for (let row = 0; row < this.guarded.length; row += 1) {
      const sign = this.on[this.guarded[row]!] ? 1 : -1;
      const [g0, g1] = [sign * this.g0[row]!, sign * this.g1[row]!];
      const [d0, d1] = [sign * this.r0[row]! * seconds, sign * this.r1[row]! * seconds];
      const noise = sign > 0 && this.isDiode[row] ? NOISE * 1e-3 : NOISE;
      if (g1 < -noise) {
        verdict = 'crossed';
        continue;
      }
      const distance = Math.max(Math.abs(g0), Math.abs(g1));
      this.isBlurred[row] = this.blur[row]! * seconds > 0.05 * BEND * distance;
      if (this.isBlurred[row]) {
        verdict = verdict === 'easy' ? 'fine' : verdict;
        continue;
      }
      const defect = Math.abs(0.5 * (d0 + d1) - (g1 - g0));
      if (defect > BEND * distance + noise) return 'too long';
      if (defect > 0.1 * BEND * distance + noise && verdict === 'easy') verdict = 'fine';
      // Between the looks: the middle of the cubic.
      if (d0 < 0 && d1 > 0) {
        const share = d0 / (d0 - d1);
        const low = cubic(share, g0, g1, d0, d1);
        if (low < -noise) return 'too long';
      }
    }
    return verdict;
  }

  /** Of guards whose rates are lost in rounding: whether the middle of a step lies about half way between its ends. */
  private judgeMiddle(phase: Phase, z: Float64Array, ticks: number): 'easy' | 'fine' | 'too long' {
    const half = powerBelow(ticks);
    phase.advance(z, half, this.tried);
    const { guardRows } = phase;
    const n = z.length;
    let verdict: 'easy' | 'fine' = 'easy';
    for (let row = 0; row < this.guarded.length; row += 1) {
      if (!this.isBlurred[row]) continue;
      let value = -(this.on[this.guarded[row]!] ? this.offBelow[row]! : this.onAbove[row]!);
      for (let column = 0; column < n; column += 1) value += guardRows[row * n + column]! * this.tried[column]!;
      const [g0, g1] = [this.g0[row]!, this.g1[row]!];
      const defect = Math.abs(value - (g0 + (half / ticks) * (g1 - g0)));
      const distance = Math.max(Math.abs(g0), Math.abs(g1));
      if (defect > BEND * distance + NOISE) return 'too long';
      if (defect > 0.1 * BEND * distance + NOISE) verdict = 'fine';
    }
    return verdict;
  }

  /**
   * The first instant past a guard within a step, to a tick; z there is left in `into`. Where the cubic between the ends crosses is
   * looked at first; what it misses is halved.
   */
  private locate(
    phase: Phase,
    z: Float64Array,
    ticks: number,
    into: Float64Array,
  ): { readonly ticks: number; readonly device: number } {
    const { lowZ, tried, g0, g1, r0, r1 } = this;
    lowZ.set(z);
    let [low, high] = [0, ticks];
    let device = this.firstViolated();
    // The first look stays short of the crossing: from there the rest are small steps.
    let [before, side] = [NaN, 0];
    for (let looks = 0; high - low > LOCATED; looks += 1) {
      const row = this.guarded.indexOf(device);
      const length = high - low;
      const span = length * this.tick;
      // Every fourth look halves, so that the bracket shrinks whatever the cubic says.
      const share = looks % 4 === 3 ? NaN : crossingOf(g0[row]!, g1[row]!, r0[row]! * span, r1[row]! * span);
      const at = low + share * length;
      // Beyond the crossing on the side that is still far, by a little more than the last guess was off.
      const margin = side * (1 + Math.ceil(0.05 * Math.min(length, Math.abs(at - before) || 0)));
      const isNear = length <= NEAR && looks % 4 !== 3;
      const short = looks === 0 ? Math.ceil(SHORT_OF * length) : 0;
      const aimed = Math.ceil(share * length) + (isNear ? 1 : margin - short);
      const guess = Number.isNaN(share) ? powerBelow(length) : aimed;
      before = at;
      const step = Math.min(length - 1, Math.max(1, guess));
      phase.advance(lowZ, step, tried);
      this.keep(g0, r0);
      this.look(phase, tried, g0, r0);
      const violated = this.violatedIn(g0);
      if (violated >= 0 && isNear) {
        // So near the cubic is right to a tick: this is just past the crossing.
        into.set(tried);
        return { ticks: low + step, device: violated };
      }
      if (violated >= 0) {
        // The new end; the beginning stays as it was.
        g1.set(g0);
        r1.set(r0);
        g0.set(this.keptG);
        r0.set(this.keptR);
        high = low + step;
        device = violated;
        side = -1;
      } else {
        low += step;
        lowZ.set(tried);
        side = 1;
      }
    }
    phase.advance(lowZ, high - low, into);
    return { ticks: high, device };
  }

  private keep(guards: Float64Array, rates: Float64Array): void {
    this.keptG.set(guards);
    this.keptR.set(rates);
  }

  private firstViolated(): number {
    return this.violatedIn(this.g1);
  }

  /** The device that is furthest past its guard, if any is. */
  private violatedIn(guards: Float64Array): number {
    let worst = -1;
    let most = 0;
    for (let row = 0; row < this.guarded.length; row += 1) {
      const device = this.guarded[row]!;
      const sign = this.on[device] ? 1 : -1;
      const beyond = -sign * guards[row]!;
      const noise = sign > 0 && this.isDiode[row] ? NOISE * 1e-3 : NOISE;
      if (beyond > noise && beyond > most) {
        most = beyond;
        worst = device;
      }
    }
    return worst;
  }
}

/** Share of a step by which the first look for a change stays short of where it seems to be. */
const SHORT_OF = 0.003;
/** Ticks within which the cubic between two looks is right to a tick. */
const NEAR = 2 ** 13;
/** A change is located to so many ticks. */
const LOCATED = 3;
/** Steps are not cut below so many ticks. */
const SHORTEST = 2;

/** The largest power of two below a number of ticks. */
export function powerBelow(ticks: number): number {
  let power = 1;
  while (power * 2 < ticks) power *= 2;
  return power;
}
