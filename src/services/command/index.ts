export { refusal, refuse, type Refusal } from './refusals';
export { ON_STOCK, ON_TYPES, refused, run, valueOf, type Done, type Outcome } from './run';
export { undoLatest, redoStep, undoStep } from './undo';
