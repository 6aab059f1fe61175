// Counts how often pins of two classes are joined, for the advice on the next probe.
import { writeFileSync } from 'node:fs';
import { netsOf, type Board } from '../../src/core/board';
import { CORPUS } from '../../src/core/topology/fixtures/corpus';
import { PRACTICAL } from '../../src/core/topology/fixtures/practicalBoards';
import { composeBoard } from '../../src/core/topology/fixtures/generator/compose';
import { classPair, pinClass, pinSort } from '../../src/core/topology/probe/pinClass';

const TARGET = 'src/core/topology/probe/affinities.ts';
const COMPOSED = { boards: 500, from: 20_001 } as const;
/** A board that was drawn counts as much as so many composed ones. */
const REFERENCE = 4;
/** What is usual of pins of the same sort counts as much as so many boards. */
const SORT_COUNTS = 6;
/** Pairs seen on fewer boards than this tell no more than their sort. */
const LEAST_BOARDS = 2;
const IN_A_LINE = 12;

interface Count {
  pairs: number;
  joined: number;
  /** Boards with such a pair, weighted. */
  boards: number;
}
const counts = new Map<string, Count>();
const sorts = new Map<string, Count>();

const countOf = (map: Map<string, Count>, key: string): Count => {
  const entry = map.get(key) ?? { pairs: 0, joined: 0, boards: 0 };
  map.set(key, entry);
  return entry;
};

function count(board: Board, weight: number): void {
  const nets = netsOf(board);
  const pins = board.parts.flatMap((part) =>
    Object.keys(part.pins).map((pin) => ({
      ref: part.ref,
      name: pinClass(part, pin),
      net: nets.of(`${part.ref}.${pin}`),
    })),
  );
  const seen = new Set<Count>();
  pins.forEach((one, index) => {
    for (const other of pins.slice(index + 1)) {
      if (one.ref === other.ref) continue;
      for (const entry of [
        countOf(counts, classPair(one.name, other.name)),
        countOf(sorts, classPair(pinSort(one.name), pinSort(other.name))),
      ]) {
        entry.pairs += weight;
        if (one.net === other.net) entry.joined += weight;
        seen.add(entry);
      }
    }
  });
  for (const entry of seen) entry.boards += weight;
}

/** Counts over composed boards and some that were drawn, and writes the table. */
export function fitAffinities(): void {
  for (let index = 0; index < COMPOSED.boards; index += 1) count(composeBoard(COMPOSED.from + index).board, 1);
  for (const { board } of [...CORPUS, ...PRACTICAL]) count(board, REFERENCE);
  const all = [...counts.values()];
  const usual = all.reduce((sum, { joined }) => sum + joined, 0) / all.reduce((sum, { pairs }) => sum + pairs, 0);
  const rows = [...counts]
    .filter(([, { boards }]) => boards >= LEAST_BOARDS)
    .toSorted(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, { pairs, joined, boards }]) => {
      const [a = '', b = ''] = key.split('|');
      const sort = countOf(sorts, classPair(pinSort(a), pinSort(b)));
      const ofSort = (sort.joined + usual) / (sort.pairs + 1);
      const share = (boards * (joined / pairs) + SORT_COUNTS * ofSort) / (boards + SORT_COUNTS);
      return `${JSON.stringify(key)}: ${share.toFixed(4)},`;
    });
  const lines = Array.from(
    { length: Math.ceil(rows.length / IN_A_LINE) },
    (_, index) => `  ${rows.slice(index * IN_A_LINE, (index + 1) * IN_A_LINE).join(' ')}`,
  );
  writeFileSync(
    TARGET,
    `// Written by \`npm run fit\`; not edited by hand.\nexport const USUAL_AFFINITY = ${usual.toFixed(4)};\n// oxfmt-ignore\nexport const AFFINITIES: Readonly<Record<string, number>> = {\n${lines.join('\n')}\n};\n`,
  );
}
