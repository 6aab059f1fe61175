export { powerWalk } from './powerWalk';
export type { RailEstimate } from './rails/estimate';
export { railEstimates } from './rails/railEstimates';
