import type { Course } from './deck/deck';

/** Something that happens at an offset into every turn of a pulse. */
interface Corner<T> {
  readonly at: number;
  readonly what: T;
}

/** What happens at the corners of a pulse, one after the other: the next instant, in ticks, and what it is. */
export class Clock<T> {
  private turn = 0;
  private index = 0;
  private readonly corners: readonly Corner<T>[];
  private readonly delay: number;
  private readonly period: number;
  /** Ticks of the next instant; Infinity when none comes. */
  next: number;

  /** @param corners offsets in seconds, within one turn in their order */
  constructor(
    { delay, period }: { readonly delay: number; readonly period: number },
    corners: readonly Corner<T>[],
    private readonly tick: number,
  ) {
    this.delay = delay;
    this.period = period;
    this.corners = corners.filter(({ at }) => Number.isFinite(at)).toSorted((a, b) => a.at - b.at);
    this.next = this.instant();
  }

  private instant(): number {
    const corner = this.corners[this.index];
    if (!corner) return Infinity;
    const turns = this.turn === 0 ? 0 : this.turn * this.period;
    return Math.round((this.delay + turns + corner.at) / this.tick);
  }

  /** Takes the instant that has come, and goes on to the one behind it. */
  take(): T | undefined {
    const { what } = this.corners[this.index] ?? {};
    this.index += 1;
    if (this.index === this.corners.length && Number.isFinite(this.period)) {
      this.index = 0;
      this.turn += 1;
    }
    this.next = this.instant();
    return what;
  }
}

type Pulse = Extract<Course, { kind: 'pulse' }>;

/** What a pulse is from an instant on. */
export interface Bend {
  readonly value: number;
  /** Per second. */
  readonly slope: number;
}

/** The bends of a pulse. */
export function bendsOf(pulse: Pulse, tick: number): Clock<Bend> {
  const { low, high, rise, fall, width } = pulse;
  return new Clock<Bend>(
    pulse,
    [
      { at: 0, what: { value: low, slope: (high - low) / rise } },
      { at: rise, what: { value: high, slope: 0 } },
      { at: rise + width, what: { value: high, slope: (low - high) / fall } },
      { at: rise + width + fall, what: { value: low, slope: 0 } },
    ],
    tick,
  );
}

/** When a pulse takes a switch above its upper threshold or below its lower one. */
export function crossingsOf(
  pulse: Pulse,
  { onAbove, offBelow }: { readonly onAbove: number; readonly offBelow: number },
  tick: number,
): Clock<boolean> {
  const { low, high, rise, fall, width } = pulse;
  const isUpright = high > low;
  const rising = ((isUpright ? onAbove : offBelow) - low) / (high - low);
  const falling = ((isUpright ? offBelow : onAbove) - high) / (low - high);
  const within = (share: number) => share > 0 && share <= 1;
  return new Clock<boolean>(
    pulse,
    [
      ...(within(rising) ? [{ at: rising * rise, what: isUpright }] : []),
      ...(within(falling) ? [{ at: rise + width + falling * fall, what: !isUpright }] : []),
    ],
    tick,
  );
}

/** What a course is at the start. */
export const startOf = (course: Course): number =>
  course.kind === 'dc' ? course.value : course.kind === 'pulse' ? course.low : course.offset;
