export {
  analyseChopping,
  analyseDischarge,
  analyseRamp,
  analyseRing,
  analyseStep,
  parasiticsOf,
  type Parasitics,
} from './analyse';
export { fitColumns } from './fitColumns';
export { MADE_WAVES, makeWave, type MadeWave } from './made';
export { WaveReader, waveProblemText, type WaveProblem } from './readWave';
export { reduceWave, type WavePoint } from './reduce';
export { analyseRipple, type RippleCurrent, type RippleFinding } from './ripple';
export { analyseWave, WAVE_TASKS, type WaveFinding, type WaveParameters, type WaveTask } from './tasks';
export { stretchOf, type Channel, type Stretch, type Wave, type WaveFailure } from './wave';
export type { RecordedChannel, Recording } from './recording';
