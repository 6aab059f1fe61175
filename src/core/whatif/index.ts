export { answerOf, faultAnswer, spiceOf, type Answer, type FaultAnswer, type Wave, type WaveSet } from './answer';
export { boardOf } from './board';
export { CIRCUITS, circuitById } from './circuits';
export type { Death } from './deaths';
export { faultsOf, type Fault } from './faults';
export type { Knob, PowerCircuit, Values } from './powerCircuit';
export { STRESS_WORDS, type Stress } from './stresses';
export { studyOf, type Study } from './study';
