import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate as runMigrations } from 'drizzle-orm/libsql/migrator';
import { existsSync, mkdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';

const MigrationJournal = (folder: string): { entries: { when: number; tag: string }[] } =>
  JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as {
    entries: { when: number; tag: string }[];
  };

export interface MigrationOutcome {
  /** Names of the migrations that ran. */
  readonly applied: readonly string[];
  /** Where the file as it was before is kept; none for a new or a remote database. */
  readonly copy?: string;
}

/**
 * Brings a database up to date. When a local file with data is about to change, a copy of it is kept
 * beside it first (`zorvek.db.before-0003`). A migration that fails is rolled back whole, so the
 * file stays as it was; the error says where the copy lies.
 */
export async function migrate(url: string, folder: string, authToken?: string): Promise<MigrationOutcome> {
  const file = url.startsWith('file:') ? url.slice('file:'.length) : undefined;
  if (file) mkdirSync(dirname(file), { recursive: true });
  const hadData = file !== undefined && existsSync(file) && statSync(file).size > 0;
  const client = createClient({ url, timeout: 5000, ...(authToken ? { authToken } : {}) });
  try {
    if (file) await client.execute('PRAGMA journal_mode = WAL');
    const since = await lastApplied(client);
    const pending = MigrationJournal(folder).entries.filter(({ when }) => when > since);
    if (pending.length === 0) return { applied: [] };
    const copy = hadData ? await keepCopy(client, file, pending[0]?.tag ?? 'unknown') : undefined;
    try {
      await runMigrations(drizzle(client), { migrationsFolder: folder });
    } catch (error) {
      throw new Error(
        `The database could not be brought up to date and was left as it was${copy ? `; a copy lies at ${copy}` : ''}. ${error instanceof Error ? error.message : String(error)}`,
        { cause: error },
      );
    }
    return { applied: pending.map(({ tag }) => tag), ...(copy ? { copy } : {}) };
  } finally {
    client.close();
  }
}

async function lastApplied(client: ReturnType<typeof createClient>): Promise<number> {
  const table = await client.execute(
    "select name from sqlite_master where type = 'table' and name = '__drizzle_migrations'",
  );
  if (table.rows.length === 0) return 0;
  const last = await client.execute('select max(created_at) as last from __drizzle_migrations');
  return Number(last.rows[0]?.last ?? 0);
}

async function keepCopy(client: ReturnType<typeof createClient>, file: string, tag: string): Promise<string> {
  const stem = `${file}.before-${tag.slice(0, 4)}`;
  let copy = stem;
  for (let number = 2; existsSync(copy); number += 1) copy = `${stem}-${number}`;
  await client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
  return copy;
}
