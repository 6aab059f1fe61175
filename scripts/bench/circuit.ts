// The simulator against ngspice on the same decks: warm, and in the first call of a fresh process. Without ngspice on the machine the
// times stored beside the decks stand in for it, and the last line says so.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readDeck, simulate, steadyState } from '../../src/core/circuit';

const FOLDER = join('src', 'core', 'circuit', 'fixtures');
const ROUNDS = 15;
/** Rounds before any is timed: the machine’s code is compiled in them. */
const WARM_UP = 30;
/** ngspice at its tight setting. */
const TIGHT = '.options reltol=1e-6 abstol=1e-12 vntol=1e-9 chgtol=1e-18 method=gear maxord=2';

interface Stored {
  readonly ngspice_time?: { readonly tight?: { readonly cpu_s?: number } };
}

const stored = JSON.parse(readFileSync(join(FOLDER, 'results.json'), 'utf8')) as Record<string, unknown>;
const times = (stored.decks ?? stored) as Record<string, Stored>;
const isThere = () => spawnSync('ngspice', ['--version']).status === 0;
// Missing, it is installed where that may be done.
const INSTALLER = 'apt-get';
if (!isThere()) spawnSync(INSTALLER, ['install', '-y', 'ngspice']);
const hasSpice = isThere();
const scratch = mkdtempSync(join(tmpdir(), 'zorvek-decks-'));

const storedSeconds = (name: string) => times[name]?.ngspice_time?.tight?.cpu_s ?? NaN;

/** Seconds that ngspice spends on a deck. */
function spiceSeconds(name: string, text: string): number {
  const path = join(scratch, `${name}.cir`);
  writeFileSync(path, text.replace(/^\.end\s*$/m, `${TIGHT}\n.end`));
  const began = performance.now();
  const run = spawnSync('ngspice', ['-b', '-r', join(scratch, 'out.raw'), path], { encoding: 'utf8' });
  const seconds = (performance.now() - began) / 1000;
  // A run that it gave up says nothing of its speed: the stored time stands in.
  return /aborted|too small/i.test(run.stdout + run.stderr) ? storedSeconds(name) : seconds;
}

const median = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Milliseconds of the first simulation in a process of its own. */
function firstCall(path: string): number {
  const run = spawnSync(process.execPath, ['scripts/zorvek.mjs', 'simulate', path], { encoding: 'utf8' });
  return 1000 * (JSON.parse(run.stdout) as { seconds: number }).seconds;
}

function timed(work: () => unknown): number {
  const began = performance.now();
  work();
  return performance.now() - began;
}

const rows = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.cir') && times[file.replace('.cir', '')] !== undefined)
  .map((file) => {
    const name = file.replace('.cir', '');
    const text = readFileSync(join(FOLDER, file), 'utf8');
    const read = readDeck(text);
    if (!read.ok) throw new Error(`${file}: ${read.problems[0]?.expected ?? ''}`);
    const { deck } = read;
    const { period } = deck;
    const rounds = (work: () => unknown) => {
      for (let round = 0; round < WARM_UP; round += 1) work();
      return median(Array.from({ length: ROUNDS }, () => timed(work)));
    };
    return {
      name,
      reference: 1000 * (hasSpice ? spiceSeconds(name, text) : storedSeconds(name)),
      warm: rounds(() => simulate(deck)),
      first: firstCall(join(FOLDER, file)),
      steady: period ? rounds(() => steadyState(deck, { period })) : NaN,
    };
  });

const shown = (value: number) => Number(value.toPrecision(3));
const table = rows.map(({ name, reference, warm, first, steady }) => ({
  deck: name,
  'ngspice ms': shown(reference),
  'warm ms': shown(warm),
  'warm times': Math.round(reference / warm),
  'first ms': shown(first),
  'first times': Math.round(reference / first),
  'steady ms': shown(steady),
}));
const ratios = rows.map(({ reference, warm }) => reference / warm);
const firsts = rows.map(({ reference, first }) => reference / first);
const settled = rows.map(({ steady }) => steady).filter(Number.isFinite);
const head = Object.keys(table[0] ?? {});
const lines = table.map((row) => Object.values(row).map(String));
const widths = head.map((name, index) => Math.max(name.length, ...lines.map((line) => line[index]?.length ?? 0)));
for (const line of [head, ...lines])
  process.stdout.write(`${line.map((cell, index) => cell.padStart(widths[index] ?? 0)).join('  ')}\n`);
process.stdout.write(
  `${[
    hasSpice
      ? 'ngspice in the same run'
      : 'no ngspice here (Debian package ngspice): stored CPU times of another machine',
    `warm: median ${Math.round(median(ratios))} times (wanted 300), least ${Math.round(Math.min(...ratios))} (30)`,
    `first call: median ${Math.round(median(firsts))} times (25)`,
    `steady state: median ${shown(median(settled))} ms (20)`,
  ].join('; ')}\n`,
);
