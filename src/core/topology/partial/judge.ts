import type { BoardPart } from '../../board';
import type { FoundStage } from '../match/stage';
import type { Model } from '../model';
import { fixedAnchors } from '../model/fixed';
import { classify, withOthers } from './classify';
import { SLOT_CLASSES } from './features';
import { FIRST_READING, SECOND_READING } from './fitted';
import { slotsOf, type Slot } from './slots';

/** A slot with a probability for each class, in the order of `SLOT_CLASSES`. */
export interface JudgedSlot {
  readonly slot: Slot;
  readonly anchor: BoardPart;
  readonly probabilities: readonly number[];
}

/**
 * What every transformer and choke of a board traced in part is the anchor of, with probabilities. Each slot is read
 * twice: alone, and again with what the others were taken for, since a board has few stages. The weights were fitted
 * to boards composed by seed and the reference boards, each traced to different degrees (`npm run fit`). What a person
 * has fixed is certain, and the others are read in its light.
 */
export function judgeSlots(model: Model, found: readonly FoundStage[]): readonly JudgedSlot[] {
  const slots = slotsOf(model, found);
  const fixed = fixedAnchors(model.board);
  const sure = ({ anchor }: Slot) => {
    const at = SLOT_CLASSES.findIndex((name) => name === fixed.get(anchor.ref));
    return at < 0 ? undefined : SLOT_CLASSES.map((_, index) => Number(index === at));
  };
  const first = slots.map((slot) => sure(slot) ?? classify(FIRST_READING, slot.features));
  return slots.map((slot, index) => ({
    slot,
    anchor: slot.anchor,
    probabilities:
      sure(slot) ?? withFound(classify(SECOND_READING, withOthers(slot.features, index, first)), slot, found),
  }));
}

/** From this share of joined pins on, what was found whole counts, and from the other on it settles the matter. */
const FOUND_COUNTS = { from: 0.3, to: 0.85, most: 0.97 } as const;

/** Leans on the stages that were found whole, the more the farther the board is traced. */
function withFound(
  probabilities: readonly number[],
  { anchor, features }: Slot,
  found: readonly FoundStage[],
): readonly number[] {
  const { from, to, most } = FOUND_COUNTS;
  const trust = most * Math.min(1, Math.max(0, ((features.traced ?? 0) - from) / (to - from)));
  const stage = found.find(
    ({ topology, magnetics }) =>
      magnetics[0] === anchor || (COUPLED_MAGNETICS.has(topology) && magnetics.includes(anchor)),
  );
  const isPartner = !stage && found.some(({ magnetics }) => magnetics.includes(anchor));
  if (!stage && !isPartner) return probabilities;
  const at = SLOT_CLASSES.indexOf((stage?.topology ?? 'none') as (typeof SLOT_CLASSES)[number]);
  return probabilities.map((probability, index) => (1 - trust) * probability + (index === at ? trust : 0));
}

/** Topologies with more than one magnetic anchor. */
export const COUPLED_MAGNETICS: ReadonlySet<string> = new Set(['sepic', 'cuk', 'buck', 'boost', 'boost-pfc']);
