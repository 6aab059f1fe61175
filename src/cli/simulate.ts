import { writeFileSync } from 'node:fs';
import {
  readDeck,
  readMeasure,
  simulate,
  spiceNumber,
  steadyState,
  wavesOf,
  type Deck,
  type Measure,
  type NetworkProblem,
} from '../core/circuit';
import { UnusableInput, type CommandLine } from './arguments';
import { contentOf } from './board';

/** Points of a wave in a period, and periods of it. */
const POINTS = 400;
const PERIODS = 10;

/** The measures of a deck, with the seconds spent on them. */
export function simulateFile({ words, options }: CommandLine, warn: (text: string) => void) {
  const { name, content } = contentOf({ words, options }, 'simulate');
  const read = readDeck(content);
  if (!read.ok) {
    const [first, ...more] = read.problems;
    for (const { line, expected } of more) warn(`simulate: ${name}, line ${line}: ${expected}.`);
    throw new UnusableInput(`simulate: ${name}, line ${first?.line ?? 1}: ${first?.expected ?? 'a deck is expected'}.`);
  }
  const { deck } = read;
  const period = options.period === undefined ? deck.period : spiceNumber(options.period);
  if (options.period !== undefined && !(period !== undefined && period > 0))
    throw new UnusableInput(`simulate --period: a time above zero is expected, not “${options.period}”.`);
  const asked = options.measure?.split('\n').map((text) => {
    const measure = readMeasure(text);
    if (!measure)
      throw new UnusableInput(
        `simulate --measure: “${text}” is none; one like “avg v(out) last 10 periods” is expected.`,
      );
    return measure;
  });
  if (options.steady !== undefined) {
    for (const { text, window } of asked ?? deck.measures)
      if (window.kind !== 'last')
        warn(`simulate --steady: “${text}” is left out: it names a span of time, not periods.`);
    return steadyFile(deck, name, period, asked);
  }
  const began = performance.now();
  const result = simulate(deck, { ...(asked ? { measures: asked } : {}), ...(period === undefined ? {} : { period }) });
  const seconds = (performance.now() - began) / 1000;
  if ('kind' in result) throw new UnusableInput(`simulate: ${name}: ${problemText(result)}`);
  for (const [text, missing] of Object.entries(result.unknown))
    warn(`simulate: “${text}”: the deck has not ${missing}.`);
  if (result.unsettled > 0)
    warn(
      `simulate: ${name}: at ${result.unsettled} instants no state of its switches and diodes agreed with the circuit.`,
    );
  if (result.cut) warn(`simulate: ${name}: cut at ${result.span} s after ${result.events} changes of devices.`);
  if (options.waves !== undefined) writeWaves(deck, period ?? deck.span, options.waves);
  return { measures: result.measures, span: result.span, seconds, events: result.events };
}

/** The same over one period of the steady state, and how that was come by. */
function steadyFile(deck: Deck, name: string, period: number | undefined, asked: readonly Measure[] | undefined) {
  if (period === undefined)
    throw new UnusableInput(
      `simulate: ${name}: a period is expected for a steady state: “* period: 10u”, or --period.`,
    );
  const began = performance.now();
  const result = steadyState(deck, { period, ...(asked ? { measures: asked } : {}) });
  const seconds = (performance.now() - began) / 1000;
  if ('kind' in result) throw new UnusableInput(`simulate: ${name}: ${problemText(result)}`);
  const { measures, way, periods } = result;
  return { measures, span: period, seconds, way, periods };
}

function problemText(problem: NetworkProblem): string {
  return problem.kind === 'couplings'
    ? 'the couplings of the inductors cannot all be: their matrix is not positive.'
    : `the circuit has no solution at ${problem.nodes.join(', ')}: a loop of ideal sources, or a node that nothing holds.`;
}

function writeWaves(deck: Deck, period: number, path: string): void {
  const from = Math.max(0, deck.span - PERIODS * period);
  const waves = wavesOf(deck, { from, to: deck.span, points: POINTS * PERIODS });
  if ('kind' in waves) return;
  const rows = [['time', ...waves.signals.map(({ name }) => name)].join(',')];
  for (const [index, moment] of waves.seconds.entries())
    rows.push([moment, ...waves.signals.map(({ values }) => values[index])].join(','));
  writeFileSync(path, `${rows.join('\n')}\n`);
}
