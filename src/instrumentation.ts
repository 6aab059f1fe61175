/** Runs once when the server starts: the database is brought up to date before the first request. */
export async function register() {
  if (process.env.NEXT_RUNTIME === 'nodejs') await import('./instrumentation.node');
}
