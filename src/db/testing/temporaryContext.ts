import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchFrom, type Bench } from '../context';
import { openDatabase } from '../client';
import { migrate } from '../migrate';

export const MIGRATIONS = join(process.cwd(), 'src', 'db', 'migrations');

/** A bench on a fresh database file with the real migrations, for tests; the clock steps a second at each look. */
export async function temporaryBench(): Promise<{ bench: Bench; url: string; folder: string; dispose: () => void }> {
  const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
  const url = `file:${join(folder, 'test.db')}`;
  await migrate(url, MIGRATIONS);
  const db = openDatabase(url);
  let now = Date.UTC(2026, 10, 14, 14, 0, 0);
  let seed = 42;
  const bench = benchFrom(
    db,
    () => (now += 1000),
    () => (seed = (seed * 16807) % 2147483647) / 2147483647,
  );
  return {
    bench,
    url,
    folder,
    dispose: () => {
      db.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
