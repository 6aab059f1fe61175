// Takes the pictures of docs/screenshots from a freshly seeded demo on the production build.
import { spawn } from 'node:child_process';
import { mkdtempSync, mkdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath, ensureBuild, ensurePackages, freePort, say, seedDemo, startMeter } from './lib.mjs';

const FOLDER = 'docs/screenshots';
const DESK = { width: 1280, height: 800 };

await ensurePackages();
await ensureBuild();
const file = join(mkdtempSync(join(tmpdir(), 'zorvek-shots-')), 'zorvek.db');
await seedDemo(file);
const port = await freePort(3700);
const meter = await startMeter();
const server = spawn(
  'node',
  [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
  {
    env: { ...process.env, ZORVEK_DATABASE_URL: `file:${file}`, ZORVEK_METER: meter, NODE_ENV: 'production' },
    stdio: 'ignore',
  },
);
const origin = `http://127.0.0.1:${port}`;
const browser = await chromium.launch({
  executablePath: browserPath(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});
mkdirSync(FOLDER, { recursive: true });

try {
  for (
    let tries = 0;
    !(await fetch(`${origin}/guide`).then(
      (answer) => answer.ok,
      () => false,
    ));
    tries += 1
  ) {
    if (tries > 100) throw new Error('The server did not start.');
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  const printer = await donorCode('label-printer');
  const brick = await donorCode('notebook brick');
  const gauge = await donorCode('tide-gauge');
  await shoot('bench', '/');
  await shoot('intake', `/donors/${printer}/intake`);
  await shoot('make-safe', `/donors/${printer}/make-safe`, { type: 'c3 61V @ 64s' });
  await shoot('trace', `/donors/${printer}/trace`, { until: '[aria-label^="Probability"]', type: 'd8.k - c21.+' });
  const drawn = { until: '[aria-label^="Probability"]', tab: 'Schematic' };
  await shoot('schematic', `/donors/${brick}/trace`, { ...drawn, push: 'expected volts' });
  await shoot('trace-photo', `/donors/${gauge}/trace`, {
    until: '[aria-label^="Probability"]',
    tab: 'Photo',
    touch: 'T1.2 on the photo',
    colorScheme: 'dark',
  });
  await shoot('identify', `/donors/${printer}/identify?part=D3`, { type: 'c31..c34 470u 35V secondary' });
  await shoot('run-as-traced', `/donors/${brick}/trace/run`, { until: '.waves-figure' });
  await shoot('diagnose', `/donors/${await donorCode('console inner supply')}/diagnose`);
  await shoot('test', `/donors/${brick}/test?part=T1`);
  await shoot('waveform', `/donors/${brick}/test/wave?part=T1`, { made: 'ring' });
  await shoot('harvest', `/donors/${brick}/harvest`, { work: 'C2-9' });
  await shoot('record', `/donors/${printer}/record`);
  await shoot('compare', `/donors/compare?of=${await donorCode('VK-2402A')},${printer}`);
  await shoot('stock', '/stock?find=schottky+60V+10A');
  await shoot('design', '/builds/design?from=22V&to=26V&out=48V&amps=1A', { until: '.waves-figure' });
  await shoot('sum', `/sums/snubber?from=${printer}/Q1`, { until: '.sum-chart figcaption' });
  await shoot('power-up', `/donors/${printer}/power-up`, { stepsTo: 'rail' });
  await shoot('what-if', '/sums/what-if/flyback?fault=dry', { until: '.whatif-told p:first-child b' });
} finally {
  await browser.close();
  server.kill();
}

async function donorCode(title) {
  const page = await browser.newPage();
  await page.goto(`${origin}/donors?find=${encodeURIComponent(title)}`);
  const code = await page.locator('.tag').first().textContent();
  await page.close();
  return code;
}

/** The page of a donor's second photo: the parts side of its board. */

/** Answers the steps of a first power-up as they should be, up to one whose title has a word. */
async function passSteps(page, word) {
  const card = page.getByRole('region', { name: /^Step / });
  for (;;) {
    const title = await card.getByRole('heading', { level: 2 }).innerText();
    const gate = card.getByRole('button', { name: /^It is (?:on|off)/ });
    if (await gate.isVisible()) {
      await gate.click();
      await gate.waitFor({ state: 'hidden' });
    }
    const field = card.getByLabel('reading');
    const asks = await field.isVisible();
    if (title.includes(word)) {
      if (asks) await field.fill('24.12V');
      await page.waitForTimeout(6500);
      return;
    }
    if (asks) {
      const [, words] = /should be\n+([^\n]+)/.exec((await card.innerText()).replace(/\u00a0/g, ' '));
      const figures = [...words.matchAll(/\d+(?:\.\d+)?/g)].map(([digits]) => Number(digits));
      const middle = words.startsWith('under') ? 0.3 * figures[0] : (figures[0] + figures[1]) / 2;
      await field.fill(words.startsWith('over') ? 'OL' : `${middle.toFixed(1)}${/ (m?[VA])/.exec(words)?.[1] ?? ''}`);
    }
    await card.getByRole('button', { name: /^p Pass/ }).click();
    await page.waitForFunction((was) => document.querySelector('.step-card h2')?.innerText !== was, title);
  }
}

/** One picture; the scheme is the light one unless told otherwise, and a bench line may stand half typed. */
async function shoot(
  name,
  path,
  { viewport = DESK, colorScheme = 'light', type, press, tab, touch, until, show, push, made, work, stepsTo } = {},
) {
  const context = await browser.newContext({ viewport, colorScheme });
  const page = await context.newPage();
  await page.goto(origin + path);
  await page.waitForLoadState('networkidle');
  if (until) await page.locator(until).waitFor();
  if (tab) await page.getByRole('tab', { name: tab }).click();
  if (show) await page.getByLabel('Show', { exact: true }).selectOption(show);
  if (push) await page.getByRole('button', { name: push }).click();
  if (touch) await page.getByRole('button', { name: touch }).click();
  if (type) await page.getByLabel('Bench line').fill(type);
  if (made) {
    await page.getByLabel('or one made by formula').selectOption(made);
    await page.getByLabel('what it shows').selectOption(made);
    await page.getByRole('button', { name: 'Calculate it' }).click();
  }
  if (work) {
    const start = page.getByRole('form', { name: 'Start working' });
    await start.getByLabel('parts go into bin').fill(work);
    await start.getByRole('button', { name: 'Start the clock' }).click();
    await page.getByRole('region', { name: 'Present job' }).waitFor();
    await page.waitForTimeout(1200);
  }
  if (stepsTo) await passSteps(page, stepsTo);
  if (press) await page.getByText(press).click();
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  await context.close();
  say(`${FOLDER}/${name}.png`);
}
