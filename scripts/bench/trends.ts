// Times the trends over 10,000 donors, each with a label of its own, against bare SQL that asks for the same rows: with its labels
// read as the server starts, and again.
import { manyDonors } from '../../src/db/testing/manyDonors';
import { temporaryContext } from '../../src/db/testing/temporaryContext';
import { readLabels, trendsView } from '../../src/features/donors/trends.server';

const DONORS = 10_000;
const AIM_MS = 1000;

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

async function main() {
  const { app, dispose } = await temporaryContext();
  try {
    await manyDonors(app, DONORS);
    const bare = await timed(() => app.db.client.execute('select * from donors where deleted_ms is null'));
    const reading = await timed(() => readLabels(app));
    const first = await timed(() => trendsView(app, ''));
    const again = await timed(() => trendsView(app, ''));
    for (const [look, ms] of [
      ['labels read as the server starts', reading],
      ['first look', first],
      ['again', again],
    ] as const)
      process.stdout.write(
        `trends: ${look}, ${ms.toFixed(0)} ms; bare SQL ${bare.toFixed(0)} ms, ratio ${(ms / bare).toFixed(1)}${look.startsWith('labels') ? '' : `, aim under ${AIM_MS} ms`}\n`,
      );
  } finally {
    dispose();
  }
}

void main();
