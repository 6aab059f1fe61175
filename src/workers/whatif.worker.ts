import { expose } from 'comlink';
import { drawSchematic, type Schematic } from '../core/schematic';
import { analyse } from '../core/topology';
import {
  answerOf,
  boardOf,
  circuitById,
  faultAnswer,
  faultsOf,
  spiceOf,
  studyOf,
  type Answer,
  type Fault,
  type FaultAnswer,
  type Study,
  type Values,
} from '../core/whatif';

/** What is asked of a circuit: the values of its knobs, and a duty or frequency that is set instead of found. */
export interface Turn {
  readonly id: string;
  readonly values: Values;
  readonly control?: number;
  /** Milliseconds after which the search is shown as far as it has come; none, and it goes to its end. */
  readonly budget?: number;
}
/** The circuit as it runs, or why it cannot. */
export interface Turned {
  readonly answer?: Answer;
  readonly message?: string;
}

/** Milliseconds that a fault may take. */
const FAULT_BUDGET = 4000;

/** The circuit as it ran last, from which the next search begins. */
let last: Study | undefined;

const known = (id: string) => {
  const circuit = circuitById(id);
  if (!circuit) throw new Error(`There is no circuit ${id}.`);
  return circuit;
};

const functions = {
  /** The circuit drawn, at the usual values of its knobs. */
  draw(id: string): Schematic {
    const circuit = known(id);
    const usual = Object.fromEntries(circuit.knobs.map((knob) => [knob.id, knob.usual]));
    return drawSchematic(analyse(boardOf(circuit, usual))).schematic;
  },
  turn({ id, values, control, budget = Infinity }: Turn): Turned {
    const end = performance.now() + budget;
    const circuit = known(id);
    const nearby = last?.setting.circuit === circuit ? { nearby: last.operation } : {};
    const study = studyOf(circuit, values, {
      ...nearby,
      ...(control === undefined ? {} : { control }),
      isOver: () => performance.now() > end,
    });
    if ('kind' in study)
      return {
        message:
          study.kind === 'singular'
            ? `The circuit has no one solution at ${study.nodes.join(', ')}.`
            : 'These couplings cannot be: a winding would give more than it gets.',
      };
    last = study;
    return { answer: answerOf(study) };
  },
  /** A fault in the circuit as it ran last. */
  fault(kind: Fault['kind']): FaultAnswer {
    const fault = last && faultsOf(last.setting.circuit).find((one) => one.kind === kind);
    if (!last || !fault) return { kind };
    const end = Date.now() + FAULT_BUDGET;
    return faultAnswer(fault, last, () => Date.now() > end);
  },
  spice: (): string => (last ? spiceOf(last) : ''),
};
export type WhatIfWorker = typeof functions;

expose(functions);
