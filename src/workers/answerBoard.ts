import { pinName, type Board } from '../core/board';
import { findingsOf } from '../core/findings';
import { drawSchematic, type Places, type SchematicView } from '../core/schematic';
import { analyse, probesFrom, type Analysis } from '../core/topology';
import { powerWalk, railEstimates } from '../core/walk';
import type { BoardAnswer } from './board.contract';

const PROBES = 4;

/** What of a board is to be drawn, and where its symbols stood the last time it was drawn so. */
export interface Drawing {
  readonly view?: SchematicView;
  readonly before?: Places;
}

/** Works everything out of a board that the Trace station shows. */
export const answerBoard = (board: Board, drawing: Drawing): BoardAnswer => answerOf(analyse(board), drawing);

export function answerOf(whole: Analysis, drawing: Drawing): BoardAnswer {
  const { recognition, ...analysis } = whole;
  const { nets } = recognition.model;
  return {
    analysis,
    findings: findingsOf(recognition),
    advice: probesFrom(recognition, PROBES),
    rails: railEstimates(whole),
    walk: powerWalk(whole),
    drawn: drawSchematic(whole, drawing),
    nets: Object.fromEntries(
      Array.from({ length: nets.count }, (_, net) =>
        (nets.pins[net] ?? []).map((pin) => [pinName(pin), net] as const),
      ).flat(),
    ),
  };
}
