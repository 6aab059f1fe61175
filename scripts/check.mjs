// Everything that must hold before a change lands: first the build, the unit tests in parts and what reads the sources, in
// two lanes side by side; then the stories through the browser, which have the machine to themselves. Side by side with
// them the unit tests took several times as long.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  bin,
  browserPath,
  ensureBuild,
  ensurePackages,
  filesBelow,
  isOnPath,
  must,
  sandboxedTests,
  say,
  seedDemo,
} from './lib.mjs';

const SLOWEST = 10;
const JEST = 'node_modules/jest/bin/jest.js';
const SHELL = 'chromium-headless-shell';
/** The compiler in machine code checks the types in a third of the time; the build still needs the other one. */
const COMPILER = 'node_modules/typescript-native/bin/tsc';
/** The stories empty test-results when they begin, so that these are kept elsewhere. */
const REPORTS = 'node_modules/.cache/check';
const COUNTS = String.raw`\.counts\.test\.ts$`;
/** Each test file of a sandbox throws away what it loaded: with more room for what is young, less of it is copied first. */
const ROOM = '--max-semi-space-size=64';
/** The engine's compiler takes a third of the time of the counts, unless it waits longer before it compiles again. */
const COMPILE_LATER = '--interrupt-budget=600000';
/** For tests outside a sandbox, which read the sources as they are; see `jest.plain.config.mjs`. */
const PLAIN = ['--import', './scripts/plainNames.mjs', '--import', 'tsx', JEST, '-c', 'jest.plain.config.mjs'];
/** Each is a process of its own, which the lanes share; the longest first, so that both end at about one time. */
const UNIT_STEPS = [
  ['unit 1 of 3', [...PLAIN, '--shard=1/2', '--testPathIgnorePatterns', COUNTS]],
  ['unit 2 of 3', [...PLAIN, '--shard=2/2', '--testPathIgnorePatterns', COUNTS]],
  ['counts', [COMPILE_LATER, JEST, COUNTS]],
  ['unit 3 of 3', [JEST, '--runTestsByPath', ...sandboxedTests()]],
];
const STORY_REPORT = 'test-results/stories.json';
/** Folders on which the counts over thousands of boards depend, and where it is kept, with the sources, that they held. */
const COUNTED = ['src/core/board', 'src/core/topology', 'src/core/findings', 'src/core/part', 'src/core/quantity'];
const COUNTED_STAMP = 'scripts/counted.txt';

/** Where there is a file system in memory, databases and browser profiles of the tests live there: a disk's waits add up. */
const IN_MEMORY = '/dev/shm';
const ROOM_IN_MEMORY = 2e9;
if (!process.env.TMPDIR && roomAt(IN_MEMORY) >= ROOM_IN_MEMORY) process.env.TMPDIR = IN_MEMORY;

const began = Date.now();
await ensurePackages();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

const outcomes = [];
const counted = digestOf(COUNTED);
const isCounted =
  !process.env.CI && existsSync(COUNTED_STAMP) && readFileSync(COUNTED_STAMP, 'utf8').trim() === counted;
if (isCounted) say('The counts over thousands of boards held for these sources; they are not made again.');

const built = step('build', () => ensureBuild().then(() => ({ code: 0, text: '' })));
// The stories work on copies of it; seeded here, it has company on the other core.
const template = mkdtempSync(join(tmpdir(), 'zorvek-e2e-template-'));
process.env.ZORVEK_E2E_TEMPLATE = template;
process.on('exit', () => rmSync(template, { recursive: true, force: true }));
const waiting = [
  () => step('demo', () => seedDemo(join(template, 'zorvek.db')).then(() => ({ code: 0, text: '' }))),
  ...UNIT_STEPS.filter(([name]) => name !== 'counts' || !isCounted).map((unit) => () => units(...unit)),
  () => step('lint', () => captured(bin('oxlint'), ['--deny-warnings', '--report-unused-disable-directives'])),
  () => step('dead code', () => captured(bin('knip'), [])),
  () => step('format', () => captured(bin('oxfmt'), ['--check'])),
  // The types of the routes are written by the build.
  async () => (await built) === 0 && step('types', () => captured('node', [COMPILER, '--noEmit'])),
];
const chromium = ensureChromium();
// It plants files for a moment, which nothing may read that looks at all sources; such steps come last.
const bounded = step('boundaries', () => captured('node', ['scripts/boundaries.mjs']));
await Promise.all([built.then(rest), bounded.then(rest)]);
await stories();

if (outcomes.every(({ code }) => code === 0)) writeFileSync(COUNTED_STAMP, `${counted}\n`);
printSlowest();
const failed = outcomes.filter(({ code }) => code !== 0);
for (const { name } of failed) say(`failed: ${name}`);
say(`\n${outcomes.length} steps in ${seconds(began)} s`);
const { passed, broken } = testTotals();
say(`checks: ${outcomes.length - failed.length} of ${outcomes.length}`);
say(`Tests:       ${broken > 0 ? `${broken} failed, ` : ''}${passed} passed, ${passed + broken} total`);
process.exit(failed.length === 0 ? 0 : 1);

/** Bytes that are free at a path; none where it is not there. */
function roomAt(path) {
  if (!existsSync(path)) return 0;
  const { bavail, bsize } = statfsSync(path);
  return bavail * bsize;
}

async function stories() {
  if ((await built) !== 0) return;
  await chromium;
  await step('end to end', () => captured(bin('playwright'), ['test']));
}

/** Some of the unit tests. */
function units(name, program) {
  const args = [ROOM, ...program, '--runInBand', '--json', `--outputFile=${unitReport(name)}`];
  return step(name, () => captured('node', args, { TSX_TSCONFIG_PATH: 'tsconfig.plain.json' }));
}

function unitReport(name) {
  return `${REPORTS}/${name.replaceAll(' ', '-')}.json`;
}

function unitReports() {
  return UNIT_STEPS.map(([name]) => reportOf(unitReport(name)));
}

/** What waits; each is done once, by the lane that comes to it first. */
async function rest() {
  for (let next = waiting.shift(); next; next = waiting.shift()) await next();
}

/** Runs one step and prints what it said when it ends; resolves to its exit code. */
async function step(name, work) {
  const start = Date.now();
  const { code, text } = await work();
  outcomes.push({ name, code });
  say(`\n== ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${seconds(start)} s\n${text.trimEnd()}`);
  return code;
}

function captured(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } });
    let text = '';
    child.stdout.on('data', (chunk) => (text += chunk));
    child.stderr.on('data', (chunk) => (text += chunk));
    child.on('error', (error) => resolve({ code: 127, text: `${text}${command}: ${error.message}` }));
    child.on('close', (code) => resolve({ code: code ?? 1, text }));
  });
}

function seconds(start) {
  return ((Date.now() - start) / 1000).toFixed(1);
}

/** The slowest test files and stories, so that the check stays short. */
function printSlowest() {
  const rows = [...unitTimes(), ...storyTimes()].sort((a, b) => b.seconds - a.seconds).slice(0, SLOWEST);
  say('\nThe ten slowest:');
  for (const row of rows) say(`${row.seconds.toFixed(1).padStart(7)} s  ${row.name}`);
}

function unitTimes() {
  return unitReports()
    .flatMap((report) => report?.testResults ?? [])
    .map(({ name, startTime, endTime }) => ({
      name: name.replace(`${process.cwd()}/`, ''),
      seconds: (endTime - startTime) / 1000,
    }));
}

function storyTimes() {
  const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)];
  return (reportOf(STORY_REPORT)?.suites ?? []).flatMap(specs).map(({ file, title, tests }) => ({
    name: `e2e/${file}: ${title}`,
    seconds: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0) / 1000,
  }));
}

/** Unit tests and stories together. */
function testTotals() {
  const sum = (name) => unitReports().reduce((total, report) => total + (report?.[name] ?? 0), 0);
  const { expected = 0, flaky = 0, unexpected = 0 } = reportOf(STORY_REPORT)?.stats ?? {};
  return {
    passed: sum('numPassedTests') + expected + flaky,
    broken: sum('numFailedTests') + unexpected,
  };
}

function reportOf(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}

function digestOf(folders) {
  const hash = createHash('sha256');
  for (const file of folders.flatMap(filesBelow)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

/** The end-to-end tests drive Debian's Chromium without a window; where it is missing, apt brings it. */
async function ensureChromium() {
  if (isOnPath(SHELL) || (!isOnPath('apt-get') && isOnPath('chromium'))) return;
  if (!isOnPath('apt-get')) {
    say(`The end-to-end tests need ${browserPath()}, and there is no apt-get here to install it with.`);
    process.exit(1);
  }
  say('Installing Chromium with apt (about a minute; once) …');
  const elevated = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (args) => must(...(([command, ...rest]) => [command, rest])([...elevated, 'apt-get', '-qq', ...args]));
  await apt(['update']);
  await apt(['install', '-y', '--no-install-recommends', SHELL]);
}
