import type { Deck, Measure } from './deck/deck';
import { measureAll, windowOf, type Measured } from './measures';
import { networkOf, type NetworkProblem } from './network';
import { runNetwork } from './transient';

/** Parts of its span that stand in for the period of a deck that says none. */
const UNTOLD = 256;

/** What came of a deck. */
export interface Simulation {
  readonly measures: Readonly<Record<string, Measured>>;
  /** Measures whose signal is not in the deck, with what is missing. */
  readonly unknown: Readonly<Record<string, string>>;
  /** Seconds that were reached. */
  readonly span: number;
  readonly events: number;
  readonly steps: number;
  /** Instants at which no state of the devices agreed with the circuit. */
  readonly unsettled: number;
  readonly cut?: string;
}

/** Runs a deck from its start and works its measures out. */
export function simulate(
  deck: Deck,
  of: { readonly measures?: readonly Measure[]; readonly period?: number } = {},
): Simulation | NetworkProblem {
  const network = networkOf(deck);
  if ('kind' in network) return network;
  const period = of.period ?? deck.period ?? deck.span;
  const measures = of.measures ?? deck.measures;
  const frame = { span: deck.span, period };
  const windows = measures.map((measure) => windowOf(measure, frame));
  const keepFrom = Math.max(0, Math.min(deck.span, ...windows.map(([from]) => from)));
  // Without a period of its own a deck is told in finer ticks than its span gives.
  const ticked = of.period ?? deck.period ?? deck.span / UNTOLD;
  const run = runNetwork(network, { span: deck.span, period: ticked, keepFrom, stops: windows.flat() });
  if ('kind' in run) return run;
  const found: Record<string, Measured> = {};
  const unknown: Record<string, string> = {};
  measureAll(network, run, measures, frame).forEach((one, index) => {
    const { text } = measures[index]!;
    if ('unknown' in one) unknown[text] = one.unknown;
    else found[text] = one;
  });
  return {
    measures: found,
    unknown,
    span: run.reached,
    events: run.events,
    steps: run.steps,
    unsettled: run.unsettled,
    ...(run.cut ? { cut: run.cut } : {}),
  };
}
