export { refusal, refuse, type Refusal } from './refusals';
export { refused, run, valueOf, type Done, type Outcome } from './run';
export { undoLatest, undoStep } from './undo';
