// Fits the classifier of parts lists that counts while little of a board is traced.
import { writeFileSync } from 'node:fs';
import type { Board } from '../../src/core/board';
import { factsOf, Random, recognise, tracedSoFar } from '../../src/core/topology';
import { CORPUS } from '../../src/core/topology/fixtures/corpus';
import { composeBoard } from '../../src/core/topology/fixtures/generator/compose';
import { decorate } from '../../src/core/topology/fixtures/generator/decorate';
import { SLOT_CLASSES } from '../../src/core/topology/partial/classes';
import { slotsOf } from '../../src/core/topology/partial/slots';
import { train, type Sample } from './train';

const TARGET = 'src/core/topology/partial/fitted.ts';
const COMPOSED = { boards: 900, views: 4, weight: 1, from: 20_001 } as const;
const REFERENCE = { views: 44, weight: 1.5 } as const;
const SHARES = [0, 0.06, 0.12, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1] as const;
const DECORATED = 0.75;
/** Stages of which every choke counts as the anchor: both of a SEPIC, one of each phase. */
const SHARED_ANCHOR: ReadonlySet<string> = new Set(['sepic', 'cuk', 'buck', 'boost', 'boost-pfc']);

interface Truth {
  readonly stages: readonly { readonly topology: string; readonly magnetics: readonly string[] }[];
}

const labelOf = ({ stages }: Truth, anchor: string): number => {
  const stage = stages.find(
    ({ topology, magnetics }) => magnetics[0] === anchor || (SHARED_ANCHOR.has(topology) && magnetics.includes(anchor)),
  );
  return Math.max(0, SLOT_CLASSES.indexOf((stage?.topology ?? 'none') as (typeof SLOT_CLASSES)[number]));
};

function viewsOf(board: Board, truth: Truth, seed: number, views: number, weight: number): Sample[][] {
  return Array.from({ length: views }, (_, view) => {
    const random = new Random(seed * 31 + view);
    const whole = random.chance(DECORATED) ? decorate(board, random) : board;
    const facts = factsOf(whole, view % 2 === 1 ? 'random' : 'power', random);
    const share = (SHARES[(seed * 5 + view * 7) % SHARES.length] ?? 0) + (random.next() - 0.5) * 0.06;
    const { model, stages } = recognise(
      tracedSoFar(whole, facts.slice(0, Math.max(0, Math.round(facts.length * share)))),
    );
    return slotsOf(model, stages).map(({ anchor, features }) => ({
      features,
      label: labelOf(truth, anchor.ref),
      weight,
    }));
  });
}

/** Fits on composed and reference boards traced to different degrees in two orders, and writes the classifier. */
export function fitInventory(): void {
  const boards = [
    ...Array.from({ length: COMPOSED.boards }, (_, index) => {
      const seed = COMPOSED.from + index;
      const { board, truth } = composeBoard(seed);
      return viewsOf(board, truth, seed, COMPOSED.views, COMPOSED.weight);
    }),
    ...CORPUS.map(({ board, answer }, index) => viewsOf(board, answer, index + 1, REFERENCE.views, REFERENCE.weight)),
  ].flat(2);
  const { features, weights } = train(boards, SLOT_CLASSES.length);
  const rows = weights.map((row) => `    [${row.join(',')}],`).join('\n');
  writeFileSync(
    TARGET,
    `// Written by \`npm run fit\`; not edited by hand.\nimport type { SlotClassifier } from './classify';\n\n// oxfmt-ignore\nexport const INVENTORY_READING: SlotClassifier = {\n  features: ${JSON.stringify(features)},\n  weights: [\n${rows}\n  ],\n};\n`,
  );
}
