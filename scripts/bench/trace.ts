// `npm run bench:trace` prints how well boards traced in part are read, each by what was learnt without it, and how long
// it takes.
import { probesWithAdvice } from '../../src/core/topology';
import {
  BOARD_SETS,
  calibrationOf,
  judgedAsChosen,
  judgedLeftOut,
  ORDERS,
  SHARES,
  shareAllRight,
  sizesWithout,
  type BoardSet,
  type Judged,
} from '../../src/core/topology/fixtures/leftOut';

const SEEDS = [1, 101, 201];
const percent = (share: number | null) => (share === null ? '–' : `${Math.round(100 * share)} %`);

function table(title: string, judged: readonly Judged[]): void {
  process.stdout.write(
    `\n${title}\n  all topologies right, of the joins  ${SHARES.map((share) => `${share * 100} %`.padStart(6)).join('')}\n`,
  );
  for (const order of ORDERS) {
    const row = SHARES.map((share) =>
      percent(shareAllRight(judged.filter((one) => one.order === order && one.share === share))).padStart(6),
    );
    process.stdout.write(`  ${order.padEnd(34)}${row.join('')}\n`);
  }
  const bins = calibrationOf(judged)
    .table()
    .map(({ from, claims, right }) => `${from}: ${percent(right)} of ${claims}`);
  process.stdout.write(`  claims that hold, from              ${bins.slice(3).join(', ')}\n`);
}

const start = performance.now();
const plain = SEEDS.flatMap((seed) => judgedLeftOut(['reference', 'other', 'practical'], seed));
const each = (performance.now() - start) / plain.length;
const blurred = judgedLeftOut(['reference', 'other'], SEEDS[0] ?? 1, { isBlurred: true });
for (const set of ['reference', 'other', 'practical'] as const)
  table(
    `The ${set} boards, each left out`,
    plain.filter((one) => one.set === set),
  );
table(
  'Both sets of other hands',
  plain.filter(({ set }) => set !== 'practical'),
);
table('All three', plain);
table('Both sets, with blurred parts lists', blurred);
const chosen = (['25', '45', '70'] as const).map(
  (part) => `${part} %: ${percent(shareAllRight(judgedAsChosen(part)))}`,
);
process.stdout.write(
  `\nThe other boards, pins known as other hands chose them\n  all topologies right, of the pins   ${chosen.join(', ')}\n`,
);
process.stdout.write(`\n${each.toFixed(1)} ms a board on average\n`);

/** Probes are counted up to this. */
const PROBES_AT_MOST = 60;

/**
 * How many probes the advice needs from the parts list on until every stage is claimed at 0.9, each board left out: of two
 * pins each, or with one lead kept while the other touches some.
 */
function advice(set: BoardSet, isLeadKept: boolean): void {
  const counts = BOARD_SETS[set]
    .map(({ name, board, stages }) =>
      probesWithAdvice({ board, truth: { stages } }, PROBES_AT_MOST, { sizes: sizesWithout(name), isLeadKept }),
    )
    .toSorted((a, b) => a - b);
  const within = (most: number) => counts.filter((count) => count <= most && count < PROBES_AT_MOST).length;
  const median = counts[Math.floor(counts.length / 2)] ?? 0;
  process.stdout.write(
    `  ${set.padEnd(12)} ${isLeadKept ? 'one lead kept' : 'two pins each'}: median ${median < PROBES_AT_MOST ? median : `over ${PROBES_AT_MOST}`}, within 20: ${within(20)}, within 40: ${within(40)}, within ${PROBES_AT_MOST}: ${within(PROBES_AT_MOST)} of ${counts.length}\n`,
  );
}

process.stdout.write('\nProbes by the advice until every stage is claimed at 0.9 (some minutes)\n');
for (const set of ['reference', 'other', 'practical'] as const)
  for (const isLeadKept of [false, true]) advice(set, isLeadKept);
