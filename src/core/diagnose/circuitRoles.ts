import type { RoleName } from './words';

/** Said of a unit whose nameplate asks for direct voltage, and roles that none such has. */
export const FED_DIRECT = 'fed-direct';
const OF_MAINS: ReadonlySet<RoleName> = new Set([
  'ntc',
  'varistor',
  'xCapacitor',
  'bridge',
  'startUp',
  'fusible',
  'inlet',
  'lineSelector',
]);

/** Roles that only some circuits have. */
const ONLY_IN: Partial<Record<RoleName, RegExp>> = {
  pfcSwitch: /pfc/u,
  pfcDiode: /pfc/u,
  resonant: /llc|resonan|ballast/u,
  triac: /phase|triac|dimmer/u,
  trigger: /phase|ballast|dimmer|rcc|self-osc|pulse|discharge|ignit/u,
  timing: /phase|dimmer|pulse|discharge|ignit|timer|ballast/u,
  timingResistor: /phase|dimmer|pulse|ignit/u,
  dropper: /dropper/u,
  store: /pulse|discharge|ignit|fence|flash|dump/u,
  pulseSwitch: /pulse|discharge|ignit|fence|flash|dump/u,
  charging: /pulse|discharge|ignit|fence|flash|dump/u,
  standbySwitch: /standby|rcc|flyback.+(?:forward|bridge|llc|pfc)|(?:forward|bridge|llc|pfc).+flyback/u,
  standbyCapacitor: /standby|rcc|flyback.+(?:forward|bridge|llc|pfc)|(?:forward|bridge|llc|pfc).+flyback/u,
  regulator: /linear|line-transformer|dropper|buck|regulator/u,
  leds: /led|light|lamp|panel|luminaire|strip/u,
  outputRectifier: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|line-transformer|linear|pfc/u,
  sense: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|pfc/u,
  controller: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|pfc|pulse|discharge|led/u,
  syncFet: /llc|sync|flyback|forward|bridge|buck|boost/u,
  startUp: /offline|flyback|forward|bridge|push|llc|pfc/u,
  vccCapacitor: /offline|flyback|forward|bridge|push|llc|pfc/u,
  auxiliary: /offline|flyback|forward|bridge|push|llc|pfc/u,
  auxiliaryResistor: /offline|flyback|forward|bridge|push|llc|pfc/u,
  optocoupler: /flyback|forward|bridge|push|llc|pfc/u,
  ntc: /offline|flyback|forward|bridge|push|llc|pfc|dropper/u,
  varistor: /offline|flyback|forward|bridge|push|llc|pfc|dropper|phase|ballast|line-transformer|linear/u,
  bridge: /offline|flyback|forward|bridge|push|llc|pfc|dropper|linear|line-|ballast/u,
  inputCapacitor: /^(?:buck|boost|sepic|inverting|cuk)/u,
};

/** Whether the circuits a unit has can have a part of a role. */
export const has = (role: RoleName, circuits: string): boolean =>
  !(circuits.includes(FED_DIRECT) && OF_MAINS.has(role)) && (ONLY_IN[role]?.test(circuits) ?? true);
