import { expose } from 'comlink';
import { answerBoard } from './answerBoard';

const functions = { answer: answerBoard };
export type BoardWorker = typeof functions;

expose(functions);
