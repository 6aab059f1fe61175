export { compare, type Comparison } from './compare';
export type { Change, CompareRow } from './rows';
export { lossesOf, type Loss, type LossPlace } from './losses';
export type { RolePart, Subject } from './subject';
export { changeOver, trendOf, type Dated, type Span } from './trends';
