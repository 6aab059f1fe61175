export {
  matchLoad,
  RULES as SUPPLY_RULES,
  type Load,
  type Module,
  type ModuleCheck,
  type ModuleMatch,
  type ModuleVerdict,
} from './matchLoad';
export { stacksFor, type Stack } from './stacks';
export { fanWays, type FanWay } from './fan';
export {
  commonFittings,
  COOLING_NAMES,
  COOLINGS,
  MOUNTING_NAMES,
  MOUNTINGS,
  PLUG_NAMES,
  PLUGS,
  type CoolingName,
  type Fittings,
  type MountingName,
  type PlugName,
} from './fittings';
