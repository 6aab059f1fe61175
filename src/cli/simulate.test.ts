import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments } from './arguments';
import { simulateFile } from './simulate';

const DECK = 'src/core/circuit/fixtures/buck_ccm.cir';
const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const call = (...argv: string[]) => {
  const warnings: string[] = [];
  const result = simulateFile(readArguments('simulate', argv), (text) => warnings.push(text));
  return { result, warnings };
};
const deckFile = (text: string) => {
  const path = join(folder, 'own.cir');
  writeFileSync(path, text);
  return path;
};

test('a deck answers its own measures, or those that are asked for', () => {
  const { result } = call(DECK);
  expect(Object.keys(result.measures)).toHaveLength(8);
  expect(result.span).toBeCloseTo(0.01, 9);
  const asked = call(DECK, '--measure', 'avg v(out) last 10 periods', '--measure', 'max i(L1) from 1m to 2m');
  expect(Object.keys(asked.result.measures)).toEqual(['avg v(out) last 10 periods', 'max i(L1) from 1m to 2m']);
  expect(asked.result.measures['avg v(out) last 10 periods']?.value).toBeCloseTo(5.2902, 3);
  const steady = call(DECK, '--steady', '--measure', 'avg v(out) last 1 periods').result;
  expect(steady).toMatchObject({ way: 'newton' });
  expect(steady.measures['avg v(out) last 1 periods']?.value).toBeCloseTo(5.2902, 3);
});

test('waves are written as a table', () => {
  const path = join(folder, 'waves.csv');
  call(DECK, '--waves', path);
  const [head = '', ...rows] = readFileSync(path, 'utf8').trim().split('\n');
  expect(head.split(',').slice(0, 2)).toEqual(['time', 'v(in)']);
  expect(rows.length).toBeGreaterThan(3000);
  expect(rows.every((row) => row.split(',').every((cell) => Number.isFinite(Number(cell))))).toBe(true);
});

test.each([
  [
    'a line that is none',
    't\nR1 a 0 1k\nQ1 a b c\n.tran 1u 1m uic',
    [],
    /line 3: R, L, C, K, V, I, S or D is expected/,
  ],
  ['a loop of sources', 't\nV1 a 0 5\nV2 a 0 6\n.tran 1u 1m uic', [], /no solution at v2, a, 0/],
  ['no measure', 't\nR1 a 0 1k\n.tran 1u 1m uic', ['--measure', 'mean v(a)'], /“mean v\(a\)” is none/],
  ['no period', 't\nR1 a 0 1k\n.tran 1u 1m uic', ['--period', 'soon'], /a time above zero is expected, not “soon”/],
  ['no period for a steady state', 't\nR1 a 0 1k\n.tran 1u 1m uic', ['--steady'], /a period is expected/],
])('%s is refused with its place', (_what, text, options, says) => {
  expect(() => call(deckFile(text), ...options)).toThrow(says);
});

test('a signal that the deck has not is told, and the others are answered', () => {
  const { result, warnings } = call(
    DECK,
    '--measure',
    'avg v(nowhere) last 1 periods',
    '--measure',
    'avg v(in) last 1 periods',
  );
  expect(warnings).toEqual([expect.stringContaining('the deck has not a node nowhere')]);
  expect(result.measures['avg v(in) last 1 periods']?.value).toBeCloseTo(24, 9);
});
