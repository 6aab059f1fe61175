// The command line. It is bundled into one file when its sources change, so that it starts at once.
import { mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { filesBelow, ROOT } from './lib.mjs';

const FOLDER = join(ROOT, 'node_modules', '.cache', 'zorvek');
const BUNDLE = join(FOLDER, 'cli.cjs');

const changed = (path) => statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? 0;
const newest = Math.max(...['src/core', 'src/formats', 'src/cli'].flatMap(filesBelow).map(changed));

if (changed(BUNDLE) < newest) {
  const { build } = await import('esbuild');
  mkdirSync(FOLDER, { recursive: true });
  await build({
    entryPoints: ['src/cli/main.ts'],
    outfile: BUNDLE,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    logLevel: 'error',
  });
}
await import(pathToFileURL(BUNDLE).href);
