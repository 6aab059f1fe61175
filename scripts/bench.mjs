// Benchmarks on a generated shop of 1,000 donors and 100,000 lots: the list queries against bare SQL,
// markings and the bench line against a plain lookup, boards against parsing their files, and the first load of each main view of the production build against the Guide, which asks no database.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { measurePages } from './bench/pages.mjs';
import { bin, browserPath, ensureBuild, ensurePackages, freePort, must, say } from './lib.mjs';

const SCRIPT_AIM_KB = 200;
const MEMORY_AIM_MB = 250;
const ROUNDS = 5;

await ensurePackages();
await ensureBuild();
const folder = mkdtempSync(join(tmpdir(), 'zorvek-bench-'));
const url = `file:${join(folder, 'bench.db')}`;
say('Generating 1,000 donors and 100,000 lots …');
await must(bin('tsx'), ['scripts/bench/generate.ts', url]);

const queries = spawnSync(bin('tsx'), ['scripts/bench/queries.ts', url], { encoding: 'utf8' });
say('\nList queries, median of 15');
console.table(JSON.parse(queries.stdout));

const markings = spawnSync(bin('tsx'), ['scripts/bench/marking.ts'], { encoding: 'utf8' });
say('\nMarkings and the bench line, median of 25');
console.table(JSON.parse(markings.stdout));
if (markings.status !== 0) say('An aim was missed.');

const harvest = spawnSync(bin('tsx'), ['scripts/bench/harvest.ts'], { encoding: 'utf8' });
say('\nThe plan of a board, and a recording of an oscilloscope');
console.table(JSON.parse(harvest.stdout));

const boards = spawnSync(bin('tsx'), ['scripts/bench/boards.ts'], { encoding: 'utf8' });
const { speed, calibration } = JSON.parse(boards.stdout);
say('\nBoards, median of 4 warm runs');
console.table(speed);
say('\nClaims on composed boards traced in part: how many are right');
console.table(calibration);

say('\nPages of a donor with 150 parts, median of 9');
console.table(await measurePages(url, folder));

const port = await freePort(3600);
const server = spawn(
  'node',
  [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
  {
    env: { ...process.env, ZORVEK_DATABASE_URL: url, NODE_ENV: 'production' },
    stdio: 'ignore',
  },
);
const origin = `http://127.0.0.1:${port}`;
await untilUp(`${origin}/guide`);

const browser = await chromium.launch({
  executablePath: browserPath(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});
const donor = await firstLink('/donors', 'a[href^="/donors/"][href*="-"]');
const code = /\/donors\/([^/]+)/.exec(donor)?.[1];
const VIEWS = [
  '/guide',
  '/',
  '/donors',
  '/donors/new',
  ...['intake', 'make-safe', 'identify', 'test', 'harvest', 'record'].map((name) => `/donors/${code}/${name}`),
  '/stock',
  '/stock?find=nmos+%3E%3D600V',
  '/builds',
  '/sums',
  '/types',
];
const results = [];
for (const path of VIEWS) results.push(await measure(path));
const reference = results[0].content;
say(
  `\nFirst load of each view: script over the wire (aim under ${SCRIPT_AIM_KB} kB), and time to content, median of ${ROUNDS}, against the Guide`,
);
console.table(
  results.map(({ path, script, content }) => ({
    view: path,
    'script kB': Math.round(script / 1000),
    'content ms': Math.round(content),
    'against the Guide': (content / reference).toFixed(2),
  })),
);
const memory = residentMegabytes(server.pid);
say(`Server memory after these loads: ${memory} MB (aim under ${MEMORY_AIM_MB} MB)`);

await browser.close();
server.kill();
rmSync(folder, { recursive: true, force: true });

async function untilUp(address) {
  for (let tries = 0; tries < 100; tries += 1) {
    if (
      await fetch(address).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error('The server did not start.');
}

async function firstLink(path, selector) {
  const page = await browser.newPage();
  await page.goto(origin + path);
  const href = await page.locator(`main ${selector}`).nth(1).getAttribute('href');
  await page.close();
  return href ?? '';
}

/** Loads a view with an empty cache: bytes of script received, and the time until its text was painted. */
async function measure(path) {
  const contents = [];
  let script = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(origin + path, { waitUntil: 'load' });
    await page.waitForTimeout(300);
    const seen = await page.evaluate(() => ({
      script: performance
        .getEntriesByType('resource')
        .filter(({ name }) => /\.js(\?|$)/.test(name))
        .reduce((sum, entry) => sum + entry.transferSize, 0),
      content: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Number.NaN,
    }));
    script = seen.script;
    contents.push(seen.content);
    await context.close();
  }
  return { path, script, content: contents.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] };
}

function residentMegabytes(pid) {
  const own = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
  const children = spawnSync('ps', ['--ppid', String(pid), '-o', 'rss='], { encoding: 'utf8' })
    .stdout.split('\n')
    .reduce((sum, line) => sum + Number(line.trim() || 0), 0);
  return Math.round((own + children) / 1024);
}
