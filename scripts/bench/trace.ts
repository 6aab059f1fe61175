// `npm run bench:trace` prints how well boards traced in part are read, each by what was learnt without it, and how long
// it takes.
import {
  claimBins,
  isAllRight,
  judgedLeftOut,
  ORDERS,
  SHARES,
  type Judged,
} from '../../src/core/topology/fixtures/leftOut';

const SEEDS = [1, 101, 201];
const percent = (part: number, whole: number) =>
  whole === 0 ? '   –' : `${Math.round((100 * part) / whole)} %`.padStart(5);

function table(title: string, judged: readonly Judged[]): void {
  process.stdout.write(
    `\n${title}\n  all topologies right, of the joins  ${SHARES.map((share) => `${share * 100} %`.padStart(6)).join('')}\n`,
  );
  for (const order of ORDERS) {
    const row = SHARES.map((share) => {
      const those = judged.filter((one) => one.order === order && one.share === share);
      return percent(those.filter(isAllRight).length, those.length).padStart(6);
    });
    process.stdout.write(`  ${order.padEnd(34)}${row.join('')}\n`);
  }
  const bins = claimBins(judged).map(
    ({ claims, hold }, index) => `${index / 10}: ${percent(hold, claims).trim()} of ${claims}`,
  );
  process.stdout.write(`  claims that hold, from              ${bins.slice(3).join(', ')}\n`);
}

const start = performance.now();
const plain = SEEDS.flatMap((seed) => judgedLeftOut(seed));
const each = (performance.now() - start) / plain.length;
const blurred = judgedLeftOut(SEEDS[0] ?? 1, true);
for (const set of ['reference', 'other'] as const)
  table(
    `The ${set} boards, each left out`,
    plain.filter((one) => one.set === set),
  );
table('Both sets', plain);
table('Both sets, with blurred parts lists', blurred);
process.stdout.write(`\n${each.toFixed(1)} ms a board on average\n`);
