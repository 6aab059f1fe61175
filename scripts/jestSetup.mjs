// One migrated database for the whole run of tests: each test copies it instead of migrating its own.
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export default async function setUp() {
  const file = join(mkdtempSync(join(tmpdir(), 'zorvek-template-')), 'template.db');
  const client = createClient({ url: `file:${file}` });
  await migrate(drizzle(client), { migrationsFolder: 'src/db/migrations' });
  await client.execute('PRAGMA journal_mode = DELETE');
  client.close();
  process.env.ZORVEK_TEMPLATE = file;
}
