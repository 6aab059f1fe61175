import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { makeCode, makeKey, type CodeOwner } from '../core/ident';
import { openDatabase, type Database } from './client';

/** What a form knew when it was filled in, and what was answered to what it was asked. */
export interface FormSeen {
  /** When its page was read, in milliseconds since 1970. */
  readonly readMs: number;
  /** Steps that the form itself has made since. */
  readonly own: readonly string[];
  readonly answers: ReadonlyMap<string, string>;
}

/** A database with a clock and a source of ids: all that a use case needs from the world. */
export interface AppContext {
  readonly db: Database;
  /** Milliseconds since 1970. */
  now(): number;
  newKey(): string;
  newCode(owner: CodeOwner): string;
  /** The form that asks for the change, so that it does not save over what others changed since; none for lines and buttons. */
  readonly form?: FormSeen;
}

/** A bench on a database with the machine's clock and randomness. */
export function openContext(url: string, authToken?: string): AppContext {
  return contextFrom(openDatabase(url, authToken), Date.now, () => randomBytes(4).readUInt32BE() / 2 ** 32);
}

/** A bench with a given clock and randomness, so that a scenario comes out the same each time. */
export function contextFrom(db: Database, now: () => number, random: () => number): AppContext {
  let counter = 0;
  return {
    db,
    now,
    newKey: () => makeKey(now(), (counter += 1), random()),
    newCode: (owner) => makeCode(owner, [random(), random(), random(), random(), random()]),
  };
}

/** Where the database is: `ZORVEK_DATABASE_URL`, else `data/zorvek.db` in the working directory. */
export function databaseUrl(): string {
  return process.env.ZORVEK_DATABASE_URL ?? 'file:data/zorvek.db';
}

/** The folder of migrations; the server and the scripts run from the project's folder. */
export function migrationsFolder(): string {
  return join(process.cwd(), 'src', 'db', 'migrations');
}
