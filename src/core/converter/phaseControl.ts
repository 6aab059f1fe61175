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

/** Half waves after which it fires at the same angle again, or not at all. */
const MOST_HALF_WAVES = 100;
/** A half wave is looked through in so many steps, and the step it fires in is halved so often; angles nearer than this are one. */
const STEPS = 180;
const HALVINGS = 24;
const CLOSE = 1e-5;

/**
 * The angle at which it fires in one half wave. @param start volts of the capacitor at the zero crossing, in the sense of the half wave
 * @returns radians; undefined where it does not fire
 */
function angleFrom({ volts, line, ohms, farads, breakover }: Timing, start: number): number | undefined {
  const lag = Math.atan(2 * Math.PI * line * ohms * farads);
  const peak = volts * Math.SQRT2;
  const at = (angle: number) =>
    peak * Math.cos(lag) * Math.sin(angle - lag) +
    (peak * Math.cos(lag) * Math.sin(lag) + start) * Math.exp(-angle / Math.tan(lag));
  for (let step = 1; step <= STEPS; step += 1) {
    const angle = (Math.PI * step) / STEPS;
    if (at(angle) < breakover) continue;
    let [low, high] = [angle - Math.PI / STEPS, angle];
    for (let turn = 0; turn < HALVINGS; turn += 1) {
      const middle = (low + high) / 2;
      if (at(middle) < breakover) low = middle;
      else high = middle;
    }
    return high;
  }
  return undefined;
}

/**
 * The angle at which it fires once it has come to rest; undefined where it never does, or drops out again. The trigger diode leaves some
 * volts in the capacitor, which drain through the resistor while the triac conducts and stand against the next half wave.
 * @param left volts that a pulse leaves; 0 where the capacitor is emptied
 * @returns radians
 */
export function firingAngle(timing: Timing, left = 0): number | undefined {
  const lag = Math.atan(2 * Math.PI * timing.line * timing.ohms * timing.farads);
  let angle = angleFrom(timing, 0);
  for (let half = 0; angle !== undefined && left > 0 && half < MOST_HALF_WAVES; half += 1) {
    const next = angleFrom(timing, -left * Math.exp(-(Math.PI - angle) / Math.tan(lag)));
    if (next !== undefined && Math.abs(next - angle) < CLOSE) return next;
    angle = next;
  }
  return angle;
}

/** The largest resistor at which it still fires once it runs, ohm. */
export function lastingOhms(timing: Omit<Timing, 'ohms'>, left: number): number {
  let [low, high] = [0, 100 / (2 * Math.PI * timing.line * timing.farads)];
  for (let turn = 0; turn < HALVINGS; turn += 1) {
    const middle = (low + high) / 2;
    if (firingAngle({ ...timing, ohms: middle }, left) === undefined) high = middle;
    else low = middle;
  }
  return low;
}

/** The largest resistor with which it fires from rest, ohm. */
export const startingOhms = ({ volts, line, farads, breakover }: Omit<Timing, 'ohms'>): number =>
  Math.sqrt(((volts * Math.SQRT2) / breakover) ** 2 - 1) / (2 * Math.PI * line * farads);
