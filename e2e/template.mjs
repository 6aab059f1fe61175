import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seedDemo } from '../scripts/lib.mjs';

/** Seeds the demo once; every spec file works on a copy of it. */
export default async function seedTemplate() {
  const folder = mkdtempSync(join(tmpdir(), 'zorvek-e2e-template-'));
  await seedDemo(join(folder, 'zorvek.db'));
  process.env.ZORVEK_E2E_TEMPLATE = folder;
}
