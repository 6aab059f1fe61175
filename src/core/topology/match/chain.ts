import type { BoardPart } from '../../board';
import { fixedAnchors } from '../model/fixed';
import type { Model } from '../model';
import { fedRails } from '../model/feed';
import { cellMatches, cellStages } from './cells';
import { candidatesOf } from './candidates';
import { isolatedStages } from './isolated';
import { lineStages } from './line';
import { partsOf, scoreOf, uniqueParts, type FoundStage } from './stage';

export interface Chain {
  /** From the input on, in the order in which power reaches them. */
  readonly stages: readonly FoundStage[];
  /** Readings that lost: to a better one, or for want of a source. */
  readonly rejected: readonly FoundStage[];
  /** Whether the search was cut off. */
  readonly isCut: boolean;
}

/** Bindings tried at most over all forms of one board. */
const SEARCH_BUDGET = 400_000;

/**
 * All stages of a board, chained from the input to the outputs: again and again the reading that explains most parts
 * among those whose sources are fed without its own parts. Every part serves one stage.
 */
export function chainStages(model: Model): Chain {
  const budget = { left: SEARCH_BUDGET };
  const candidates = candidatesOf(model);
  const line = lineStages(model, candidates, budget);
  const isolated = isolatedStages(model, candidates, budget);
  const cells = cellMatches(model, candidates, budget);
  const stages: FoundStage[] = [];
  const seeds = new Set<number>([...model.held.rectified, ...model.held.input]);
  for (const rail of model.held.mains) if (model.held.isHeld(rail)) seeds.add(rail);
  const world = { ...model, parts: model.board.parts };
  const rejected: FoundStage[] = [];
  const fixed = fixedAnchors(model.board);
  const agrees = ({ topology, magnetics }: FoundStage) =>
    magnetics.every(({ ref }) => (fixed.get(ref) ?? topology) === topology);
  for (;;) {
    const claimed = new Set(stages.flatMap(partsOf));
    const fedWithout = (parts: ReadonlySet<BoardPart>) => fedRails(seeds, world, parts);
    const open = [...line, ...isolated, ...cellStages(cells, model, candidates, fedWithout)].filter(
      (stage) => agrees(stage) && !partsOf(stage).some((part) => claimed.has(part)),
    );
    const feasible = open.filter((stage) => {
      const fed = fedWithout(new Set([...partsOf(stage), ...(stage.beside ?? [])]));
      if (!stage.sources.every((rail) => fed.has(rail))) return false;
      return ALWAYS_NEW.has(stage.form) || stage.outputs.some((rail) => !fed.has(rail));
    });
    const best = feasible.reduce<FoundStage | undefined>(
      (leader, stage) => (leader && leader.score >= stage.score ? leader : stage),
      undefined,
    );
    if (!best) {
      rejected.push(...open);
      break;
    }
    const rivals = feasible.filter(
      (stage) =>
        stage !== best && partsOf(stage).some((part) => best.switches.includes(part) || best.magnetics.includes(part)),
    );
    rejected.push(...rivals.filter(({ topology }) => topology !== best.topology));
    const phases = HAS_PHASES.has(best.form) ? otherPhases(best, feasible) : [];
    stages.push(phases.reduce(withPhase, best));
    for (const rail of best.outputs) seeds.add(rail);
  }
  return { stages: inOrder(stages), rejected, isCut: budget.left <= 0 };
}

/** Forms whose output needs no proof: what they make is no rail, or comes straight from the mains. */
const ALWAYS_NEW: ReadonlySet<string> = new Set(['ballast', 'line', 'line-cell', 'dropper', 'phase', 'dump']);
/** Forms of which several may work side by side as one stage. */
const HAS_PHASES: ReadonlySet<string> = new Set(['cell', 'line-cell']);

const hasSame = (one: readonly number[], other: readonly number[]) =>
  one.length === other.length && one.every((rail) => other.includes(rail));

/** Interleaved phases: readings of the same kind between the same rails that share no part with each other. */
function otherPhases(first: FoundStage, readings: readonly FoundStage[]): readonly FoundStage[] {
  const taken = new Set(partsOf(first));
  return readings.filter((stage) => {
    const isPhase =
      stage.topology === first.topology &&
      stage.form === first.form &&
      hasSame(stage.outputs, first.outputs) &&
      hasSame(stage.sources, first.sources) &&
      !partsOf(stage).some((part) => taken.has(part));
    if (isPhase) for (const part of partsOf(stage)) taken.add(part);
    return isPhase;
  });
}

function withPhase(stage: FoundStage, phase: FoundStage): FoundStage {
  const whole = {
    switches: uniqueParts([...stage.switches, ...phase.switches]),
    rectifiers: uniqueParts([...stage.rectifiers, ...phase.rectifiers]),
    magnetics: uniqueParts([...stage.magnetics, ...phase.magnetics]),
  };
  return { ...stage, ...whole, score: scoreOf(whole) };
}

/** Power runs from a stage to those that one of its outputs feeds; a stage that feeds another stands before it. */
function inOrder(stages: readonly FoundStage[]): readonly FoundStage[] {
  const left = [...stages];
  const ordered: FoundStage[] = [];
  while (left.length > 0) {
    const next = left.findIndex(
      (stage) =>
        !left.some(
          (other) =>
            other !== stage &&
            other.outputs.some((rail) => stage.sources.includes(rail) && !other.sources.includes(rail)),
        ),
    );
    ordered.push(...left.splice(Math.max(next, 0), 1));
  }
  return ordered;
}
