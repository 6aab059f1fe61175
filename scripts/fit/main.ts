// `npm run fit` learns what the reading of boards traced in part rests on; `npm run fit -- sizes` only the named step.
// Takes a few minutes.
import { fitAffinities } from './affinities';
import { OTHER_BOARDS } from '../../src/core/topology/fixtures/otherBoards';
import { fitInventory } from './inventory';
import { fitJoins } from './joins';
import { fitSizes } from './sizes';

const STEPS: Readonly<Record<string, () => void>> = {
  /** src/core/topology/partial/fitted.ts */
  inventory: fitInventory,
  /** src/core/topology/partial/sizes.ts, and fixtures/leftOut.json for judging */
  sizes: fitSizes,
  /** src/core/topology/probe/affinities.ts */
  affinities: fitAffinities,
  /** src/core/topology/probe/joinSizes.ts; the advice is judged by the other boards */
  joins: () => fitJoins((name) => OTHER_BOARDS.some((board) => board.name === name)),
};

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in STEPS));
if (unknown.length > 0) {
  process.stderr.write(`There is no step ${unknown.join(', ')}; the steps are ${Object.keys(STEPS).join(', ')}.\n`);
  process.exit(1);
}
for (const [name, fit] of Object.entries(STEPS))
  if (wanted.length === 0 || wanted.includes(name)) {
    const start = Date.now();
    fit();
    process.stdout.write(`${name}: ${Math.round((Date.now() - start) / 1000)} s\n`);
  }
