export { counted } from './counted';
export { formatDuration } from './formatDuration';
export {
  formatQuantity,
  formatShorthand,
  typedQuantity,
  type FormatOptions,
  type PrintedQuantity,
} from './formatQuantity';
export { parseQuantity, problemText, type ParsedQuantity, type Quantity, type QuantityProblem } from './parseQuantity';
export { TOLERANCE_LETTERS } from './tolerance';
export { UNITS, type Unit } from './units';
export { typedTime } from './typedTime';
