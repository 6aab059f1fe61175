import { expect, test as base } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';

export { expect };
export type { Locator, Page } from '@playwright/test';

/** A server on its own copy of the demo, with a simulated meter of its own. */
interface Shop {
  readonly file: string;
  readonly origin: string;
  close(): void;
}

/** Where each worker looks for free ports, for its servers and for its meters. */
const PORTS = 3411;
const METER_PORTS = 5100;

/** Every spec file has a shop of its own: what one does to it, no other sees. */
export const test = base.extend<object, { shopOf: (file: string) => Promise<string> }>({
  shopOf: [
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
  baseURL: async ({ shopOf }, hand, { file }) => hand(await shopOf(file)),
});

async function openShop(file: string, from: number): Promise<Shop> {
  const server = spawn(process.execPath, ['scripts/testServer.mjs'], {
    env: { ...process.env, PORT: String(from), ZORVEK_METER_PORT: String(from + METER_PORTS - PORTS) },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  const origin = await originOf(server);
  await untilUp(`${origin}/guide`, server);
  return {
    file,
    origin,
    // The server and its meter are a group of their own.
    close: () => void (server.pid !== undefined && process.kill(-server.pid)),
  };
}

/** The address that the server says it is at. */
function originOf(server: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = '';
    server.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const origin = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0];
      if (origin) resolve(origin);
    });
    server.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
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
