export {
  analyseChopping,
  analyseDischarge,
  analyseRamp,
  analyseRing,
  analyseRipple,
  analyseStep,
  parasiticsOf,
  type ChoppingFinding,
  type DischargeFinding,
  type Parasitics,
  type RampFinding,
  type RingFinding,
  type RippleFinding,
  type StepFinding,
  type WaveFailure,
} from './analyse';
export { MADE_WAVES, makeWave, type MadeWave } from './made';
export { MOST_POINTS, WaveReader, waveProblemText, type WaveProblem } from './readWave';
export { reduceWave, type WavePoint } from './reduce';
export { stretchOf, type Channel, type Stretch, type Wave } from './wave';
