export { COLD, HEAT, LOADS, railLimits, rippleLimit } from './limits';
export { lampFor, lampOhms, mostThroughLamp, throughLamp, voltsBehindLamp } from './lamp';
export { planPowerUp, type PowerUpPlan } from './plan';
export { gateOf, standingOf, tellsFrom, type Gate, type Mark, type Standing } from './stand';
export { judgeReading, type Asked, type Failing, type Power, type ReadingVerdict, type Step } from './step';
export { MAINS_CHOICES, type PowerUpUnit, type UnitStore } from './unit';
