// Prints the share of tests in the code, by lines that are not blank.
import { readFileSync } from 'node:fs';
import { filesBelow, say } from './lib.mjs';

const isTest = (file) => /\.test\.tsx?$|^e2e\/|\/(?:testing|fixtures)\//.test(file);
const lines = (files) =>
  files.reduce(
    (sum, file) =>
      sum +
      readFileSync(file, 'utf8')
        .split('\n')
        .filter((line) => line.trim() !== '').length,
    0,
  );

const code = [...filesBelow('src'), ...filesBelow('e2e'), ...filesBelow('scripts')].filter(
  (file) => /\.(tsx?|mjs|cjs|css)$/.test(file) && !file.includes('/migrations/'),
);
const tests = lines(code.filter(isTest));
const all = lines(code);
say(`${tests} of ${all} lines are tests: ${((100 * tests) / all).toFixed(1)} %`);
