export type { Deck, DeckProblem, Element, Measure, Signal } from './deck/deck';
export { readDeck, readMeasure, spiceNumber } from './deck/readDeck';
export { simulate, type Simulation } from './simulate';
export { steadyState, type Steady } from './steady';
export { wavesOf, type Waves } from './waves';
export type { NetworkProblem } from './network';
