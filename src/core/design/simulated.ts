import { circuitById, studyOf } from '../whatif';
import type { Design } from './search';
import type { DesignSpec } from './spec';

/** A design as it runs, at the input that asks most of its choke, with a usual switch and rectifier. Volts, amperes. */
export interface Simulated {
  readonly volts: number;
  readonly ripple: number;
  /** Peak of the choke’s current. */
  readonly peak: number;
}

const CIRCUIT = { buck: 'buck', boost: 'boost', inverting: 'inverting' } as const;

/** Runs the steady state of a design with its choke and its cans; nothing where it does not settle, or has no output can. */
export function simulated(design: Design, spec: DesignSpec): Simulated | undefined {
  const { output } = design.parts;
  const circuit = circuitById(CIRCUIT[design.topology]);
  const { capacitance = 0, esr = 0.05 } = output?.lot.ratings ?? {};
  if (!output || !circuit || capacitance <= 0) return undefined;
  const study = studyOf(circuit, {
    input: design.topology === 'buck' ? spec.inputHigh : spec.inputLow,
    output: Math.abs(spec.output),
    load: spec.current,
    frequency: design.frequency,
    inductance: design.inductance,
    capacitance: capacitance * output.count,
    esr: esr / output.count,
  });
  if ('kind' in study) return undefined;
  const choke = study.stresses.find(({ ref, kind }) => ref === 'L1' && kind === 'core');
  return { volts: Math.abs(study.output.volts), ripple: study.output.ripple, peak: choke?.value ?? 0 };
}
