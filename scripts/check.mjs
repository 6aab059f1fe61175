// Everything that must hold before a change lands: lint, types, unit tests, build, end-to-end tests.
import { bin, ensureBuild, ensurePackages, isOnPath, must, run, say } from './lib.mjs';

await ensurePackages();
await ensureChromium();

const STEPS = [
  ['lint', () => run(bin('eslint'), ['.', '--max-warnings=0', '--cache', '--cache-location=.next/eslint'])],
  ['format', () => run(bin('prettier'), ['--check', '--log-level=warn', '.'])],
  ['boundaries', () => run('node', ['scripts/boundaries.mjs'])],
  ['dead code', () => run(bin('knip'), [])],
  ['types', async () => (await run(bin('next'), ['typegen'])) || run(bin('tsc'), ['--noEmit'])],
  ['unit', () => run(bin('jest'), [])],
  ['build', () => ensureBuild().then(() => 0)],
  ['end to end', () => run(bin('playwright'), ['test'])],
];

const outcomes = [];
for (const [name, step] of STEPS) {
  say(`\n== ${name}`);
  const began = Date.now();
  const code = await step();
  outcomes.push({ name, code });
  say(`== ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - began) / 1000).toFixed(1)} s`);
}

const failed = outcomes.filter(({ code }) => code !== 0);
for (const { name } of failed) say(`failed: ${name}`);
say(`\nchecks: ${outcomes.length - failed.length} passed, ${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);

/** The end-to-end tests drive Debian's Chromium; where it is missing, apt brings it. */
async function ensureChromium() {
  if (isOnPath('chromium')) return;
  if (!isOnPath('apt-get')) {
    say('The end-to-end tests need Chromium at /usr/bin/chromium, and there is no apt-get here to install it with.');
    process.exit(1);
  }
  say('Installing Chromium with apt (about a minute; once) …');
  const elevated = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (args) => must(...(([command, ...rest]) => [command, rest])([...elevated, 'apt-get', '-qq', ...args]));
  await apt(['update']);
  await apt(['install', '-y', '--no-install-recommends', 'chromium']);
}
