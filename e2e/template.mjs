import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seedDemo } from '../scripts/lib.mjs';

/** Seeds the demo once, unless that is done; every spec file works on a copy of it. */
export default async function seedTemplate() {
  if (process.env.ZORVEK_E2E_TEMPLATE) return;
  const folder = mkdtempSync(join(tmpdir(), 'zorvek-e2e-template-'));
  await seedDemo(join(folder, 'zorvek.db'));
  process.env.ZORVEK_E2E_TEMPLATE = folder;
}
