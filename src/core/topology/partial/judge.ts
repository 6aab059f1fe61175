import type { Board, BoardPart } from '../../board';
import type { FoundStage } from '../match/stage';
import { modelOf, type Model } from '../model';
import { fixedAnchors } from '../model/fixed';
import { anchorlessStages, explains, type SuggestedStage } from './anchorless';
import { classify } from './classify';
import { SLOT_CLASSES } from './classes';
import { anchorFacts } from './facts/anchorFacts';
import { boardFactsOf, type BoardFacts } from './facts/boardFacts';
import type { FactSheet } from './facts/sheet';
import { INVENTORY_READING } from './fitted';
import { binaryEntropy, divergence, entropyOf } from './entropy';
import { LEARNT_SIZES, scoresOf, type Sizes } from './score';
import { slotsOf, type Slot } from './slots';
import { besideTwins } from './twins';
import { judgeWhole } from './whole';

/** A part with a probability for each class of `SLOT_CLASSES`, in their order, and the facts it rests on. */
export interface JudgedAnchor {
  readonly anchor: BoardPart;
  readonly sheet: FactSheet;
  readonly probabilities: readonly number[];
}

/** The same with what may fill its roles. */
export interface JudgedSlot extends JudgedAnchor {
  readonly slot: Slot;
}

/** A board traced in part, as it is judged. */
export interface Judgement {
  readonly facts: BoardFacts;
  readonly slots: readonly JudgedSlot[];
  /** Stages without a magnetic anchor. */
  readonly anchorless: readonly SuggestedStage[];
  /** What is open about the board, in bits. */
  readonly open: number;
  /** What it would tell to know more joins, in bits: how far the readings would move. Stages are not searched for anew. */
  readonly toldBy: (board: Board) => number;
}

/** How much the counts of the parts list say beside the facts while nothing is traced; with all traced, nothing. Set on boards that were left out. */
const INVENTORY_COUNTS = 1;
/** However unusual on such a parts list, what no join refutes may be so. */
const LEAST_USUAL = 0.004;
/** What a person has fixed leaves nothing else, in nats. */
const FIXED_AGAINST = -1000;

/**
 * What every transformer and choke of a board traced in part is the anchor of, with probabilities: the facts known of
 * each speak for and against the classes, and all anchors of a board are judged together, since its switches, chips and
 * chokes serve once. While little is traced, a classifier of parts lists adds what is usual (`npm run fit`). What a
 * person has fixed is certain, and the others are read in its light.
 */
export function judgeBoard(model: Model, found: readonly FoundStage[], sizes: Sizes = LEARNT_SIZES): Judgement {
  const known = JUDGED.get(found);
  if (known?.model === model && known.sizes === sizes) return known.judgement;
  const judgement = judgeAnew(model, found, sizes);
  JUDGED.set(found, { model, sizes, judgement });
  return judgement;
}

/** What was judged of the stages of a recognition: its claims and the advice both ask. */
const JUDGED = new WeakMap<readonly FoundStage[], { model: Model; sizes: Sizes; judgement: Judgement }>();

function judgeAnew(model: Model, found: readonly FoundStage[], sizes: Sizes): Judgement {
  const slots = slotsOf(model, found);
  const usual = new Map(slots.map(({ anchor, features }) => [anchor.ref, classify(INVENTORY_READING, features)]));
  const read = readAnchors(model, found, usual, sizes);
  const { facts, anchorless, anchors } = read;
  return {
    facts,
    anchorless,
    open: openOf(read),
    toldBy: (board) => movedFrom(read, readAnchors(modelOf(board), found, usual, sizes)),
    slots: slots.flatMap((slot) => {
      const read = anchors.find(({ anchor }) => anchor === slot.anchor);
      return read ? [{ slot, ...read }] : [];
    }),
  };
}

/** What readings leave open, in bits. */
const openOf = ({ anchors, anchorless }: Pick<Read, 'anchors' | 'anchorless'>): number =>
  anchors.reduce((sum, { probabilities }) => sum + entropyOf(probabilities), 0) +
  anchorless.reduce((sum, { probability }) => sum + binaryEntropy(probability), 0);

/** How far readings moved, in bits: the information of those after against those before. */
function movedFrom(before: Read, after: Read): number {
  const ofAnchors = after.anchors.reduce((sum, { anchor, probabilities }) => {
    const prior = before.anchors.find((one) => one.anchor.ref === anchor.ref);
    return prior ? sum + divergence(probabilities, prior.probabilities) : sum;
  }, 0);
  const sure = (stages: readonly SuggestedStage[], topology: string) =>
    Math.max(UNTHOUGHT, ...stages.map((stage) => (stage.topology === topology ? stage.probability : 0)));
  const topologies = new Set([...before.anchorless, ...after.anchorless].map(({ topology }) => topology));
  return [...topologies].reduce((sum, topology) => {
    const [now, prior] = [sure(after.anchorless, topology), sure(before.anchorless, topology)];
    return sum + divergence([now, 1 - now], [prior, 1 - prior]);
  }, ofAnchors);
}

/** A stage without a magnetic part that is not suggested is so likely. */
const UNTHOUGHT = 0.01;

interface Read {
  readonly facts: BoardFacts;
  readonly anchorless: readonly SuggestedStage[];
  readonly anchors: readonly JudgedAnchor[];
}

/** The anchors of a board judged together. `usual` has what a parts list usually stands for, by reference of the anchor. */
function readAnchors(
  model: Model,
  found: readonly FoundStage[],
  usual: ReadonlyMap<string, readonly number[]>,
  sizes: Sizes,
): Read {
  const facts = boardFactsOf(model);
  const anchorless = anchorlessStages(facts, found);
  const isExplained = explains(anchorless);
  const fixed = fixedAnchors(model.board);
  const scored = model.board.parts
    .filter(({ ref }) => usual.has(ref))
    .map((anchor) => {
      const sheet = anchorFacts(facts, anchor, found, isExplained);
      const shares = usual.get(anchor.ref) ?? [];
      const given = fixed.get(anchor.ref);
      const isGiven = SLOT_CLASSES.some((name) => name === given);
      const weighed = scoresOf(sheet, sizes).map(
        (score, index) =>
          score + INVENTORY_COUNTS * (1 - facts.traced) * Math.log(Math.max(LEAST_USUAL, shares[index] ?? 0)),
      );
      const scores = besideTwins(sheet, weighed).map((score, index) =>
        isGiven && SLOT_CLASSES[index] !== given ? FIXED_AGAINST : score,
      );
      return { anchor, sheet, scores };
    });
  const hasOther = anchorless.some(({ probability }) => probability >= 0.5);
  const judged = judgeWhole(facts, scored, hasOther);
  return {
    facts,
    anchorless,
    anchors: scored.map(({ anchor, sheet }, index) => ({ anchor, sheet, probabilities: judged[index] ?? [] })),
  };
}
