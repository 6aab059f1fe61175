import { crossingOf, cubic } from './cubic';
import { projectOf } from './linear';
import type { Network } from './network';
import type { Phase } from './phase';
import { powerBelow } from './ticks';

/** Volts below which a guard does not say anything. */
const NOISE = 1e-9;
/** Rounding of a sum, as a share of its terms. */
const ROUNDING = 1e-15;
/** And of the device that was just passed. */
const PASSED = 1e-6;
/** A state is changed by no more than this share of its size. */
const LEAST_CHANGE = 1e-4;
/** Volts of a guard that is only just passed. */
const JUST_BEYOND = 1e-10;
/** A guard may bend so much of its distance between two looks; where it bends less by this factor, the next step may be longer. */
const BEND = 0.3;
const EASY = 0.1;
/** And only so much where it crosses between them. */
const STRAIGHT = 0.1;
/** Near its ends and in its middle a guard must stay clear of its threshold by so many times what it was found off. */
const CLEAR = 2;
const NEAR_ENDS = [1 / 8, 1 / 2, 7 / 8] as const;
/** Where a step is looked into, as a share of the power of two below it. */
const [ODD, ODD_OF] = [41, 64];
/** A dip between two looks must stay clear of the threshold by this share of what the guard bends. */
const DIP = 0.25;
/** A step is looked into again where a guard has come nearer by this factor. */
const CLOSER = 0.5;
/** Its rates are believed while rounding puts them off by less than this share of that. */
const MUDDLED = 0.05;
/** Share of a step by which the first look for a change stays short of where it seems to be. */
const SHORT_OF = 0.003;
/** Ticks within which the cubic between two looks is right to a tick. */
const NEAR = 2 ** 13;
/** A change is located to so many ticks. */
const LOCATED = 3;
/** A guard that stands at its threshold is passed by so much more each time, and at most by so many volts. */
const BEAR = 8;
const MOST_BORNE = 1e-3;
/** Steps are not cut below so many ticks. */
export const SHORTEST = 2;

/** What is to be thought of a step: it may grow, is well, has a change in it, or must be cut. */
export type Verdict = 'easy' | 'fine' | 'crossed' | 'too long';

const NONE: readonly number[] = [];

/** Watches the devices that change by what the circuit does: each has a guard over the state whose sign says whether it is on. */
export class Guards {
  private g0: Float64Array;
  private g1: Float64Array;
  private r0: Float64Array;
  private r1: Float64Array;
  private readonly triedG: Float64Array;
  private readonly triedR: Float64Array;
  private readonly tried: Float64Array;
  private readonly spare: Float64Array;
  /** Of each guard: where a switch that the circuit drives turns on and off; 0 for diodes, whose guard is their own. */
  private readonly onAbove: Float64Array;
  private readonly offBelow: Float64Array;
  private readonly isDiode: readonly boolean[];
  private readonly project: ReturnType<typeof projectOf>;
  /** Guards and rates as they were looked at last. */
  private readonly seen: Float64Array;
  /** Volts by which the devices that were found not to agree last are beyond their guards, at most. */
  beyond = 0;
  /** Whether the state that was settled on last rests on bearing. */
  hasBorne = false;
  /** Of each guard: what it may be passed by after passing it changed nothing, volt. */
  private readonly borne: Float64Array;
  private bearsSome = false;
  /** Whether a guard comes near its threshold within the step in hand, and goes away again. */
  private isDipping = false;
  /** Sizes of the entries of the state that was judged last, together. */
  private stateSize = 0;
  /** Of each guard: how far it was when a step of the phase in hand was looked into last; 0 where none was yet. */
  private readonly lookedFrom: Float64Array;
  /** Guards whose rates say nothing over the step in hand. */
  private readonly isBlurred: boolean[];

  /** @param guarded devices with a guard; `on` is what is on, kept by whoever carries the circuit on */
  constructor(
    private readonly network: Network,
    private readonly guarded: readonly number[],
    private readonly on: readonly boolean[],
    private readonly tick: number,
  ) {
    const row = () => new Float64Array(guarded.length);
    [this.g0, this.g1, this.r0, this.r1, this.triedG, this.triedR] = [row(), row(), row(), row(), row(), row()];
    this.onAbove = Float64Array.from(guarded, (index) => network.devices[index]!.control?.onAbove ?? 0);
    this.offBelow = Float64Array.from(guarded, (index) => network.devices[index]!.control?.offBelow ?? 0);
    this.project = projectOf(network.size);
    this.seen = new Float64Array(2 * guarded.length);
    this.borne = row();
    this.lookedFrom = row();
    this.isBlurred = guarded.map(() => false);
    this.isDiode = guarded.map((index) => network.devices[index]!.control === undefined);
    [this.spare, this.tried] = [new Float64Array(network.size), new Float64Array(network.size)];
  }

  /** Devices that are not what their guards say at a state. @param crossed the one that was just passed stands at its own threshold */
  violated(phase: Phase, z: Float64Array, crossed: number | undefined): readonly number[] {
    this.look(phase, z, this.g1, this.r1);
    this.beyond = 0;
    this.hasBorne = false;
    let found: number[] | undefined;
    for (let row = 0; row < this.guarded.length; row += 1) {
      const device = this.guarded[row]!;
      if (!this.isViolated(row, device === crossed ? PASSED : NOISE)) continue;
      this.beyond = Math.max(this.beyond, Math.abs(this.g1[row]!));
      (found ??= []).push(device);
    }
    return found ?? NONE;
  }

  /** Bears what little the devices are beyond their guards; not where it is more than next to nothing. */
  bearAll(phase: Phase, z: Float64Array): boolean {
    this.look(phase, z, this.g1, this.r1);
    const wrong = this.guarded.flatMap((_, row) => (this.isViolated(row, NOISE) ? [row] : []));
    if (wrong.some((row) => Math.abs(this.g1[row]!) > MOST_BORNE / 2)) return false;
    for (const row of wrong) this.borne[row] = 2 * Math.abs(this.g1[row]!);
    this.hasBorne = true;
    this.bearsSome = true;
    return true;
  }

  /** Whether a device is not what its guard says, beyond some noise. */
  private isViolated(row: number, noise: number): boolean {
    const guard = this.g1[row]!;
    const borne = this.borne[row]!;
    if (!this.on[this.guarded[row]!]) return guard > Math.max(noise, borne);
    return guard < -Math.max(this.isDiode[row] ? noise * 1e-3 : noise, borne);
  }

  private look(phase: Phase, z: Float64Array, guards: Float64Array, rates: Float64Array): void {
    const { seen, guarded, on } = this;
    const count = guarded.length;
    this.project(phase.guards, 2 * count, z, seen);
    for (let row = 0; row < count; row += 1) {
      guards[row] = seen[row]! - (on[guarded[row]!] ? this.offBelow[row]! : this.onAbove[row]!);
      rates[row] = seen[count + row]!;
    }
  }

  /** Whether rounding may have put the rate of a guard at a state off by more than so much. */
  private isRateBlurred(phase: Phase, z: Float64Array, row: number, most: number): boolean {
    // Mostly a bound that costs little answers.
    if (ROUNDING * phase.mostBlur[row]! * this.stateSize <= most) return false;
    const { guardBlurs } = phase;
    const n = z.length;
    let size = 0;
    for (let column = 0, at = row * n; column < n; column += 1, at += 1) size += guardBlurs[at]! * Math.abs(z[column]!);
    return ROUNDING * size > most;
  }

  /** A phase begins at a state. @param isLooked settling on it has just looked at its guards */
  begin(phase: Phase, z: Float64Array, isLooked: boolean): void {
    if (isLooked) this.goOn();
    else this.look(phase, z, this.g0, this.r0);
    this.lookedFrom.fill(0);
  }

  /** What was looked at last is where the next step begins from. */
  goOn(): void {
    [this.g0, this.g1] = [this.g1, this.g0];
    [this.r0, this.r1] = [this.r1, this.r0];
  }

  /**
   * What two looks at the guards, at the ends of a step and where it must be in its middle, say of it.
   * @param of.isBlind the rates say nothing, as steps have become as short as they can be
   * @param of.isNew no step so long was looked into before: its middle is looked at, where something faster would show
   */
  judge(
    phase: Phase,
    z: Float64Array,
    end: Float64Array,
    ticks: number,
    { isBlind, isNew }: { readonly isBlind: boolean; readonly isNew: boolean },
  ): Verdict {
    this.look(phase, end, this.g1, this.r1);
    const verdict = this.judgeEnds(phase, end, ticks * this.tick, isBlind);
    if (verdict === 'fine' && this.isBlurred.includes(true)) return this.judgeMiddle(phase, z, ticks);
    if (verdict === 'too long' || ticks <= LOCATED) return verdict;
    const isLookedInto = isNew || verdict === 'crossed' || this.isDipping || this.isCloser();
    if (isLookedInto && this.isSurprising(phase, z, ticks)) return 'too long';
    for (let row = 0; row < this.guarded.length; row += 1)
      if (isLookedInto || this.lookedFrom[row] === 0) this.lookedFrom[row] = this.nearest(row);
    return verdict;
  }

  /** Whether a guard stands much nearer than it did when a step was looked into last. */
  private isCloser(): boolean {
    for (let row = 0; row < this.guarded.length; row += 1)
      if (this.nearest(row) < CLOSER * this.lookedFrom[row]!) return true;
    return false;
  }

  /** How near a guard is at the nearer end of the step in hand. */
  private nearest(row: number): number {
    return Math.min(Math.abs(this.g0[row]!), Math.abs(this.g1[row]!));
  }

  private distance(row: number): number {
    return Math.max(Math.abs(this.g0[row]!), Math.abs(this.g1[row]!));
  }

  private judgeEnds(phase: Phase, end: Float64Array, seconds: number, isBlind: boolean): Verdict {
    const { guarded, on, isBlurred } = this;
    let verdict: 'easy' | 'fine' | 'crossed' = 'easy';
    this.isDipping = false;
    let size = 0;
    for (let column = 0; column < end.length; column += 1) size += Math.abs(end[column]!);
    this.stateSize = size;
    for (let row = 0; row < guarded.length; row += 1) {
      const sign = on[guarded[row]!] ? 1 : -1;
      const g0 = sign * this.g0[row]!;
      const g1 = sign * this.g1[row]!;
      const d0 = sign * this.r0[row]! * seconds;
      const d1 = sign * this.r1[row]! * seconds;
      const noise = this.noiseOf(row, sign);
      const distance = this.distance(row);
      const defect = Math.abs(0.5 * (d0 + d1) - (g1 - g0));
      if (g1 < -noise) {
        verdict = 'crossed';
        isBlurred[row] = isBlind || this.isRateBlurred(phase, end, row, (MUDDLED * BEND * distance) / seconds);
        // What bends may cross several times, and the first of them counts.
        if (defect > STRAIGHT * distance + noise && !isBlurred[row]) return 'too long';
        continue;
      }
      isBlurred[row] = isBlind || this.isRateBlurred(phase, end, row, (MUDDLED * BEND * distance) / seconds);
      if (isBlurred[row]) {
        if (verdict !== 'crossed') verdict = 'fine';
        continue;
      }
      if (defect > BEND * distance + noise) return 'too long';
      if (defect > EASY * BEND * distance + noise && verdict === 'easy') verdict = 'fine';
      // Between the looks: the middle of the cubic.
      if (d0 < 0 && d1 > 0) {
        const share = d0 / (d0 - d1);
        const low = cubic(share, g0, g1, d0, d1);
        if (low < DIP * defect - noise) return 'too long';
        this.isDipping ||= low < BEND * distance;
      }
    }
    return verdict;
  }

  /** Whether a place within a step lies elsewhere than the cubic between its ends has it, or beyond a guard that its end is not beyond. */
  private isSurprising(phase: Phase, z: Float64Array, ticks: number): boolean {
    const { guarded, on, tried, triedG, triedR } = this;
    const half = powerBelow(ticks);
    // No round share of it: what rings would stand there as at its ends.
    const inside = half >= ODD_OF ? (half / ODD_OF) * ODD : half;
    phase.advance(z, inside, tried);
    this.look(phase, tried, triedG, triedR);
    const seconds = ticks * this.tick;
    for (let row = 0; row < guarded.length; row += 1) {
      if (this.isBlurred[row]) continue;
      const [g0, g1, middle] = [this.g0[row]!, this.g1[row]!, triedG[row]!];
      const sign = on[guarded[row]!] ? 1 : -1;
      const noise = this.noiseOf(row, sign);
      const isCrossed = sign * g1 < -noise;
      if (sign * middle < -noise && !isCrossed) return true;
      const [d0, d1] = [this.r0[row]! * seconds, this.r1[row]! * seconds];
      const off = Math.abs(middle - cubic(inside / ticks, g0, g1, d0, d1));
      if (off > (isCrossed ? STRAIGHT : BEND) * Math.max(Math.abs(g0), Math.abs(g1)) + noise) return true;
      // By as much as it is off here it may be off elsewhere, and be beyond its threshold there and back.
      if (isCrossed || off < noise) continue;
      const isClear = (share: number) => sign * cubic(share, g0, g1, d0, d1) >= CLEAR * off;
      if (!NEAR_ENDS.every(isClear) || (sign * d0 < 0 && sign * d1 > 0 && !isClear(d0 / (d0 - d1)))) return true;
    }
    return false;
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
   * The first instant past a guard within a step, to a tick; z there is left in `into`. Where it is expected is looked at first, then where
   * the cubic between the ends crosses; what that misses is halved.
   * @param expected ticks at which it is thought to be, and how far that may be off; NaN where nothing is known
   */
  locate(
    phase: Phase,
    z: Float64Array,
    ticks: number,
    into: Float64Array,
    expected: { readonly at: number; readonly within: number },
  ): { readonly ticks: number; readonly device: number } {
    // What is looked at takes the place of one of the ends; nothing is copied.
    const { spare } = this;
    let { g0, g1, r0, r1, triedG, triedR, tried } = this;
    let lowZ = z;
    let [low, high] = [0, ticks];
    let device = this.violatedIn(g1);
    // The first look stays short of the crossing: from there the rest are small steps.
    let [before, side] = [NaN, 0];
    const hints = [expected.at - expected.within, expected.at + expected.within];
    let hinted = 0;
    for (let looks = 0; high - low > LOCATED; looks += 1) {
      while (hinted < hints.length && !(hints[hinted]! > low && hints[hinted]! < high)) hinted += 1;
      const hint = hints[hinted];
      const length = high - low;
      let step = (hint ?? NaN) - low;
      let isNear = false;
      if (hint === undefined) {
        const row = this.guarded.indexOf(device);
        const span = length * this.tick;
        // Every fourth look halves, so that the bracket shrinks whatever the cubic says.
        const share = looks % 4 === 3 ? NaN : crossingOf(g0[row]!, g1[row]!, r0[row]! * span, r1[row]! * span);
        const at = low + share * length;
        // Beyond the crossing on the side that is still far, by a little more than the last guess was off.
        const margin = side * (1 + Math.ceil(0.05 * Math.min(length, Math.abs(at - before) || 0)));
        isNear = length <= NEAR && looks % 4 !== 3;
        const short = looks === 0 ? Math.ceil(SHORT_OF * length) : 0;
        const aimed = Math.ceil(share * length) + (isNear ? 1 : margin - short);
        const guess = Number.isNaN(share) ? powerBelow(length) : aimed;
        before = at;
        step = Math.min(length - 1, Math.max(1, guess));
      }
      phase.advance(lowZ, step, tried);
      this.look(phase, tried, triedG, triedR);
      const violated = this.violatedIn(triedG);
      if (violated >= 0 && isNear) {
        // So near the cubic is right to a tick, unless something fast goes on in it: this is just past the crossing.
        const row = this.guarded.indexOf(violated);
        if (Math.abs(triedG[row]!) <= LOCATED * Math.abs(triedR[row]!) * this.tick) {
          into.set(tried);
          return { ticks: low + step, device: violated };
        }
      }
      if (violated >= 0) {
        [g1, triedG] = [triedG, g1];
        [r1, triedR] = [triedR, r1];
        high = low + step;
        device = violated;
        side = -1;
      } else {
        [g0, triedG] = [triedG, g0];
        [r0, triedR] = [triedR, r0];
        [lowZ, tried] = [tried, lowZ === z ? spare : lowZ];
        low += step;
        side = 1;
      }
    }
    phase.advance(lowZ, high - low, into);
    return { ticks: high, device };
  }

  private noiseOf(row: number, sign: number): number {
    return Math.max(sign > 0 && this.isDiode[row] ? NOISE * 1e-3 : NOISE, this.borne[row]!);
  }

  /** A device that was passed and then came back at once: it stands at its threshold, and is passed by a little more from now on. */
  bear(device: number): void {
    const row = this.guarded.indexOf(device);
    this.borne[row] = Math.min(MOST_BORNE, Math.max(NOISE, this.borne[row]! * BEAR));
    this.bearsSome = true;
  }

  /** The devices have changed: all guards are as sharp as before. */
  bearNone(): void {
    if (this.bearsSome) this.borne.fill(0);
    this.bearsSome = false;
  }

  /** The device that is furthest past its guard, if any is. */
  private violatedIn(guards: Float64Array): number {
    let worst = -1;
    let most = 0;
    for (let row = 0; row < this.guarded.length; row += 1) {
      const device = this.guarded[row]!;
      const sign = this.on[device] ? 1 : -1;
      const beyond = -sign * guards[row]!;
      if (beyond > this.noiseOf(row, sign) && beyond > most) {
        most = beyond;
        worst = device;
      }
    }
    return worst;
  }

  /**
   * Takes out of a state what lies beyond a crossing, by the least change of its energy: where a coil has nowhere to go but through leaks,
   * even what a tick leaves of its current would throw other devices over. A little is left, so that the crossing stays passed.
   */
  sharpen(phase: Phase, z: Float64Array, device: number): void {
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
}
