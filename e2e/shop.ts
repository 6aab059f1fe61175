import { expect, test as base } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../scripts/lib.mjs';

export { expect };
export type { Locator, Page } from '@playwright/test';

/** A server on its own copy of the demo, with a simulated meter of its own. */
interface Shop {
  readonly file: string;
  readonly origin: string;
  close(): void;
}

const PORTS = 3411;

/** Every spec file has a shop of its own: what one does to it, no other sees. */
export const test = base.extend<object, { shopOf: (file: string) => Promise<string> }>({
  shopOf: [
    // eslint-disable-next-line no-empty-pattern -- the first argument must be a pattern
    async ({}, use, { workerIndex }) => {
      let open: Shop | undefined;
      await use(async (file) => {
        if (open?.file !== file) {
          open?.close();
          open = await openShop(file, PORTS + 20 * (workerIndex % 50));
        }
        return open.origin;
      });
      open?.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ shopOf }, use, { file }) => use(await shopOf(file)),
});

async function openShop(file: string, from: number): Promise<Shop> {
  const folder = mkdtempSync(join(tmpdir(), 'zorvek-e2e-'));
  cpSync(process.env.ZORVEK_E2E_TEMPLATE ?? '', folder, { recursive: true });
  const port = await freePort(from);
  const meterPort = await freePort(port + 1);
  const origin = `http://127.0.0.1:${port}`;
  const meter = spawn(join('node_modules', '.bin', 'tsx'), ['src/server/meter/main.ts'], {
    env: { ...process.env, ZORVEK_METER_PORT: String(meterPort) },
    stdio: 'ignore',
  });
  const next = join('node_modules', 'next', 'dist', 'bin', 'next');
  const server = spawn(process.execPath, [next, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      ZORVEK_DATABASE_URL: `file:${join(folder, 'zorvek.db')}`,
      ZORVEK_METER: `127.0.0.1:${meterPort}`,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  await untilUp(`${origin}/guide`, server);
  return {
    file,
    origin,
    close: () => {
      server.kill();
      meter.kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
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
