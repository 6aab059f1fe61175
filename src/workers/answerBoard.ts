import { pinName, type Board } from '../core/board';
import { findingsOf } from '../core/findings';
import { drawSchematic, type Places } from '../core/schematic';
import { analyse, probesFrom } from '../core/topology';
import { powerWalk, railEstimates } from '../core/walk';
import type { BoardAnswer } from './board.contract';

const PROBES = 4;

/**
 * Works everything out of a board that the Trace station shows.
 * @param places where its symbols were drawn before
 */
export function answerBoard(board: Board, places: Places): BoardAnswer {
  const whole = analyse(board);
  const { recognition, ...analysis } = whole;
  const { nets } = recognition.model;
  const drawn = drawSchematic(whole, places);
  return {
    analysis,
    findings: findingsOf(recognition),
    advice: probesFrom(recognition, PROBES),
    rails: railEstimates(whole),
    walk: powerWalk(whole),
    schematic: drawn.schematic,
    places: drawn.places,
    nets: Object.fromEntries(
      Array.from({ length: nets.count }, (_, net) =>
        (nets.pins[net] ?? []).map((pin) => [pinName(pin), net] as const),
      ).flat(),
    ),
  };
}
