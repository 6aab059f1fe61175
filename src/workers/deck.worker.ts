import { expose } from 'comlink';
import { readDeck, simulate, wavesOf, type DeckProblem } from '../core/circuit';

/** What came of a deck. */
export interface RunDeck {
  readonly problems?: readonly DeckProblem[];
  readonly message?: string;
  readonly measures?: readonly {
    readonly text: string;
    readonly value?: number;
    readonly unit?: string;
    readonly missing?: string;
  }[];
  readonly seconds?: number;
  readonly reached?: number;
  readonly waves?: {
    readonly seconds: Float64Array;
    readonly signals: readonly { readonly name: string; readonly values: Float64Array }[];
  };
}

/** Points of each wave that is handed back, over the last two periods. */
const POINTS = 800;

const functions = {
  run(text: string): RunDeck {
    const read = readDeck(text);
    if (!read.ok) return { problems: read.problems };
    const { deck } = read;
    const begun = performance.now();
    const result = simulate(deck);
    if ('kind' in result)
      return {
        message:
          result.kind === 'singular'
            ? `The circuit has no one solution: ${result.nodes.join(', ')} is left floating, or closes a loop of sources.`
            : 'These couplings cannot be: a winding would give more than it gets.',
      };
    const seconds = (performance.now() - begun) / 1000;
    const to = result.span;
    const from = Math.max(0, to - 2 * (deck.period ?? deck.span / 2));
    const waves = wavesOf(deck, { from, to, points: POINTS });
    return {
      measures: deck.measures.map(({ text: name }) => {
        const found = result.measures[name];
        const missing = result.unknown[name];
        return { text: name, ...(found ?? {}), ...(missing === undefined ? {} : { missing }) };
      }),
      seconds,
      reached: to,
      ...(result.cut
        ? {
            message: `Cut after ${result.events.toLocaleString('en-GB')} changes of devices; what was reached is shown.`,
          }
        : {}),
      ...('kind' in waves ? {} : { waves }),
    };
  },
};
export type DeckWorker = typeof functions;

expose(functions);
