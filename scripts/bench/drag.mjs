// A knob of a circuit that runs, turned once a frame in the browser on the production build: frames a second against those of the
// same page left alone, the longest task of the page, and how many answers came meanwhile.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { bin, browserPath, ensureBuild, ensurePackages, freePort, must } from '../lib.mjs';

const CIRCUITS = [
  ['buck', 'load'],
  ['flyback', 'primary'],
  ['half-bridge', 'load'],
  ['llc', 'load'],
];
const SECONDS = 4;
/** No task of the page may take longer, in milliseconds. */
const LONGEST = 100;

await ensurePackages();
await ensureBuild();
const folder = mkdtempSync(join(tmpdir(), 'zorvek-drag-'));
const url = `file:${join(folder, 'drag.db')}`;
await must(bin('tsx'), ['src/demo/main.ts'], { ZORVEK_DATABASE_URL: url });
const port = await freePort(3760);
const server = spawn(
  'node',
  [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
  { env: { ...process.env, ZORVEK_DATABASE_URL: url, NODE_ENV: 'production' }, stdio: 'ignore' },
);
const browser = await chromium.launch({ executablePath: browserPath(), args: ['--no-sandbox', '--disable-gpu'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const rows = [];
  for (const [id, knob] of CIRCUITS) rows.push(await drag(page, `http://127.0.0.1:${port}/sums/what-if/${id}`, knob));
  console.table(rows);
  if (rows.some((row) => row['longest task, ms'] > LONGEST))
    console.log(`A task of the page took longer than ${LONGEST} ms.`);
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}

async function drag(page, address, knob) {
  for (let tries = 0; tries < 100; tries += 1)
    if (
      await page.goto(address).then(
        (answer) => answer?.ok() ?? false,
        () => false,
      )
    )
      break;
    else await new Promise((resolve) => setTimeout(resolve, 200));
  await page.locator('.waves-figure').waitFor();
  // Every fault is worked out before: nothing else runs while the page is left alone.
  await page.getByText('gives way first', { exact: true }).first().waitFor({ timeout: 180_000 });
  const alone = await watched(page, () => page.waitForTimeout(1000 * SECONDS));
  const slider = page.getByRole('slider', { name: new RegExp(`^${knob}.*slider`) }).first();
  const dragged = await watched(page, () => slider.evaluate(turned, 1000 * SECONDS));
  return {
    circuit: address.split('/').at(-1),
    'frames a second': (dragged.frames / SECONDS).toFixed(0),
    'of those when left alone': `${Math.round((100 * dragged.frames) / alone.frames)} %`,
    'longest task, ms': Math.round(dragged.longest),
    'answers a second': (dragged.answers / SECONDS).toFixed(0),
  };
}

/**
 * Turns a slider to and fro within a quarter of its span, once a frame as a pointer does; sent from outside, a move waits for the
 * browser to have taken the one before.
 */
function turned(slider, milliseconds) {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const [from, to] = [Number(slider.min), Number(slider.max)];
  const began = performance.now();
  return new Promise((resolve) => {
    const frame = (now) => {
      const share = 0.5 + 0.25 * Math.sin((now - began) / 400);
      set.call(slider, Math.round(from + (to - from) * share));
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      if (now - began < milliseconds) requestAnimationFrame(frame);
      else resolve(undefined);
    };
    requestAnimationFrame(frame);
  });
}

/** Frames, the longest task and the changes of the waves while something goes on. */
async function watched(page, work) {
  await page.evaluate(() => {
    const seen = { frames: 0, longest: 0, answers: 0, isOver: false };
    window.seen = seen;
    const frame = () => {
      seen.frames += 1;
      if (!seen.isOver) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.longest = Math.max(seen.longest, duration);
    }).observe({ type: 'longtask' });
    let last = '';
    new MutationObserver(() => {
      const now = document.querySelector('.waves-figure')?.innerHTML ?? '';
      if (now !== last) seen.answers += 1;
      last = now;
    }).observe(document.querySelector('.waves-figure'), {
      subtree: true,
      childList: true,
      attributes: true,
      characterData: true,
    });
  });
  await work();
  return page.evaluate(() => {
    window.seen.isOver = true;
    return { ...window.seen };
  });
}
