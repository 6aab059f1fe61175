import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments } from './arguments';
import { substitute } from './substitute';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const notes: string[] = [];
const call = (...argv: string[]) => substitute(readArguments('substitute', argv), (text) => notes.push(text));

const STOCK =
  'kind,marking,package,vds,id,rdsOn,pieces,bin\nnmos,4N50,TO-220,500V,8A,0R85,3,A1\nnmos,11N80,TO-220,800V,11A,0R5,2,A2\n';
const failed = { kind: 'nmos', ref: 'Q1', package: 'TO-220', ratings: { vds: 650, id: 12, rdsOn: 0.7 } };
const place = { duty: 'main-switch', topology: 'flyback', stress: { voltage: 480, current: 2.1, frequency: 1e5 } };
const board = {
  format: 'zorvek.board/1',
  parts: [
    { ref: 'Q1', kind: 'nmos', pins: { G: 'g', D: 'd', S: 's' } },
    { ref: 'R7', kind: 'resistor', pins: { '1': 's', '2': '0' } },
    { ref: 'R4', kind: 'resistor', pins: { '1': 'out', '2': 'g' } },
  ],
};

test('lots of a stock list, the best first, with what goes with it and what to buy', () => {
  const answer = call(file('part.json', JSON.stringify({ failed, place, board })), file('stock.csv', STOCK));
  expect(answer).toMatchObject({
    candidates: [
      { lot: 'line 3', verdict: 'good' },
      { lot: 'line 2', verdict: 'no' },
    ],
  });
  expect(answer).toHaveProperty('also', expect.arrayContaining(['R4', 'R7']));
  expect(answer).toHaveProperty('buy', expect.stringMatching(/at least 650.V/u));
});

test('pairs of a file, and what cannot be used is named with its line', () => {
  const pair = JSON.stringify({ failed, place, candidate: { ...failed, ratings: { ...failed.ratings, vds: 400 } } });
  expect(call('--file', file('pairs.jsonl', `${pair}\n\n${pair}\n`))).toMatchObject([
    { verdict: 'no' },
    { verdict: 'no' },
  ]);
  expect(() => call('--file', file('bad.jsonl', `${pair}\n{"failed": 3}\n`))).toThrow(/line 2, failed/u);
  expect(() => call(file('part.json', 'no'), file('stock.csv', STOCK))).toThrow(/JSON is expected/u);
  expect(() => call('one')).toThrow(/a part and a stock list/u);
});
