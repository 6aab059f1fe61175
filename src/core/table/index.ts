export { readHeading, type RefusedLine } from './heading';
export { neutralised, plainCell } from './neutralise';
