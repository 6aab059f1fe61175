'use client';

import { useEffect, useRef, useState } from 'react';
import { rankSuspects, type Suspect, type TracedUnit } from '../../../../core/traced';
import { startTracedWorker } from '../../../../workers/traced.client';
import type { RanBoard } from '../../../../workers/traced.worker';

/** What is being looked for in a stage, and what was found so far. */
export interface Hunt {
  readonly stage: string;
  readonly done: number;
  readonly all: number;
  readonly isOver: boolean;
  readonly suspects: readonly Suspect[];
}

export interface BoardRunning {
  /** The board as it ran last; it stands while another is worked out. */
  readonly run?: RanBoard;
  readonly isRunning: boolean;
  readonly problem?: string;
  readonly hunt?: Hunt;
  readonly look: (stage: string) => void;
  readonly stop: () => void;
  readonly again: () => void;
}

const BROKEN = 'The simulation stopped by itself.';

/** Runs a board aside. Whatever is asked while it runs ends what was asked before. */
export function useBoardRun(unit: TracedUnit): BoardRunning {
  const [run, setRun] = useState<RanBoard>();
  const [ended, setEnded] = useState<{ readonly question: string; readonly problem?: string }>();
  const [hunt, setHunt] = useState<Hunt & { readonly question: string }>();
  const [round, setRound] = useState(0);
  const worker = useRef<ReturnType<typeof startTracedWorker>>(undefined);
  const question = JSON.stringify(unit);
  /** What was asked for, and how often: an answer to anything else is an answer to before. */
  const key = `${round} ${question}`;
  const isRunning = ended?.question !== key;
  const problem = isRunning ? undefined : ended.problem;

  useEffect(() => {
    const started = startTracedWorker();
    worker.current = started;
    started
      .ask((call) => call.run(JSON.parse(question) as TracedUnit))
      .then((found) => {
        setRun(found);
        setEnded({ question: key });
      })
      .catch(() => setEnded({ question: key, problem: BROKEN }));
    return () => started.stop();
  }, [question, key]);

  async function look(stage: string) {
    const own = worker.current;
    if (!own) return;
    const all = await own.ask((call) => call.hunt(stage));
    const found: Suspect[] = [];
    for (let index = 0; index < all; index += 1) {
      if (worker.current !== own) return;
      setHunt({ question: key, stage, done: index, all, isOver: false, suspects: rankSuspects(found) });
      const one = await own.ask((call) => call.trial(index));
      if (one) found.push(one);
      if (stopped.current === own) break;
    }
    stopped.current = undefined;
    if (worker.current === own)
      setHunt((before) => ({
        question: key,
        stage,
        done: before?.done ?? all,
        all,
        isOver: true,
        suspects: rankSuspects(found),
      }));
  }
  const stopped = useRef<ReturnType<typeof startTracedWorker>>(undefined);

  return {
    ...(run ? { run } : {}),
    isRunning,
    ...(problem === undefined ? {} : { problem }),
    ...(hunt?.question === key ? { hunt } : {}),
    look: (stage) => {
      look(stage).catch(() => setEnded({ question: key, problem: BROKEN }));
    },
    stop: () => {
      if (isRunning) {
        worker.current?.stop();
        worker.current = undefined;
        setEnded({ question: key, problem: 'Stopped. Nothing of it is kept.' });
      } else stopped.current = worker.current;
    },
    again: () => setRound((before) => before + 1),
  };
}
