export { matchLoad, type Load, type Module, type ModuleCheck, type ModuleMatch, type ModuleVerdict } from './matchLoad';
export { stacksFor, type Stack } from './stacks';
export { fanWays, type FanWay } from './fan';
