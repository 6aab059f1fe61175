'use client';

import { useEffect, useRef, useState } from 'react';
import type { Board } from '../../../core/board';
import type { Places } from '../../../core/schematic';
import { startBoardWorker } from '../../../workers/board.client';
import type { BoardAnswer } from '../../../workers/board.contract';

/** What a worker makes of a board; the last answer stands until the next is there. */
export function useBoardAnswer(board: Board): { readonly answer: BoardAnswer | undefined; readonly isFresh: boolean } {
  const [answer, setAnswer] = useState<BoardAnswer>();
  const [asked, setAsked] = useState(0);
  const worker = useRef<ReturnType<typeof startBoardWorker>>(undefined);
  const places = useRef<Places>({});
  const id = useRef(0);
  const question = JSON.stringify(board);

  useEffect(() => {
    const started = startBoardWorker((next) => {
      places.current = next.places;
      setAnswer((last) => (last && last.id > next.id ? last : next));
    });
    worker.current = started;
    return () => started.stop();
  }, []);
  useEffect(() => {
    id.current += 1;
    setAsked(id.current);
    worker.current?.ask({ id: id.current, board: JSON.parse(question) as Board, places: places.current });
  }, [question]);
  return { answer, isFresh: answer !== undefined && answer.id === asked };
}
