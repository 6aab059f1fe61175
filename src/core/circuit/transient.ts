import { bendsOf, crossingsOf, startOf, type Bend, type Clock } from './courses';
import { Guards, SHORTEST } from './guards';
import type { Network, NetworkProblem } from './network';
import { Phases, type Phase } from './phase';
import { powerBelow, TICKS } from './ticks';

/** Changes of devices after which a run is cut. */
const MOST_EVENTS = 1_000_000;
/** Tries to find which devices are on at one instant. */
const MOST_FLIPS = 60;
/** Flips of all that are violated, before one at a time. */
const FLIPS_AT_ONCE = 6;
/** Crossings within so many ticks belong together. */
const BURST = 64;
/** Times that a phase begins with the step it has learnt before a longer one is tried. */
const REST = 12;
/** Steps as short as they can be, after which the rates of the guards are not believed any more. */
const MOST_SHORTEST = 24;
/** By how much a step may be longer than one that was easy; a power of two, which is carried over in one go. */
const GROWTH = 4;
/** Looks at a sine in a period of it. */
const LOOKS_A_SINE = 12;

/** Times that a duration comes before a propagator is made for it. */
const WORTH_ONE = 10;
/** Of the first steps of a phase that comes again and again every so many are looked into. */
const LOOK_AGAIN = 8;
/** States of the devices that are told apart; a circuit of this trade has some dozens. */
const MOST_PHASES = 2 ** 20;

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
  readonly phases?: Phases;
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
    /** Phases of a run before, which are used again where only the courses of gates and sources are others. */
    readonly known?: Phases;
    /** Changes after which the run is cut. */
    readonly mostEvents?: number;
  },
): Run | NetworkProblem {
  return new Runner(network, of).run();
}

/** What was learnt of a phase behind another: the step it may begin with, and when it was ended by a device. */
interface Learnt {
  size: number;
  rest: number;
  /** Ticks of its first step when it was looked into last, and how often it came. */
  looked: number;
  visits: number;
  /** Ticks after its beginning, by how many more than the time before, and how far that was from what was expected. */
  endedAt: number;
  grew: number;
  missed: number;
  /** Ticks of the step that a gate or a source ended, how often it was so long, and what carries over them once that is worth it. */
  lasted: number;
  times: number;
  whole: Float64Array | undefined;
}

class Runner {
  private readonly tick: number;
  private readonly guards: Guards;
  private readonly phases: Phases;
  private readonly on: boolean[];
  private readonly pulses: readonly { readonly clock: Clock<Bend>; readonly at: number }[];
  private readonly gates: readonly { readonly clock: Clock<boolean>; readonly device: number }[];
  private readonly longest: number;
  private readonly learnt = new Map<number, Learnt>();
  constructor(
    private readonly network: Network,
    private readonly of: {
      span: number;
      period: number;
      keepFrom: number;
      stops: readonly number[];
      begin?: Beginning;
      known?: Phases;
      mostEvents?: number;
    },
  ) {
    const tick = of.period / TICKS;
    const known = of.begin?.phases ?? (of.known?.serve(network, tick) ? of.known : undefined);
    this.tick = known?.tick ?? tick;
    const guarded = network.devices.flatMap(({ control }, index) => (control?.course ? [] : [index]));
    this.gates = network.devices.flatMap(({ control }, device) =>
      control?.course?.kind === 'pulse' ? [{ clock: crossingsOf(control.course, control, this.tick), device }] : [],
    );
    this.phases = known ?? new Phases(network, this.tick, guarded);
    this.on = network.devices.map(({ control }, index) =>
      control?.course ? startOf(control.course) > control.onAbove : (of.begin?.on[index] ?? false),
    );
    this.guards = new Guards(network, guarded, this.on, this.tick);
    this.pulses = network.sources.flatMap(({ course }, index) =>
      course.kind === 'pulse' ? [{ clock: bendsOf(course, this.tick), at: network.courseAt[index]! }] : [],
    );
    const sines = network.sources.flatMap(({ course }) => (course.kind === 'sine' ? [1 / course.frequency] : []));
    const longest = Math.min(of.period, ...sines) / LOOKS_A_SINE;
    this.longest = sines.length > 0 ? Math.floor(longest / this.tick) : Infinity;
  }

  run(): Run | NetworkProblem {
    const { network, tick, of, guards } = this;
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
    let before = phase;
    // Settling looks at the guards of the phase it settles on.
    let isLooked = true;
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
      const learnt = this.learntOf(before, phase);
      let { size } = learnt;
      const began = t;
      let isFirst = true;
      let last = 0;
      learnt.visits += 1;
      let crossed = -1;
      let shortest = 0;
      guards.begin(phase, z, isLooked);
      isLooked = false;
      while (t < until) {
        let ticks = Math.min(size, until - t, this.longest);
        if (ticks === until - t) this.carryToEnd(phase, learnt, z, ticks, next);
        else phase.advance(z, ticks, next);
        steps += 1;
        const isNew = isFirst ? learnt.looked !== ticks || learnt.visits % LOOK_AGAIN === 0 : ticks > last;
        const verdict = guards.judge(phase, z, next, ticks, { isBlind: shortest > MOST_SHORTEST, isNew });
        if (verdict === 'too long' && ticks > SHORTEST) {
          size = powerBelow(ticks);
          if (isFirst) learnt.rest = REST;
          continue;
        }
        if (verdict === 'too long') shortest += 1;
        if (isFirst) {
          // A step that was easy is tried longer the next time, but not at once again where that was too long.
          learnt.size = verdict === 'easy' && learnt.rest === 0 ? size * GROWTH : size;
          if (learnt.rest > 0) learnt.rest -= 1;
          learnt.looked = ticks;
          isFirst = false;
        }
        last = ticks;
        if (verdict === 'crossed') {
          const expected = learnt.endedAt + learnt.grew - (t - began);
          const within = 1 + 2 * Math.abs(learnt.missed);
          const at = guards.locate(phase, z, ticks, next, { at: expected, within });
          ticks = at.ticks;
          crossed = at.device;
          const endedAt = t + ticks - began;
          learnt.missed = endedAt - learnt.endedAt - learnt.grew;
          learnt.grew = endedAt - learnt.endedAt || 0;
          learnt.endedAt = endedAt;
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
        guards.goOn();
        if (verdict === 'easy') size *= GROWTH;
      }
      if (t >= end && crossed < 0) break;
      let changed = crossed >= 0;
      if (crossed >= 0) {
        // Where one crossing follows on the heels of another, every second is looked at more sharply.
        burst = t - crossedAt < BURST ? burst + 1 : 0;
        crossedAt = t;
        if (burst % 2 === 1) guards.sharpen(phase, z, crossed);
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
      if (found !== phase && !guards.hasBorne) guards.bearNone();
      else if (crossed >= 0) guards.bear(crossed);
      isLooked = true;
      before = phase;
      phase = found;
      isFresh = true;
    }
    return done();
  }

  private stopAt = 0;
  private unsettled = 0;

  private nextStop(stops: readonly number[], t: number): number {
    while (this.stopAt < stops.length && stops[this.stopAt]! <= t) this.stopAt += 1;
    return stops[this.stopAt] ?? Infinity;
  }

  /** Carries a state to where a gate or a source ends its phase; a duration that comes again and again gets a propagator of its own. */
  private carryToEnd(phase: Phase, learnt: Learnt, z: Float64Array, ticks: number, into: Float64Array): void {
    if (ticks !== learnt.lasted) {
      learnt.lasted = ticks;
      learnt.times = 0;
      learnt.whole = undefined;
    }
    learnt.times += 1;
    if (learnt.times < WORTH_ONE) phase.advance(z, ticks, into);
    else phase.carry((learnt.whole ??= phase.over(ticks)), z, into);
  }

  private learntOf(before: Phase, phase: Phase): Learnt {
    const key = before.number * MOST_PHASES + phase.number;
    let learnt = this.learnt.get(key);
    if (!learnt) {
      learnt = {
        size: 2 ** 30,
        rest: 0,
        looked: 0,
        visits: 0,
        endedAt: NaN,
        grew: 0,
        missed: NaN,
        lasted: 0,
        times: 0,
        whole: undefined,
      };
      this.learnt.set(key, learnt);
    }
    return learnt;
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
    let best: Phase | undefined;
    let least = Infinity;
    for (let flips = 0; flips < MOST_FLIPS; flips += 1) {
      const phase = this.phases.at(this.on);
      if ('kind' in phase) return phase;
      const violated = this.guards.violated(phase, z, crossed);
      if (violated.length === 0) return phase;
      const { beyond } = this.guards;
      if (beyond < least) [best, least] = [phase, beyond];
      if (flips >= FLIPS_AT_ONCE) this.on[violated[0]!] = !this.on[violated[0]!];
      else for (const device of violated) this.on[device] = !this.on[device];
    }
    // No state agrees with the circuit: the one that is least wrong is kept, and where that is next to nothing it is borne.
    if (!best) return { kind: 'singular', nodes: [] };
    best.on.forEach((isOn, device) => (this.on[device] = isOn));
    if (!this.guards.bearAll(best, z)) this.unsettled += 1;
    return best;
  }
}
