import { answerBoard } from './answerBoard';
import type { BoardQuestion } from './board.contract';

addEventListener('message', ({ data }: MessageEvent<BoardQuestion>) => postMessage(answerBoard(data)));
