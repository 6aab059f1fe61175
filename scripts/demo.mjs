// Builds Zorvek, seeds the demo scenario into a database of its own, and serves it on this machine.
// `npm run demo -- --fresh` starts the scenario over.
import { existsSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ensureBuild, ensurePackages, say, seedDemo, serve, startMeter } from './lib.mjs';

const FILE = 'data/demo/zorvek.db';

await ensurePackages();
await ensureBuild();
if (process.argv.includes('--fresh')) {
  for (const suffix of ['', '-wal', '-shm']) rmSync(FILE + suffix, { force: true });
  rmSync(join(dirname(FILE), 'photos'), { recursive: true, force: true });
  say('The demo starts over.');
}
if (existsSync(FILE)) say(`The demo is as you left it (${FILE}); npm run demo -- --fresh starts it over.`);
else {
  say('Seeding the demo scenario, Skerry Barn …');
  await seedDemo(FILE);
}
await serve(`file:${FILE}`, await startMeter());
