// Times the trends over 10,000 donors, each with a label of its own, against bare SQL that asks for the same rows: at the first look, and
// once labels are remembered.
import { temporaryContext } from '../../src/db/testing/temporaryContext';
import { donors } from '../../src/db/schema';
import { trendsView } from '../../src/features/donors/trends.server';

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
    await app.db.write(async (tx) => {
      for (let from = 0; from < DONORS; from += 500)
        await tx.insert(donors).values(
          Array.from({ length: 500 }, (_, place) => {
            const n = from + place;
            return {
              id: `d${n}`,
              code: `T${String(n).padStart(5, '0')}`,
              description: 'adapter',
              nameplate: `INPUT 100-240V~ 1.5A OUTPUT 19V ${(2 + (n % 300) / 100).toFixed(2)}A No ${n}`,
              dateCodes: `${String(n % 20).padStart(2, '0')}10 label`,
              lengthM: 0.1,
              widthM: 0.05,
              heightM: 0.03,
              createdMs: n,
            };
          }),
        );
    });
    const bare = await timed(() => app.db.client.execute('select * from donors where deleted_ms is null'));
    const first = await timed(() => trendsView(app, ''));
    const again = await timed(() => trendsView(app, ''));
    console.table(
      [
        { look: 'first', ms: first },
        { look: 'again', ms: again },
      ].map(({ look, ms }) => ({
        look,
        application: `${ms.toFixed(0)} ms`,
        'bare SQL': `${bare.toFixed(0)} ms`,
        ratio: (ms / bare).toFixed(1),
        aim: `under ${AIM_MS} ms: ${ms < AIM_MS ? 'met' : 'missed'}`,
      })),
    );
  } finally {
    dispose();
  }
}

await main();
