import { practice } from '../../evidence';
import { pinName, type NetPin } from '../../board';
import type { Model } from '../model';
import type { Candidate } from './candidate';

/** One lead is kept on a pin, and the other touches several: what a person does faster than moving both. */
export interface Sweep {
  readonly hold: string;
  /** Pins to touch, the one that tells most first. */
  readonly pins: readonly string[];
}

/** So many pins are touched before the board is thought about again. */
const TOUCHED_AT_MOST = practice(6);

/**
 * A probe between two pins with one lead kept where it is: the pin that more telling joins lead from is held, and those
 * they lead to are touched after the first. `candidates` are all joins worth asking about, the best first.
 */
export function sweepOf(a: NetPin, b: NetPin, candidates: readonly Candidate[], { rails }: Model): Sweep {
  const railOf = ({ part, pin }: NetPin) => rails.at(part, pin);
  const from = (hold: NetPin, first: NetPin) => {
    const others = candidates
      .flatMap(({ a: one, b: other, gain }) =>
        railOf(one) === railOf(hold)
          ? [{ to: other, gain }]
          : railOf(other) === railOf(hold)
            ? [{ to: one, gain }]
            : [],
      )
      .filter(({ to }) => railOf(to) !== railOf(first))
      .slice(0, TOUCHED_AT_MOST - 1);
    return {
      hold,
      pins: [first, ...others.map(({ to }) => to)],
      gain: others.reduce((sum, { gain }) => sum + gain, 0),
    };
  };
  const [one, other] = [from(a, b), from(b, a)];
  const best = one.gain >= other.gain ? one : other;
  return { hold: pinName(best.hold), pins: best.pins.map((pin) => pinName(pin)) };
}
