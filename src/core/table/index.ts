export { neutralised, plainCell } from './neutralise';
