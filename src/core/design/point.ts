import { convert, type Conversion } from '../converter';
import { RULES } from './rules';
import type { Designed, DesignSpec } from './spec';

/** What a circuit with a choke at a frequency asks of its parts, the worst over the inputs. */
export interface Point {
  readonly topology: Designed;
  readonly frequency: number;
  readonly inductance: number;
  /** At the lowest and the highest input. */
  readonly at: readonly Conversion[];
  readonly output: number;
  readonly current: number;
  readonly ripple: number;
  readonly ambient: number;
  readonly inputHigh: number;
}

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
  readonly outputRms: number;
  readonly inputRms: number;
}

/** What a spec comes to; nothing where the circuit cannot do it. */
export function demandOf(
  spec: DesignSpec,
  of: { readonly topology: Designed; readonly frequency: number; readonly inductance: number },
): Demand | undefined {
  const { topology, frequency, inductance } = of;
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
      rectifierDrop: RULES.drops.rectifier,
      switchDrop: RULES.drops.switch,
    });
    if ('wrong' in conversion) return undefined;
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
    peak: worst(point, ({ peak }) => peak),
    chokeRms: worst(point, ({ rms }) => rms),
    swing: worst(point, ({ ripple, mean }) => ripple / mean),
    switchVolts: worst(point, ({ switchVolts }) => switchVolts),
    switchRms: worst(point, ({ switchRms }) => switchRms),
    switchPeak: worst(point, ({ switchPeak }) => switchPeak),
    rectifierVolts: worst(point, ({ rectifierVolts }) => rectifierVolts),
    rectifierMean: worst(point, ({ rectifierMean }) => rectifierMean),
    outputRms: worst(point, ({ outputCapacitorRms }) => outputCapacitorRms),
    inputRms: worst(point, ({ inputCapacitorRms }) => inputCapacitorRms),
  };
}

/** Ripple at the output with so many farads and ohms: what is charged and discharged, and what the ESR adds. Volts, peak to peak. */
export function rippleOf({ point, peak }: Demand, farads: number, ohms: number): number {
  const { topology, frequency, current } = point;
  const charge = worst(point, ({ ripple, duty }) =>
    topology === 'buck' ? ripple / (8 * frequency) : (current * duty) / frequency,
  );
  const swing = topology === 'buck' ? worst(point, ({ ripple }) => ripple) : peak;
  return charge / farads + swing * ohms;
}
