/** Power at a resistive load that is fired at an angle, as a share of the whole; radians. */
export const firedShare = (angle: number): number => 1 - angle / Math.PI + Math.sin(2 * angle) / (2 * Math.PI);

/** A capacitor that a resistor charges from the line until a trigger diode breaks over. */
export interface Timing {
  /** Volts rms and hertz of the line; ohm and farad; volts at which the trigger diode breaks over. */
  readonly volts: number;
  readonly line: number;
  readonly ohms: number;
  readonly farads: number;
  readonly breakover: number;
}

/**
 * The angle at which it fires, the capacitor being empty at the zero crossing; undefined where it never does.
 * @returns radians
 */
export function firingAngle({ volts, line, ohms, farads, breakover }: Timing): number | undefined {
  const lag = Math.atan(2 * Math.PI * line * ohms * farads);
  const peak = volts * Math.SQRT2;
  const at = (angle: number) =>
    peak * Math.cos(lag) * (Math.sin(angle - lag) + Math.sin(lag) * Math.exp(-angle / Math.tan(lag)));
  const steps = 1800;
  for (let step = 1; step <= steps; step += 1) {
    const angle = (Math.PI * step) / steps;
    if (at(angle) < breakover) continue;
    let [low, high] = [angle - Math.PI / steps, angle];
    for (let turn = 0; turn < 50; turn += 1) {
      const middle = (low + high) / 2;
      if (at(middle) < breakover) low = middle;
      else high = middle;
    }
    return high;
  }
  return undefined;
}

/** The largest resistor with which it fires from rest, ohm. */
export const startingOhms = ({ volts, line, farads, breakover }: Omit<Timing, 'ohms'>): number =>
  Math.sqrt(((volts * Math.SQRT2) / breakover) ** 2 - 1) / (2 * Math.PI * line * farads);
