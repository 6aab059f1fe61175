export { answerOf, faultAnswer, spiceOf, type Answer, type FaultAnswer, type Wave, type WaveSet } from './answer';
export { boardOf, FIGURE_ROOM } from './board';
export { CIRCUITS, circuitById } from './circuits';
export { FIELD_NOTES, type FieldNotes } from './fieldNotes';
export type { Death } from './deaths';
export { faultsOf, type Fault } from './faults';
export { deckOf, LIVE_BUDGET, measured, outputOf, periodOf, type Piece } from './operate';
export { elementOf, nodeOf } from './elements';
export {
  controller,
  diode,
  electrolytic,
  film,
  load,
  mosfet,
  resistor,
  supply,
  transformer,
  type Limits,
  type PartModel,
  type PowerPart,
} from './part';
export type { Drive, Gates, Knob, PowerCircuit, Trace, Values } from './powerCircuit';
export { STRESS_WORDS, type Stress } from './stresses';
export { studyOf, type Study } from './study';
