// The pages of a donor with 150 parts on the production build: statements a request, how many of them were asked before
// in the same request, and the time until the whole answer is there, median of some loads, against the Guide.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../lib.mjs';

const ROUNDS = 9;
const STATIONS = ['intake', 'make-safe', 'open', 'trace', 'identify', 'test', 'harvest', 'record'];

/** Measures the pages of the newest donor in a database of the benchmark. */
export async function measurePages(url, folder) {
  const log = join(folder, 'statements.log');
  const port = await freePort(3700);
  const server = spawn(
    'node',
    [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
    {
      env: {
        ...process.env,
        ZORVEK_DATABASE_URL: url,
        NODE_ENV: 'production',
        NODE_OPTIONS: `--require ${join(process.cwd(), 'scripts', 'bench', 'statements.cjs')}`,
        ZORVEK_STATEMENTS: log,
      },
      stdio: 'ignore',
    },
  );
  const origin = `http://127.0.0.1:${port}`;
  try {
    await untilUp(`${origin}/guide`);
    const list = await (await fetch(`${origin}/donors?find=large`)).text();
    const code = /\/donors\/([A-Z0-9]{3}-[A-Z0-9]{3})\//.exec(list)?.[1];
    if (!code) throw new Error('The large donor is not in the list.');
    const paths = ['/guide', ...STATIONS.map((name) => `/donors/${code}/${name}`)];
    const rows = [];
    for (const path of [...paths, `/donors/${code}/test?part=Q7`, `/donors/${code}/identify?part=Q7`])
      rows.push(await measure(origin, path, log));
    const guide = rows[0].ms;
    return rows.map(({ path, statements, repeated, ms }) => ({
      page: path.replace(code, '…'),
      statements,
      repeated,
      ms: ms.toFixed(0),
      'against the Guide': (ms / guide).toFixed(1),
    }));
  } finally {
    server.kill();
  }
}

async function measure(origin, path, log) {
  await fetch(origin + path).then((answer) => answer.text());
  writeFileSync(log, '');
  await fetch(origin + path).then((answer) => answer.text());
  const asked = existsSync(log)
    ? readFileSync(log, 'utf8')
        .split('\n')
        .filter((line) => /^\s*(select|with)/i.test(line))
    : [];
  const times = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    await fetch(origin + path).then((answer) => answer.text());
    times.push(performance.now() - began);
  }
  const ms = times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)];
  return { path, statements: asked.length, repeated: asked.length - new Set(asked).size, ms };
}

async function untilUp(address) {
  for (let tries = 0; tries < 150; tries += 1) {
    const isUp = await fetch(address).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error('The server did not start.');
}
