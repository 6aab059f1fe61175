'use client';

import { useEffect, useRef, useState } from 'react';
import type { Board } from '../../../core/board';
import { NO_PLACES, type Places, type SchematicView } from '../../../core/schematic';
import { startBoardWorker } from '../../../workers/board.client';
import type { BoardAnswer } from '../../../workers/board.contract';

const WHOLE: SchematicView = { kind: 'whole' };

/**
 * What a worker makes of a board; the last answer stands until the next is there, or for good when none comes.
 * @param view what of it is drawn
 */
export function useBoardAnswer(
  board: Board,
  view: SchematicView = WHOLE,
): {
  readonly answer: BoardAnswer | undefined;
  readonly isFresh: boolean;
  readonly hasFailed: boolean;
  /** Draws it anew, as if nothing had been drawn before. */
  readonly redraw: () => void;
} {
  const [last, setLast] = useState<{
    readonly question: string;
    readonly shown: string;
    readonly answer: BoardAnswer;
  }>();
  const [failed, setFailed] = useState<string>();
  const worker = useRef<ReturnType<typeof startBoardWorker>>(undefined);
  const places = useRef(new Map<string, Places>());
  const question = JSON.stringify(board);
  const shown = JSON.stringify(view);
  const present = useRef({ asked: '', shown });

  useEffect(() => {
    const started = startBoardWorker();
    worker.current = started;
    return () => started.stop();
  }, []);

  function draw(wanted: string) {
    void worker.current
      ?.ask((call) =>
        call.draw({ view: JSON.parse(wanted) as SchematicView, before: places.current.get(wanted) ?? NO_PLACES }),
      )
      .then((drawn) => {
        places.current.set(wanted, drawn.places);
        setLast((known) => known && { ...known, shown: wanted, answer: { ...known.answer, drawn } });
      })
      .catch(() => setFailed(question));
  }

  useEffect(() => {
    const { asked } = present.current;
    present.current = { asked: question, shown };
    // Answers come in the order of the questions, as the worker takes one after another.
    if (asked === question) draw(shown);
    else
      void worker.current
        ?.ask((call) =>
          call.answer(JSON.parse(question) as Board, {
            view: JSON.parse(shown) as SchematicView,
            before: places.current.get(shown) ?? NO_PLACES,
          }),
        )
        .then((answer) => {
          places.current.set(shown, answer.drawn.places);
          setLast({ question, shown, answer });
        })
        .catch(() => setFailed(question));
    // oxlint-disable-next-line react/exhaustive-deps -- `draw` asks for what it is given
  }, [question, shown]);
  return {
    answer: last?.answer,
    isFresh: last?.question === question && last.shown === shown,
    hasFailed: failed === question,
    redraw: () => {
      places.current.delete(shown);
      draw(shown);
    },
  };
}
