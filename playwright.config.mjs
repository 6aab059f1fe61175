import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/lib.mjs';

const CHROMIUM = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
/** Most pages live too briefly for code that was compiled twice to pay. */
const COMPILE_LATER = '--js-flags=--no-maglev --interrupt-budget=600000';
/** It measures for long on each page. */
const ALL_PAGES = '**/allPages.spec.ts';

const withBrowser = (args) => ({ launchOptions: { executablePath: browserPath(), args } });

export default defineConfig({
  testDir: './e2e',
  testMatch: '**/*.spec.ts',
  globalSetup: './e2e/template.mjs',
  // A spec file runs one story after another, in a shop as it was seeded.
  workers: 2,
  fullyParallel: false,
  // What failed is run once more with a trace. At home that it then passes does not make it good; on a machine shared
  // with others the list of what was flaky says where to look.
  retries: 1,
  failOnFlakyTests: !process.env.CI,
  timeout: 60_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/stories.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'on-first-retry',
    // What was loaded and compiled for one story serves the next; its storage, cookies and windows are emptied between them.
    reuseContext: true,
  },
  projects: [
    { name: 'pages', testMatch: ALL_PAGES, use: withBrowser(CHROMIUM) },
    { name: 'stories', testIgnore: ALL_PAGES, use: withBrowser([...CHROMIUM, COMPILE_LATER]) },
  ],
});
