export { SUMS, sumById, sumsOf } from './sums';
export { workOut, type Outcome, type FieldState } from './workOut';
export {
  figureText,
  QUESTIONS,
  type Choices,
  type Curve,
  type Field,
  type Figure,
  type KeptSum,
  type Mark,
  type Picture,
  type PlateValue,
  type Question,
  type Sum,
  type Worked,
} from './sum';
export { readSumLine, type SumLine } from './line';
