import { expose } from 'comlink';
import type { Board } from '../core/board';
import { drawSchematic, type DrawnSchematic } from '../core/schematic';
import { analyse, type Analysis } from '../core/topology';
import { answerOf, type Drawing } from './answerBoard';

/** Of the board that was asked about last. */
let analysis: Analysis | undefined;

const functions = {
  answer(board: Board, drawing: Drawing) {
    analysis = analyse(board);
    return answerOf(analysis, drawing);
  },
  /** The board of the last question, drawn in another way. */
  draw(drawing: Drawing): DrawnSchematic {
    if (!analysis) throw new Error('No board was given yet: ask for its answer first.');
    return drawSchematic(analysis, drawing);
  },
};
export type BoardWorker = typeof functions;

expose(functions);
