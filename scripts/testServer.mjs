// Serves the production build on a freshly seeded demo database, for the end-to-end tests.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seedDemo, serve, startMeter } from './lib.mjs';

const file = join(mkdtempSync(join(tmpdir(), 'zorvek-e2e-')), 'zorvek.db');
await seedDemo(file);
await serve(`file:${file}`, await startMeter());
