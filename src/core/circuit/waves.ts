import type { Deck, Signal } from './deck/deck';
import { readerOf } from './signals';
import { networkOf, type Network, type NetworkProblem } from './network';
import { runNetwork, type Run } from './transient';

/** Signals over time: a row of moments and one of values for each signal. */
export interface Waves {
  readonly seconds: Float64Array;
  readonly signals: readonly { readonly name: string; readonly values: Float64Array }[];
}

/** Points of one wave at most; a longer one is sampled more coarsely. */
const MOST_POINTS = 200_000;

/**
 * Signals of a deck over a span of its run from the start, evenly sampled, with both sides of every change of a device.
 * @param of.points evenly spread points, about so many: their distance is a power of two of ticks
 */
export function wavesOf(
  deck: Deck,
  of: { readonly from: number; readonly to: number; readonly points: number; readonly signals?: readonly Signal[] },
): Waves | NetworkProblem {
  const network = networkOf(deck);
  if ('kind' in network) return network;
  const period = deck.period ?? deck.span;
  const run = runNetwork(network, { span: of.to, period, keepFrom: of.from, stops: [of.from] });
  if ('kind' in run) return run;
  return sampleRun(network, run, of);
}

/** Signals of a run that kept its stretches; all nodes when none are named. */
export function sampleRun(
  network: Network,
  run: Run,
  of: { readonly from: number; readonly to: number; readonly points: number; readonly signals?: readonly Signal[] },
): Waves {
  const signals: readonly Signal[] =
    of.signals ?? network.nodes.map((plus): Signal => ({ kind: 'volts', plus, minus: '0' }));
  const readers = signals.flatMap((signal) => {
    const reader = signal.kind === 'watts' ? undefined : readerOf(network, signal);
    return typeof reader === 'function' ? [{ name: nameOf(signal), reader }] : [];
  });
  const points = Math.min(of.points, MOST_POINTS);
  // A power of two is carried over in one go.
  const step = 2 ** Math.max(0, Math.round(Math.log2((of.to - of.from) / run.tick / points)));
  const moments: number[] = [];
  const values: number[][] = readers.map(() => []);
  const [first, last] = [Math.round(of.from / run.tick), Math.round(of.to / run.tick)];
  let [z, next] = [new Float64Array(network.size), new Float64Array(network.size)];
  for (const [place, { phase, z: start, from, ticks, isFresh }] of run.stretches.entries()) {
    if (from < first) continue;
    if (from >= last) break;
    const rows = readers.map(({ reader }) => reader(phase).row);
    z.set(start);
    let reached = from;
    const take = (at: number) => {
      phase.advance(z, at - reached, next);
      [z, next, reached] = [next, z, at];
      moments.push(at * run.tick);
      for (const [index, row] of rows.entries()) {
        let sum = 0;
        for (let column = 0; column < z.length; column += 1) sum += (row[column] ?? 0) * (z[column] ?? 0);
        values[index]?.push(sum);
      }
    };
    if (isFresh) take(Math.min(from + 1, from + ticks));
    for (let at = first + Math.ceil((from + 2 - first) / step) * step; at < Math.min(last, from + ticks); at += step)
      take(at);
    if (run.stretches[place + 1]?.isFresh !== false || from + ticks >= last) take(Math.min(last, from + ticks));
  }
  return {
    seconds: Float64Array.from(moments),
    signals: readers.map(({ name }, index) => ({ name, values: Float64Array.from(values[index] ?? []) })),
  };
}

const LETTERS = { amperes: 'i', watts: 'p', magnetising: 'magnetising' } as const;

const nameOf = (signal: Signal): string =>
  signal.kind === 'volts'
    ? `v(${signal.plus}${signal.minus === '0' ? '' : `,${signal.minus}`})`
    : `${LETTERS[signal.kind]}(${signal.element})`;
