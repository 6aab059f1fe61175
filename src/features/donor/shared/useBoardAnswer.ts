'use client';

import { useEffect, useRef, useState } from 'react';
import type { Board } from '../../../core/board';
import { NO_PLACES, type Places } from '../../../core/schematic';
import { startBoardWorker } from '../../../workers/board.client';
import type { BoardAnswer } from '../../../workers/board.contract';

/** What a worker makes of a board; the last answer stands until the next is there, or for good when none comes. */
export function useBoardAnswer(board: Board): {
  readonly answer: BoardAnswer | undefined;
  readonly isFresh: boolean;
  readonly hasFailed: boolean;
} {
  const [last, setLast] = useState<{ readonly question: string; readonly answer: BoardAnswer }>();
  const [failed, setFailed] = useState<string>();
  const worker = useRef<ReturnType<typeof startBoardWorker>>(undefined);
  const places = useRef<Places>(NO_PLACES);
  const question = JSON.stringify(board);

  useEffect(() => {
    const started = startBoardWorker();
    worker.current = started;
    return () => started.stop();
  }, []);
  useEffect(() => {
    // Answers come in the order of the questions, as the worker takes one after another.
    void worker.current
      ?.ask((call) => call.answer(JSON.parse(question) as Board, places.current))
      .then((answer) => {
        places.current = answer.places;
        setLast({ question, answer });
      })
      .catch(() => setFailed(question));
  }, [question]);
  return { answer: last?.answer, isFresh: last?.question === question, hasFailed: failed === question };
}
