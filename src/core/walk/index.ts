export { powerWalk } from './powerWalk';
export { railEstimates, type RailEstimate } from './rails/railEstimates';
