export { MEASURE_OPS, type Deck, type DeckProblem, type Element, type Measure, type Signal } from './deck/deck';
export { readDeck, readMeasure, spiceNumber } from './deck/readDeck';
export { simulate, type Simulation } from './simulate';
export { wavesOf, type Waves } from './waves';
export type { NetworkProblem } from './network';
