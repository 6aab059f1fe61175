import { createClient, type Client, type ResultSet } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core';
import { AsyncLocalStorage } from 'node:async_hooks';
import * as schema from './schema';

/** What a repository needs: the database or an open transaction. */
export type Queryable = BaseSQLiteDatabase<'async', ResultSet, typeof schema>;

export interface Database {
  /** For reading; may be used beside an open write. */
  readonly read: Queryable;
  /**
   * Runs work in one transaction. Writes stand in one queue, since a second open transaction of the
   * same process would fail as busy; a nested call joins the outer transaction.
   */
  write<T>(work: (tx: Queryable) => Promise<T>): Promise<T>;
  readonly client: Client;
  close(): void;
}

/** How long a statement waits for another process's lock, in milliseconds. */
const BUSY_TIMEOUT = 5000;

/** Opens a database. It does not create or migrate tables; see `migrate`. */
export function openDatabase(url: string, authToken?: string): Database {
  const client = createClient({ url, timeout: BUSY_TIMEOUT, ...(authToken ? { authToken } : {}) });
  const db = drizzle(client, { schema });
  const scope = new AsyncLocalStorage<Queryable>();
  let queue: Promise<unknown> = Promise.resolve();

  function write<T>(work: (tx: Queryable) => Promise<T>): Promise<T> {
    const outer = scope.getStore();
    if (outer) return work(outer);
    const turn = queue.then(() =>
      db.transaction((tx) => scope.run(tx as unknown as Queryable, () => work(tx as unknown as Queryable))),
    );
    queue = turn.catch(() => undefined);
    return turn;
  }

  function close() {
    // Else every promise of the process goes on asking for it.
    scope.disable();
    client.close();
  }

  return { read: db as unknown as Queryable, write, client, close };
}
