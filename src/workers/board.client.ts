import type { BoardAnswer, BoardQuestion } from './board.contract';

/** Starts the worker that looks at boards; answers arrive through `onAnswer`, `stop` ends it. */
export function startBoardWorker(onAnswer: (answer: BoardAnswer) => void): {
  readonly ask: (question: BoardQuestion) => void;
  readonly stop: () => void;
} {
  const worker = new Worker(new URL('./board.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<BoardAnswer>) => onAnswer(data));
  return { ask: (question) => worker.postMessage(question), stop: () => worker.terminate() };
}
