import { databaseUrl, migrationsFolder } from '../db/context';
import { openDatabase } from '../db/client';
import { migrate } from '../db/migrate';
import { photoStore } from '../services/attachments';
import { seed } from './seed';

async function main() {
  const began = Date.now();
  await migrate(databaseUrl(), migrationsFolder());
  const db = openDatabase(databaseUrl());
  try {
    const { donors, lots, builds } = await seed(db, photoStore());
    const seconds = ((Date.now() - began) / 1000).toFixed(1);
    process.stdout.write(`Seeded ${donors} donors, ${lots} kinds of lot and ${builds} builds in ${seconds} s.\n`);
  } finally {
    db.close();
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
});
