import { defineConfig } from '@playwright/test';

const PORT = 3411;

export default defineConfig({
  testDir: './e2e',
  testMatch: '**/*.spec.ts',
  // One server and one database: the stories run one after another.
  workers: 1,
  fullyParallel: false,
  retries: 0,
  timeout: 60_000,
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node scripts/testServer.mjs',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/guide`,
    reuseExistingServer: false,
    timeout: 120_000,
  },
});
