/** Runs once when the server starts: the database is brought up to date before the first request. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { databaseUrl, migrationsFolder } = await import('./db/bench');
  const { migrate } = await import('./db/migrate');
  const { applied, copy } = await migrate(databaseUrl(), migrationsFolder(), process.env.ZORVEK_DATABASE_TOKEN);
  if (applied.length)
    process.stdout.write(
      `Database brought up to date (${applied.join(', ')})${copy ? `; the file as it was lies at ${copy}` : ''}.\n`,
    );
}
