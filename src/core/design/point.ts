import { convert, type Conversion } from '../converter';
import { RULES } from './rules';
import { isPaired, type Designed, type DesignSpec } from './spec';

/** What a circuit with a choke at a frequency asks of its parts, the worst over the inputs. */
export interface Point {
  readonly topology: Designed;
  readonly frequency: number;
  readonly inductance: number;
  /** Of a transformer: primary turns for one of the secondary. */
  readonly turns?: number;
  /** At the lowest and the highest input. */
  readonly at: readonly Conversion[];
  readonly output: number;
  readonly current: number;
  readonly ripple: number;
  readonly ambient: number;
  readonly inputHigh: number;
}

/** Circuits whose choke feeds the output all the time. */
const isSmooth = (topology: Designed) => topology === 'buck' || topology === 'cuk';

const worst = (point: Point, of: (conversion: Conversion) => number): number => Math.max(...point.at.map(of));

/** The figures parts are chosen by. */
export interface Demand {
  readonly point: Point;
  readonly peak: number;
  readonly chokeRms: number;
  readonly swing: number;
  readonly switchVolts: number;
  readonly switchRms: number;
  readonly switchPeak: number;
  readonly rectifierVolts: number;
  readonly rectifierMean: number;
  readonly rectifierRms: number;
  readonly outputRms: number;
  readonly inputRms: number;
  /** Of the capacitor that the power goes through, where there is one. */
  readonly linkRms: number;
  readonly linkVolts: number;
}

/** What a spec comes to; nothing where the circuit cannot do it. */
export function demandOf(
  spec: DesignSpec,
  of: {
    readonly topology: Designed;
    readonly frequency: number;
    readonly inductance: number;
    readonly turns?: number;
  },
): Demand | undefined {
  const { topology, frequency, inductance, turns } = of;
  const inputs = spec.inputLow === spec.inputHigh ? [spec.inputLow] : [spec.inputLow, spec.inputHigh];
  const at: Conversion[] = [];
  for (const input of inputs) {
    const conversion = convert({
      topology,
      input,
      output: Math.abs(spec.output),
      current: spec.current,
      frequency,
      inductance,
      ...(turns === undefined ? {} : { turns, efficiency: RULES.transformer.efficiency }),
      rectifierDrop: RULES.drops.rectifier,
      switchDrop: RULES.drops.switch,
    });
    if ('wrong' in conversion || conversion.duty < RULES.duty.least || conversion.duty > RULES.duty.most)
      return undefined;
    at.push(conversion);
  }
  const point: Point = {
    ...of,
    at,
    output: Math.abs(spec.output),
    current: spec.current,
    ripple: spec.ripple ?? 0.01 * Math.abs(spec.output),
    ambient: spec.ambient ?? RULES.ambient,
    inputHigh: spec.inputHigh,
  };
  return {
    point,
    peak: worst(point, (one) => Math.max(one.peak, secondPeak(point, one))),
    chokeRms: worst(point, ({ rms }) => Math.max(rms, isPaired(topology) ? spec.current : 0)),
    swing: worst(point, ({ ripple, mean }) => ripple / mean),
    // What the leakage adds is clamped.
    switchVolts: worst(point, ({ switchVolts }) => switchVolts) + (RULES.transformer.clamp - 1) * reflected(point),
    switchRms: worst(point, ({ switchRms }) => switchRms),
    switchPeak: worst(point, ({ switchPeak }) => switchPeak),
    rectifierVolts: worst(point, ({ rectifierVolts }) => rectifierVolts),
    rectifierMean: worst(point, ({ rectifierMean }) => rectifierMean),
    rectifierRms: worst(point, ({ rectifierRms }) => rectifierRms),
    outputRms: worst(point, ({ outputCapacitorRms }) => outputCapacitorRms),
    inputRms: worst(point, ({ inputCapacitorRms }) => inputCapacitorRms),
    linkRms: worst(
      point,
      ({ linkRms = 0, rms, rectifierRms }) => linkRms || (isPaired(topology) ? Math.max(rms, rectifierRms) : 0),
    ),
    linkVolts: worst(point, ({ linkVolts = 0 }) => linkVolts || (isPaired(topology) ? linkOf(point) : 0)),
  };
}

/** Volts that the output reflects to the primary of a flyback; none elsewhere. */
export const reflected = ({ topology, turns = 1, output }: Point): number =>
  topology === 'flyback' ? turns * (output + RULES.drops.rectifier) : 0;

/** Volts across the capacitor that the power goes through. */
const linkOf = ({ topology, inputHigh, output }: Point): number => inputHigh + (topology === 'cuk' ? output : 0);

/** Peak of the second choke, which carries the output current; they rise and fall together. */
const secondPeak = ({ topology, current }: Point, { ripple, duty, fall }: Conversion): number =>
  isPaired(topology) ? current + ripple * (1 - Math.min(1, duty + (fall ?? 1 - duty)) / 2) : 0;

/** Ripple at the output with so many farads and ohms: what is charged and discharged, and what the ESR adds. Volts, peak to peak. */
export function rippleOf({ point }: Demand, farads: number, ohms: number): number {
  const { topology, frequency, current } = point;
  const charge = worst(point, ({ ripple, duty }) =>
    isSmooth(topology) ? ripple / (8 * frequency) : (current * duty) / frequency,
  );
  const swing = worst(point, ({ ripple, rectifierPeak }) => (isSmooth(topology) ? ripple : rectifierPeak));
  return charge / farads + swing * ohms;
}
