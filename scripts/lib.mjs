import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder; every script works from here. */
export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
process.chdir(ROOT);
process.env.NEXT_TELEMETRY_DISABLED = '1';

export const say = (text) => process.stdout.write(`${text}\n`);

/** Runs a command with its output shown; resolves to its exit code. */
export function run(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', (error) => {
      say(`${command}: ${error.message}`);
      resolve(127);
    });
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 130 : 1)));
  });
}

/** Runs a command and leaves with its exit code when it fails. */
export async function must(command, args, env) {
  const code = await run(command, args, env);
  if (code !== 0) {
    say(`\n${command} ${args.join(' ')} ended with ${code}.`);
    process.exit(code);
  }
}

export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

/** Installs the packages when the lock file says others than are there. */
export async function ensurePackages() {
  const wanted = digest([readFileSync('package.json'), readFileSync('package-lock.json')]);
  const stamp = join('node_modules', '.zorvek-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing packages (about a minute; only when they change) …');
  // `npm ci` refuses a lock that lacks the optional binaries of other systems; `npm install` does not.
  await must('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

/** Builds the application unless the last build was of the same sources. */
export async function ensureBuild() {
  const wanted = digest(
    ['package-lock.json', 'next.config.ts', 'tsconfig.json', 'postcss.config.mjs', ...filesBelow('src')]
      .filter((file) => !/\.test\.tsx?$/.test(file))
      .map((file) => Buffer.concat([Buffer.from(file), readFileSync(file)])),
  );
  const stamp = join('.next', 'zorvek-sources');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building (about a minute; only when the sources change) …');
  await must(bin('next'), ['build']);
  writeFileSync(stamp, wanted);
}

/** The first free port from the wanted one on. */
export async function freePort(wanted) {
  for (let port = wanted; port < wanted + 50; port += 1) if (await isFree(port)) return port;
  throw new Error(`No free port between ${wanted} and ${wanted + 49}.`);
}

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

/** Serves the built application until it is stopped. Without a host it answers this machine only. */
export async function serve(databaseUrl, meterAddress) {
  const host = process.env.ZORVEK_HOST ?? '127.0.0.1';
  const port = await freePort(Number(process.env.PORT ?? 3000));
  say(`Zorvek is at http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}  (Ctrl+C stops it)`);
  const code = await run(bin('next'), ['start', '-H', host, '-p', String(port)], {
    NODE_ENV: 'production',
    ...(databaseUrl ? { ZORVEK_DATABASE_URL: databaseUrl } : {}),
    ...(meterAddress ? { ZORVEK_METER: meterAddress } : {}),
  });
  process.exit(code === 130 ? 0 : code);
}

/** Starts the simulated bench meter beside the server; resolves to its address. It ends with this process. */
export async function startMeter() {
  const port = await freePort(Number(process.env.ZORVEK_METER_PORT ?? 5025));
  const meter = spawn(bin('tsx'), ['src/server/meter/main.ts'], {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ZORVEK_METER_PORT: String(port) },
  });
  // The stand-in ends with what started it, and keeps nothing running by itself.
  meter.unref();
  process.on('exit', () => meter.kill());
  return `127.0.0.1:${port}`;
}

/** Seeds the demo scenario into a new database file, which must not exist yet. */
export async function seedDemo(file) {
  mkdirSync(dirname(file), { recursive: true });
  await must(bin('tsx'), ['src/demo/main.ts'], { ZORVEK_DATABASE_URL: `file:${file}` });
}

/** Files below a folder, sorted. */
export function filesBelow(folder) {
  return readdirSync(folder)
    .sort()
    .flatMap((name) => {
      const path = join(folder, name);
      return statSync(path).isDirectory() ? filesBelow(path) : [path];
    });
}

const TEST = /\.test\.tsx?$/;
/** What only Jest's own runner gives: modules that are taken the place of, and a page. */
const NEEDS_SANDBOX = /jest\.(mock|requireActual|resetModules|isolateModules)|@jest-environment/;

/** The files of the unit tests: those that any process can run, or those that need a sandbox. */
const unitTests = (needsSandbox) =>
  filesBelow('src').filter(
    (file) =>
      TEST.test(file) && needsSandbox === (file.endsWith('x') || NEEDS_SANDBOX.test(readFileSync(file, 'utf8'))),
  );
export const plainTests = () => unitTests(false);
export const sandboxedTests = () => unitTests(true);

/**
 * Debian's Chromium. Its build without a window does the same work in two thirds of the time, so that it goes first; where
 * neither is there, the name of the one that is usual.
 */
export function browserPath() {
  const usual = '/usr/bin/chromium';
  return ['/usr/bin/chromium-headless-shell', usual].find((path) => existsSync(path)) ?? usual;
}

export const isOnPath = (command) => spawnSync('which', [command]).status === 0;

function digest(chunks) {
  const hash = createHash('sha256');
  for (const chunk of chunks) hash.update(chunk);
  return hash.digest('hex');
}
