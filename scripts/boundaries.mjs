// Imports run one way (docs/architecture.md). Checks the sources, and that a planted violation is found:
// a checker that silently reads nothing would pass everything.
import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { bin, say } from './lib.mjs';

const FEWEST_MODULES = 700;
/** Imports against the direction, each with the rule that must notice it. */
const PLANTED = [
  {
    file: 'src/core/quantity/planted.ts',
    text: "import { contextFrom } from '../../db/context';\n\nexport const planted = contextFrom;\n",
    rule: 'core-stands-alone',
  },
  {
    file: 'src/features/donor/safe/planted.ts',
    text: "import { takePart } from '../harvest/takePart';\n\nexport const planted = takePart;\n",
    rule: 'stations-are-rooms',
  },
];

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

// One reading of the sources tells both: what is planted must be found, and nothing else.
let summary;
try {
  for (const { file, text } of PLANTED) writeFileSync(file, text);
  summary = cruise();
} finally {
  for (const { file } of PLANTED) rmSync(file, { force: true });
}
const isPlanted = ({ from }) => PLANTED.some(({ file }) => file === from);
const totalCruised = summary.totalCruised - PLANTED.length;
const violations = summary.violations.filter((violation) => !isPlanted(violation));
for (const violation of violations) say(describe(violation));
if (totalCruised < FEWEST_MODULES)
  say(`Only ${totalCruised} modules were read; at least ${FEWEST_MODULES} are expected.`);

const noticed = PLANTED.filter((plant) =>
  summary.violations.some(({ from, rule }) => from === plant.file && rule.name === plant.rule),
);
const planted = noticed.length === PLANTED.length;
for (const plant of PLANTED.filter((one) => !noticed.includes(one)))
  say(`A planted import in ${plant.file} was not noticed (${plant.rule}).`);

const good = violations.length === 0 && totalCruised >= FEWEST_MODULES && planted;
if (good) say(`${totalCruised} modules, no import against the direction; planted ones are noticed.`);
process.exit(good ? 0 : 1);
