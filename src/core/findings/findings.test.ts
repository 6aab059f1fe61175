import { CORPUS } from '../topology/fixtures/corpus';
import { composeBoard } from '../topology/fixtures/generator/compose';
import { reversals } from '../topology/fixtures/generator/mutate';
import { recognise } from '../topology';
import { FINDING_RULES, findingsOf } from '.';

const lines = (findings: readonly { rule: string; parts: readonly string[] }[]) =>
  findings.map(({ rule, parts }) => `${rule} ${parts.toSorted().join(' ')}`).toSorted();

test.each(CORPUS.map((entry) => [entry.name, entry] as const))(
  '%s: its faults and no others',
  (_, { board, answer }) => {
    expect(lines(findingsOf(recognise(board)))).toEqual(lines(answer.faults));
  },
);

test('every finding says what is wrong with which part and what to do; every rule has a source', () => {
  for (const { board } of CORPUS)
    for (const { message, advice, parts } of findingsOf(recognise(board))) {
      expect(parts.some((ref) => message.includes(ref))).toBe(true);
      expect(advice.length).toBeGreaterThan(20);
    }
  expect(FINDING_RULES.every(({ source }) => source.length > 10)).toBe(true);
});

test('200 composed boards without a fault: under 2 % have a finding', () => {
  const wrong = Array.from({ length: 200 }, (_, index) =>
    lines(findingsOf(recognise(composeBoard(3000 + index).board))),
  ).filter((found) => found.length > 0);
  expect(wrong.length).toBeLessThan(4);
});

test('of single reversed diodes, capacitors and bridges at least 90 % are found, with under 2 % more findings', () => {
  const counts = new Map<string, { all: number; found: number }>();
  let [others, all] = [0, 0];
  for (let seed = 4000; seed < 4050; seed += 1)
    for (const { rule, ref, board } of reversals(composeBoard(seed).board)) {
      const findings = findingsOf(recognise(board));
      const count = counts.get(rule) ?? { all: 0, found: 0 };
      counts.set(rule, count);
      count.all += 1;
      all += 1;
      if (findings.some((finding) => finding.rule === rule && finding.parts.includes(ref))) count.found += 1;
      if (findings.some((finding) => !finding.parts.includes(ref))) others += 1;
    }
  for (const { all: most, found } of counts.values()) expect(found / most).toBeGreaterThanOrEqual(0.9);
  expect(others / all).toBeLessThan(0.02);
}, 60_000);

test('a board traced in part gets no finding that rests on what is not known', () => {
  for (const { board } of CORPUS) {
    const untraced = {
      ...board,
      parts: board.parts.map((part) => ({
        ...part,
        pins: Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, null])),
      })),
    };
    expect(findingsOf(recognise(untraced))).toEqual([]);
  }
});
