// Serves the production build on a copy of the seeded demo, with a meter of its own, for the end-to-end tests.
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { say, serve, startMeter } from './lib.mjs';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-e2e-'));
cpSync(process.env.ZORVEK_E2E_TEMPLATE, folder, { recursive: true });
say(`The demo is a copy in ${folder}.`);
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
process.on('SIGTERM', () => process.exit(0));
await serve(`file:${join(folder, 'zorvek.db')}`, await startMeter());
