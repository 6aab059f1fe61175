// Imports run one way (docs/architecture.md). Checks the sources, and that a planted violation is found:
// a checker that silently reads nothing would pass everything.
import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { bin, say } from './lib.mjs';

const FEWEST_MODULES = 150;
const PLANTED = 'src/core/quantity/planted.ts';

const cruise = () => {
  const { stdout, stderr } = spawnSync(
    bin('depcruise'),
    ['src', 'e2e', '--config', '.dependency-cruiser.cjs', '--output-type', 'json'],
    { encoding: 'utf8', maxBuffer: 2 ** 28 },
  );
  try {
    return JSON.parse(stdout).summary;
  } catch {
    throw new Error(`The import checker gave no answer: ${stderr}`);
  }
};
const describe = ({ rule, from, to }) => `${rule.name}: ${from} → ${to}`;

const { violations, totalCruised } = cruise();
for (const violation of violations) say(describe(violation));
if (totalCruised < FEWEST_MODULES)
  say(`Only ${totalCruised} modules were read; at least ${FEWEST_MODULES} are expected.`);

let planted;
try {
  writeFileSync(PLANTED, "import { bench } from '../../db/bench';\n\nexport const planted = bench;\n");
  planted = cruise().violations.some(({ from, rule }) => from === PLANTED && rule.name === 'core-stands-alone');
} finally {
  rmSync(PLANTED, { force: true });
}
if (!planted) say('A planted import from core to db was not noticed.');

const good = violations.length === 0 && totalCruised >= FEWEST_MODULES && planted;
if (good) say(`${totalCruised} modules, no import against the direction; a planted one is noticed.`);
process.exit(good ? 0 : 1);
