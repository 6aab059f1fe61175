// `npm run bench:schematic` prints how long drawing a board takes beside reading it, and how many parts jump while a board is
// logged and traced.
import { drawSchematic } from '../../src/core/schematic';
import { jumpsOf } from '../../src/core/schematic/fixtures/jumps';
import { analyse } from '../../src/core/topology';
import { BOARD_SETS } from '../../src/core/topology/fixtures/leftOut';

const RUNS = 4;
const LARGE = 100;
const WATCHED = 12;
const boards = [...BOARD_SETS.reference, ...BOARD_SETS.other];
const quickest = (work: () => void) =>
  Math.min(
    ...Array.from({ length: RUNS }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
const say = (line: string) => process.stdout.write(`${line}\n`);

say(`Boards of ${LARGE} parts and more: parts, ms to draw, of the time it takes to read them`);
for (const { name, board } of boards.filter(({ board: { parts } }) => parts.length >= LARGE)) {
  const analysis = analyse(board);
  const drawing = quickest(() => drawSchematic(analysis));
  const reading = quickest(() => analyse(board));
  say(
    `  ${name.padEnd(24)}${String(board.parts.length).padStart(4)}${drawing.toFixed(0).padStart(6)}${(drawing / reading).toFixed(2).padStart(7)}`,
  );
}
const every = Math.ceil(boards.length / WATCHED);
const counts = boards.filter((_, index) => index % every === 0).map(({ board }) => jumpsOf(board));
const sum = (of: (count: (typeof counts)[number]) => number) => counts.reduce((total, count) => total + of(count), 0);
const [jumps, places] = [sum((count) => count.jumps), sum((count) => count.places)];
say(
  `While ${counts.length} boards are traced, ${jumps} of ${places} places jump (${((100 * jumps) / places).toFixed(1)} %)`,
);
