import type { BoardPart } from '../../board';
import { candidatesOf } from '../match/candidates';
import type { FoundStage } from '../match/stage';
import type { Model } from '../model';
import { inventoryOf } from './inventory';
import { slotsOf, type Slot, type SlotReading } from './slots';

/** A slot with a probability for each of its readings. */
export interface JudgedSlot {
  readonly heart: BoardPart;
  readonly readings: readonly (SlotReading & { readonly probability: number })[];
}

/** Softens scores to what their claims turn out to be worth; measured on composed boards. */
const TEMPERATURE = 1.5;
/** No claim is surer than this before a whole stage has been found. */
const CEILING = 0.97;

/**
 * Probabilities of all readings of a board traced in part. Slots are settled from the surest on: parts a settled stage
 * uses speak against every other reading that wants them.
 */
export function judgeSlots(model: Model, found: readonly FoundStage[]): readonly JudgedSlot[] {
  const ground = { model, candidates: candidatesOf(model), inventory: inventoryOf(model.board), found };
  const open: Slot[] = [...slotsOf(ground)];
  const taken = new Map<BoardPart, number>();
  const settled: JudgedSlot[] = [];
  while (open.length > 0) {
    const judged = open.map((slot) => judge(slot, taken));
    const sureness = ({ readings }: JudgedSlot) => readings[0]?.probability ?? 0;
    let best = 0;
    judged.forEach((slot, index) => {
      const leader = judged[best];
      if (leader && sureness(slot) > sureness(leader)) best = index;
    });
    const slot = judged[best];
    open.splice(best, 1);
    if (!slot) continue;
    settled.push(slot);
    const [top] = slot.readings;
    if (top && top.topology !== 'none')
      for (const part of [...top.switches, ...top.rectifiers, ...top.magnetics])
        taken.set(part, Math.max(taken.get(part) ?? 0, top.probability));
  }
  return settled;
}

/** What it costs a reading to want a part that another stage has, and a choke to be a stage of its own when it has a place. */
const TAKEN = 4;

function judge({ heart, readings }: Slot, taken: ReadonlyMap<BoardPart, number>): JudgedSlot {
  const scores = readings.map((entry) => {
    const wanted = [...entry.switches, ...entry.rectifiers, ...entry.magnetics];
    const lost = wanted.reduce((sum, part) => sum + (taken.get(part) ?? 0), 0);
    return entry.topology === 'none' ? entry.score : entry.score - TAKEN * lost;
  });
  const most = Math.max(...scores);
  const weights = scores.map((score) => Math.exp((score - most) / TEMPERATURE));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return {
    heart,
    readings: readings
      .map((entry, index) => ({ ...entry, probability: Math.min(CEILING, (weights[index] ?? 0) / total) }))
      .toSorted((a, b) => b.probability - a.probability),
  };
}
