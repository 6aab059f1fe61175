export { compare, type Change, type CompareRow, type Comparison } from './compare';
export { lossesOf, type Loss, type LossPlace } from './losses';
export type { RolePart, Subject } from './subject';
export { changeOver, trendOf, type Dated, type Span } from './trends';
