import { practice } from '../evidence';
import { E24, nearestOf } from '../marking';
import type { Control, OuterPart } from './control';
import type { Design } from './search';
import type { DesignSpec } from './spec';

/** A loop around a converter whose peak current is commanded: where it crosses one, and what is left of half a turn there. */
export interface Loop {
  /** Hertz; degrees. */
  readonly crossover: number;
  readonly margin: number;
  /** Of the power stage: its pole, the zero of the ESR, and the zero in the right half, where it has one; hertz. */
  readonly pole: number;
  readonly esrZero: number;
  readonly rightZero?: number;
  readonly outer: readonly OuterPart[];
}

const RULES = practice({
  /** Of the frequency, and of the zero in the right half, it crosses at so much at most. */
  crossover: { frequency: 0.1, rightZero: 0.25 },
  /** The amplifier’s zero stands so far below the crossover, its pole as far above at least. */
  zero: 0.2,
  pole: 4,
  /** The UC384x family divides its error voltage by so much before it commands a peak. */
  divides: 3,
});

interface Stage {
  /** Volts at the output for a volt at the error amplifier’s output, at standstill. */
  readonly gain: number;
  readonly pole: number;
  readonly esrZero: number;
  readonly rightZero: number;
}

/**
 * The averaged power stage under peak-current control: one pole, the zero of the ESR, and the right-half zero of circuits that store
 * first. Textbook averaged models (Fundamentals of power electronics), from memory; slope compensation and sampling left out.
 */
export function stageOf(design: Design, spec: DesignSpec, senseOhms: number): Stage | undefined {
  const { output, demand, topology } = { ...design.parts, demand: design.demand, topology: design.topology };
  if (!output) return undefined;
  const farads = (output.lot.ratings['capacitance'] ?? 0) * output.count;
  const esr = (output.lot.ratings['esr'] ?? 0.05) / output.count;
  const load = Math.abs(spec.output) / spec.current;
  // The highest duty is the slowest.
  const duty = Math.max(...demand.point.at.map((one) => one.duty));
  const left = 1 - duty;
  const commands = load / (RULES.divides * senseOhms);
  const [gain, steep] =
    topology === 'buck'
      ? [commands, 1]
      : topology === 'boost'
        ? [(commands * left) / 2, 2]
        : [(commands * left) / (1 + duty), 1 + duty];
  const zeros = demand.point.at.flatMap(({ rightZero }) => (rightZero === undefined ? [] : [rightZero]));
  return {
    gain,
    pole: steep / (2 * Math.PI * load * farads),
    esrZero: 1 / (2 * Math.PI * esr * farads),
    rightZero: zeros.length > 0 ? Math.min(...zeros) : Infinity,
  };
}

const DEGREES = 180 / Math.PI;

/** How large the loop is at a frequency, and its angle in degrees, with an amplifier of a gain, a zero and a pole beside its integrator. */
export function loopAt(
  stage: Stage,
  amplifier: { readonly gain: number; readonly zero: number; readonly pole: number },
  hertz: number,
): { readonly size: number; readonly degrees: number } {
  const over = (corner: number) => hertz / corner;
  const size = (corner: number) => Math.hypot(1, over(corner));
  const angle = (corner: number) => Math.atan(over(corner)) * DEGREES;
  return {
    size:
      (stage.gain * size(stage.esrZero) * size(stage.rightZero) * amplifier.gain * size(amplifier.zero)) /
      (size(stage.pole) * over(amplifier.zero) * size(amplifier.pole)),
    degrees:
      angle(stage.esrZero) -
      angle(stage.rightZero) -
      angle(stage.pole) -
      90 +
      angle(amplifier.zero) -
      angle(amplifier.pole),
  };
}

/**
 * Starting values of the parts at the error amplifier, for a controller that commands a peak current: a resistor with a capacitor in
 * series, and a small one beside both. Nothing for other controllers, which have their own or want a network of another kind.
 */
export function loopOf(design: Design, spec: DesignSpec, control: Control): Loop | undefined {
  const value = (name: string) => control.outer.find((one) => one.name === name)?.value;
  const [senseOhms, upper] = [value('sense resistor'), value('upper divider')];
  // A loop across an optocoupler is another network.
  if (
    design.topology === 'flyback' ||
    control.family.role !== 'current-mode' ||
    senseOhms === undefined ||
    upper === undefined
  )
    return undefined;
  const stage = stageOf(design, spec, senseOhms);
  if (!stage) return undefined;
  const wanted = Math.min(RULES.crossover.frequency * design.frequency, RULES.crossover.rightZero * stage.rightZero);
  const ideal = {
    zero: RULES.zero * wanted,
    pole: Math.max(RULES.pole * wanted, Math.min(stage.esrZero, stage.rightZero)),
  };
  const without = loopAt(stage, { gain: 1, ...ideal }, wanted);
  const ohms = nearestOf(upper / without.size, E24);
  const series = nearestOf(1 / (2 * Math.PI * ohms * ideal.zero), E24);
  const small = nearestOf(1 / (2 * Math.PI * ohms * ideal.pole), E24);
  const amplifier = {
    gain: ohms / upper,
    zero: 1 / (2 * Math.PI * ohms * series),
    pole: 1 / (2 * Math.PI * ohms * small),
  };
  const crossover = crossing(stage, amplifier, wanted);
  const margin = 180 + loopAt(stage, amplifier, crossover).degrees;
  const why = `crosses at ${Math.round(crossover)} Hz with ${Math.round(margin)}° in hand, by an averaged model`;
  return {
    crossover,
    margin,
    pole: stage.pole,
    esrZero: stage.esrZero,
    ...(Number.isFinite(stage.rightZero) ? { rightZero: stage.rightZero } : {}),
    outer: [
      { name: 'compensation resistor', value: ohms, unit: 'ohm', why },
      { name: 'compensation capacitor', value: series, unit: 'farad', why },
      { name: 'small capacitor beside both', value: small, unit: 'farad', why },
    ],
  };
}

/** Where the loop is as large as one, near a frequency. */
function crossing(stage: Stage, amplifier: Parameters<typeof loopAt>[1], near: number): number {
  let [low, high] = [near / 30, near * 30];
  for (let step = 0; step < 60; step += 1) {
    const middle = Math.sqrt(low * high);
    if (loopAt(stage, amplifier, middle).size > 1) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}
