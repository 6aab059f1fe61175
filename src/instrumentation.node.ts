import { databaseUrl, migrationsFolder } from './db/context';
import { migrate } from './db/migrate';
import { readAllLabels } from './features/donors/pages.server';

const { applied, copy } = await migrate(databaseUrl(), migrationsFolder(), process.env.ZORVEK_DATABASE_TOKEN);
if (applied.length > 0)
  process.stdout.write(
    `Database brought up to date (${applied.join(', ')})${copy ? `; the file as it was lies at ${copy}` : ''}.\n`,
  );

// A shop of thousands of donors has its labels read while it starts; where that fails, the first look at the trends reads them.
readAllLabels().catch(() => undefined);
