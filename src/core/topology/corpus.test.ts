import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { analyse } from '.';
import { CORPUS, stageLines } from './fixtures/corpus';
import { OTHER_BOARDS } from './fixtures/otherBoards';
import { PRACTICAL } from './fixtures/practicalBoards';
import { TEXTBOOK, textbookBoard } from './fixtures/textbook';

test('no reference board is forgotten', () => {
  const files = readdirSync(join(__dirname, 'fixtures/boards')).filter((name) => name.endsWith('.json'));
  expect(CORPUS.map(({ name }) => `${name}.json`).sort()).toEqual(files.sort());
  const others = readdirSync(join(__dirname, 'fixtures/boards-other/answers'));
  expect(OTHER_BOARDS.map(({ name }) => `${name}.json`).sort()).toEqual(others.sort());
});

test.each([...CORPUS, ...OTHER_BOARDS].map((entry) => [entry.name, entry] as const))(
  '%s: stages, roles, bulk, barrier',
  (_, { board, answer }) => {
    const { stages, bulk, isolation } = analyse(board);
    expect(stageLines(stages)).toEqual(stageLines(answer.stages));
    expect(bulk).toEqual(answer.bulk.toSorted());
    expect(isolation).toEqual({ isolated: answer.isolation.isolated, crossing: answer.isolation.crossing.toSorted() });
  },
);

test('every stage says why, and what speaks against its rivals', () => {
  for (const { board } of CORPUS)
    for (const { evidence, alternatives, probability } of analyse(board).stages) {
      expect(evidence.length).toBeGreaterThan(0);
      expect(evidence.every((sentence) => /[A-Z]+\d/.test(sentence))).toBe(true);
      expect(alternatives.reduce((sum, other) => sum + other.probability, probability)).toBeLessThanOrEqual(1);
    }
});

test.each(TEXTBOOK.map((entry) => [entry.name, entry.source, entry] as const))('%s (%s)', (_, __, entry) => {
  expect(stageLines(analyse(textbookBoard(entry)).stages)).toEqual(entry.stages.toSorted());
});

test.each(PRACTICAL.map((entry) => [entry.name, entry] as const))('%s, as found in practice', (_, { board, truth }) => {
  expect(stageLines(analyse(board).stages)).toEqual(stageLines(truth.stages));
});
