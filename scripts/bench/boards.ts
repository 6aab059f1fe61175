// Analysis of boards: time against parsing the same board's file, and how often claims of each probability are true.
import { analyse, Calibration, nextProbes, rightWhileTraced, tracedSoFar } from '../../src/core/topology';
import { CORPUS } from '../../src/core/topology/fixtures/corpus';
import { composeBoard } from '../../src/core/topology/fixtures/generator/compose';
import { findingsOf } from '../../src/core/findings';

const ROUNDS = 5;
const ANALYSE_AIM_MS = 50;
const PROBE_AIM_MS = 150;
const CALIBRATION_BOARDS = 60;

const median = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
function timed(work: () => unknown): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return median(times.slice(1));
}

const largest = CORPUS.toSorted((a, b) => b.board.parts.length - a.board.parts.length)[0];
if (!largest) throw new Error('no reference board');
const text = JSON.stringify(largest.board);
const parse = timed(() => JSON.parse(text));
const whole = timed(() => analyse(largest.board));
const { recognition } = analyse(largest.board);
const faults = timed(() => findingsOf(recognition));
const half = tracedSoFar(largest.board, []);
const probe = timed(() => nextProbes(half, 5));
const calibration = new Calibration();
for (let seed = 0; seed < CALIBRATION_BOARDS; seed += 1) {
  const entry = composeBoard(40_000 + seed);
  rightWhileTraced(entry, 'power', seed, calibration);
  rightWhileTraced(entry, 'random', seed, calibration);
}
process.stdout.write(
  JSON.stringify({
    speed: [
      {
        what: `${largest.name}, ${largest.board.parts.length} parts: stages, bulk, barrier`,
        ms: +whole.toFixed(1),
        aim: ANALYSE_AIM_MS,
        'times parsing its file': Math.round(whole / parse),
      },
      {
        what: 'the same: findings',
        ms: +faults.toFixed(1),
        aim: ANALYSE_AIM_MS,
        'times parsing its file': Math.round(faults / parse),
      },
      {
        what: 'the same, nothing traced: next probe',
        ms: +probe.toFixed(1),
        aim: PROBE_AIM_MS,
        'times parsing its file': Math.round(probe / parse),
      },
    ],
    calibration: calibration.table(),
  }),
);
