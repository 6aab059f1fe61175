import { databaseUrl, openContext, type AppContext } from './context';

const shared = globalThis as { zorvekContext?: AppContext };

/** The context of this server process, opened at first use: building the pages must not open a file. */
export function appContext(): AppContext {
  shared.zorvekContext ??= openContext(databaseUrl(), process.env.ZORVEK_DATABASE_TOKEN);
  return shared.zorvekContext;
}
