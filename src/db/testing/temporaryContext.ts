import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { contextFrom, type AppContext } from '../context';
import { openDatabase } from '../client';
import { migrate } from '../migrate';

export const MIGRATIONS = join(process.cwd(), 'src', 'db', 'migrations');

/** A database that was migrated once for the whole run of tests (`scripts/jestSetup.mjs`); copying it takes a moment. */
const TEMPLATE = process.env.ZORVEK_TEMPLATE;

/** A context on a fresh database file with the real migrations, for tests; the clock steps a second at each look. */
export async function temporaryContext(): Promise<{
  app: AppContext;
  url: string;
  folder: string;
  dispose: () => void;
}> {
  const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
  const file = join(folder, 'test.db');
  const url = `file:${file}`;
  if (TEMPLATE) copyFileSync(TEMPLATE, file);
  else await migrate(url, MIGRATIONS);
  const db = openDatabase(url);
  let now = Date.UTC(2026, 10, 14, 14, 0, 0);
  let seed = 42;
  const app = contextFrom(
    db,
    () => (now += 1000),
    () => (seed = (seed * 16807) % 2147483647) / 2147483647,
  );
  return {
    app,
    url,
    folder,
    dispose: () => {
      db.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
