import { expect, test as base } from '@playwright/test';
import { createClient } from '@libsql/client';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';

export { expect };
export type { Locator, Page } from '@playwright/test';

/** A server on its own copy of the demo, with a simulated meter of its own. */
interface Shop {
  readonly origin: string;
  /** The demo as it was seeded, and the meter as it was switched on. */
  reset(): Promise<void>;
  close(): void;
}

/** Where each worker looks for free ports, for its servers and for its meters. */
const PORTS = 3411;
const METER_PORTS = 5100;

/**
 * Every spec file finds the shop as it was seeded: what one does to it, no other sees. The server stays, since one that has
 * just started is several times as slow.
 */
export const test = base.extend<object, { shopOf: (file: string) => Promise<string> }>({
  shopOf: [
    async ({}, use, { workerIndex }) => {
      let open: Shop | undefined;
      let last: string | undefined;
      await use(async (file) => {
        if (!open) open = await openShop(PORTS + 20 * (workerIndex % 50));
        else if (last !== file) await open.reset();
        last = file;
        return open.origin;
      });
      open?.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ shopOf }, hand, { file }) => hand(await shopOf(file)),
});

async function openShop(from: number): Promise<Shop> {
  const server = spawn(process.execPath, ['scripts/testServer.mjs'], {
    env: { ...process.env, PORT: String(from), ZORVEK_METER_PORT: String(from + METER_PORTS - PORTS) },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  const { folder, meter, origin } = await saidBy(server);
  await untilUp(`${origin}/guide`, server);
  return {
    origin,
    reset: async () => {
      const template = process.env.ZORVEK_E2E_TEMPLATE ?? '';
      cpSync(join(template, 'photos'), join(folder, 'photos'), { recursive: true });
      await restore(`file:${join(folder, 'zorvek.db')}`, join(template, 'zorvek.db'));
      await tellMeter(Number(meter), '*RST');
    },
    // The server and its meter are a group of their own.
    close: () => void (server.pid !== undefined && process.kill(-server.pid)),
  };
}

/** What the server says of where its database, its meter and itself are, in any order. */
const SAID = {
  folder: /The demo is a copy in (\S+)\.\n/,
  meter: /meter listens at 127\.0\.0\.1:(\d+)/,
  origin: /Zorvek is at (http:\/\/127\.0\.0\.1:\d+)/,
};

function saidBy(server: ChildProcess): Promise<Record<keyof typeof SAID, string>> {
  return new Promise((resolve, reject) => {
    let said = '';
    server.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const of = (name: keyof typeof SAID) => SAID[name].exec(said)?.[1] ?? '';
      const all = { folder: of('folder'), meter: of('meter'), origin: of('origin') };
      if (Object.values(all).every((text) => text !== '')) resolve(all);
    });
    server.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
  });
}

/** Puts every row of a database back to what it was in another, while a server works on it. */
async function restore(url: string, template: string): Promise<void> {
  const client = createClient({ url, timeout: 10_000 });
  const { rows } = await client.execute(
    "select type, name, sql from sqlite_master where type in ('table', 'trigger') and name not like 'sqlite_%'",
  );
  const named = (type: string) => rows.filter((row) => row.type === type).map(({ name, sql }) => ({ name, sql }));
  await client.executeMultiple(
    [
      'pragma foreign_keys = off',
      `attach '${template}' as fresh`,
      'begin immediate',
      ...named('trigger').map(({ name }) => `drop trigger "${String(name)}"`),
      ...named('table').flatMap(({ name }) => [
        `delete from main."${String(name)}"`,
        `insert into main."${String(name)}" select * from fresh."${String(name)}"`,
      ]),
      ...named('trigger').map(({ sql }) => String(sql)),
      'commit',
    ].join(';\n'),
  );
  client.close();
}

/** Tells the simulated meter something over a line of its own. */
export function tellMeter(port: number, line: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () => socket.end(`${line}\n`));
    socket.on('error', reject);
    socket.on('close', () => resolve());
    socket.resume();
  });
}

async function untilUp(address: string, server: ChildProcess): Promise<void> {
  for (let tries = 0; tries < 300; tries += 1) {
    if (server.exitCode !== null) break;
    const isUp = await fetch(address).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error(`The server at ${address} did not start.`);
}
