export { convert } from './convert';
export { standing } from './standing';
export { TOPOLOGIES, type Conversion, type ConversionProblem, type Task, type Topology } from './task';
export { boundaryCorrector, holdUp, lastingCorrector, lineRipple, type Corrector } from './correction';
export { OSCILLATORS, type Oscillator } from './oscillators';
export { firedShare, firingAngle, lastingOhms, startingOhms, type Timing } from './phaseControl';
export { peakGain, resonantCurrents, shareForGain, tankGain, tankOf, type Tank, type TankFigures } from './resonant';
export { clampOf, damped, ringOf, snubberHeat, type Ring } from './ringing';
export { doubled, type Doubled } from './doubler';
