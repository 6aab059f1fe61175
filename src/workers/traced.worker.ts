import { expose } from 'comlink';
import {
  disagreementsOf,
  runBoard,
  trialsOf,
  tryOut,
  type BoardRun,
  type Disagreement,
  type Suspect,
  type TracedUnit,
  type Trial,
} from '../core/traced';

/** A board as it runs, with what that disagrees with. */
export interface RanBoard extends BoardRun {
  readonly disagreements: readonly Disagreement[];
}

/** Milliseconds for a board, and for one trial. */
const BOARD_BUDGET = 30_000;
const TRIAL_BUDGET = 6000;

/** What was run last, and the trials of what is being looked for in it. */
let last: { readonly unit: TracedUnit; readonly run: BoardRun } | undefined;
let hunt: { readonly stage: string; readonly trials: readonly Trial[] } | undefined;

const within = (milliseconds: number) => {
  const end = Date.now() + milliseconds;
  return () => Date.now() > end;
};

const functions = {
  run(unit: TracedUnit): RanBoard {
    const run = runBoard(unit, { isOver: within(BOARD_BUDGET) });
    last = { unit, run };
    return { ...run, disagreements: disagreementsOf(run, unit) };
  },
  /** How many trials there are for what disagrees in a stage. */
  hunt(stage: string): number {
    hunt = last && { stage, trials: trialsOf(last.unit, last.run, stage) };
    return hunt?.trials.length ?? 0;
  },
  /** One of them. */
  trial(index: number): Suspect | undefined {
    const trial = hunt?.trials[index];
    return last && hunt && trial ? tryOut(trial, { ...last, stage: hunt.stage }, within(TRIAL_BUDGET)) : undefined;
  },
};
export type TracedWorker = typeof functions;

expose(functions);
