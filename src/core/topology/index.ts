export { recognise, type Recognition } from './recognise';
export { controlOf } from './match/control';
export { outputOf } from './match/outputs';
export type { FoundStage } from './match/stage';
export type { Model } from './model';
export type { CapacitorElement, RectifierElement, SwitchElement, Winding } from './model/elements';
export { isPolarised, SUPPLY_RESISTOR_AT_MOST, TRANSISTOR_TERMINALS, twoPins } from './model/parts';
export { reachOf } from './model/series';
export { TOPOLOGY_WORDS } from './topologies';
