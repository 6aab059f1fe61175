import { practice } from '../evidence';
/** Share of the first inductance at which a choke counts as saturated. */
export const SATURATED_SHARE = practice(0.7);

export interface RampPoint {
  /** Seconds. */
  readonly t: number;
  /** Amperes. */
  readonly i: number;
}

/**
 * Inductance along a current ramp, segment by segment, L = V·dt/di, and the current at which it has fallen to 70 % of
 * the first, interpolated between the middles of segments. Where the current drops more than a twentieth of the
 * voltage across the loop's resistance, that drop is taken off.
 * @returns `saturation` undefined when the ramp never got there
 */
export function rampInductance(of: { points: readonly RampPoint[]; volts: number; loopOhms?: number }): {
  segments: readonly { readonly current: number; readonly inductance: number }[];
  saturation: number | undefined;
} {
  const segments = of.points.slice(1).flatMap((to, index) => {
    const from = of.points[index];
    if (!from || to.i <= from.i || to.t <= from.t) return [];
    const current = (from.i + to.i) / 2;
    const drop = current * (of.loopOhms ?? 0);
    const volts = drop > 0.05 * of.volts ? of.volts - drop : of.volts;
    return [{ current, inductance: (volts * (to.t - from.t)) / (to.i - from.i) }];
  });
  const wanted = SATURATED_SHARE * (segments[0]?.inductance ?? 0);
  const at = segments.findIndex(({ inductance }) => inductance < wanted);
  const [before, after] = [segments[at - 1], segments[at]];
  if (at < 1 || !before || !after) return { segments, saturation: undefined };
  const share = (before.inductance - wanted) / (before.inductance - after.inductance);
  return { segments, saturation: before.current + share * (after.current - before.current) };
}
