// Runs a benchmark as its subject ships: bundled, without the help for debugging that running sources adds to every function.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { ROOT } from '../lib.mjs';

const name = process.argv[2];
const folder = join(ROOT, 'node_modules', '.cache', 'zorvek');
const outfile = join(folder, `bench-${name}.mjs`);
mkdirSync(folder, { recursive: true });
await build({
  entryPoints: [join('scripts', 'bench', `${name}.ts`)],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  logLevel: 'error',
});
await import(pathToFileURL(outfile).href);
