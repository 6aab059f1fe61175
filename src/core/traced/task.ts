import type { FoundStage, Recognition } from '../topology';
import type { PowerCircuit, PowerPart } from '../whatif';
import type { Way } from './drive';
import type { OutputRail, StageRails } from './rails';
import type { TracedUnit, Values } from './unit';

/** What a stage is run with. */
export interface StageTask {
  readonly unit: TracedUnit;
  readonly recognition: Recognition;
  readonly stage: FoundStage;
  readonly way: Way;
  readonly rails: StageRails;
  /** Volts of its source. */
  readonly volts: number;
  /** Amperes taken from each output, in their order. */
  readonly amperes: readonly number[];
  readonly values: Values;
  /** The output that the control holds. */
  readonly main: number;
}

/** An output of a stage as nodes of its circuit. */
export interface OutputNodes {
  readonly output: OutputRail;
  readonly plus: string;
  readonly minus: string;
  readonly load: string;
  readonly amperes: number;
}

/** A stage as a circuit that runs. */
export interface StageCircuit {
  readonly circuit: PowerCircuit;
  readonly outputs: readonly OutputNodes[];
  /** The reference of the board for each part of the circuit that has one. */
  readonly refOf: ReadonlyMap<string, string>;
}

/** The part that stands for the source, and what begins the name of a load. */
export const SOURCE = 'SOURCE';
const LOAD = 'LOAD';

/** The load of an output between two nodes. @param index of the output */
export function loadOf(
  output: OutputRail,
  {
    up,
    down,
    amperes,
    index,
  }: { readonly up: string; readonly down: string; readonly amperes: number; readonly index: number },
): { readonly nodes: OutputNodes; readonly part: PowerPart } {
  const [plus, minus] = output.isNegative ? [down, up] : [up, down];
  const load = `${LOAD}${index + 1}`;
  return {
    nodes: { output, plus, minus, load, amperes },
    part: {
      ref: load,
      drawn: { kind: 'connector', role: 'output', pins: { '+': plus, '-': minus } },
      model: { kind: 'load', ohms: output.volts / amperes },
      limits: {},
    },
  };
}
