import type { BoardPart } from '../../board';
import { chipByMarking } from '../../chips';
import { TRANSISTOR_TERMINALS } from '../../topology';
import type { Circuit } from '../circuit';

/** Parts of the control that can be drawn as one box. */
export interface Block {
  /** What stands on the box, and names it: no other block of the drawing has it. */
  readonly title: string;
  readonly refs: readonly string[];
}

/** Kinds that stand outside of every box, also while nobody knows on which side they are. */
const OUTSIDE: ReadonlySet<string> = new Set(['connector', 'optocoupler', 'transformer']);
/** Fewer parts are drawn as they are. */
const LEAST_PARTS = 4;
/** A net of more pins joins too much to tell what belongs together. */
const MOST_PINS = 14;

/** What a chip is there for, by its role or by what it was logged as. */
const WORDS: Readonly<Record<string, string>> = {
  'shunt-reference': 'feedback',
  'gate-driver': 'gate drive',
  'sync-rectifier': 'rectifier control',
  pfc: 'PFC control',
  supervisor: 'supervision',
  timer: 'timer',
  linear: 'regulator',
  microcontroller: 'processor',
  'op-amp': 'measuring',
  opamp: 'measuring',
  comparator: 'measuring',
};

/**
 * Parts off the power path by the chip they work for: each goes to the chip that it reaches over the fewest parts, on its own
 * side of the barrier. Parts without a chip are left out, and so is what lies across the barrier.
 * @param path references of the parts that carry power
 */
export function blocksOf(circuit: Circuit, path: ReadonlySet<string>): readonly Block[] {
  const free = circuit.parts.filter(
    (part) => !path.has(part.ref) && circuit.placeOf(part) !== 'across' && !OUTSIDE.has(part.kind),
  );
  const isFree = new Set(free);
  const isPath = ({ part, pin }: { part: BoardPart; pin: string }) =>
    path.has(part.ref) && TRANSISTOR_TERMINALS[part.kind]?.gate !== pin;
  const joins = (net: number) =>
    !circuit.returns.has(net) &&
    !circuit.supplies.has(net) &&
    circuit.pinsOn(net).length <= MOST_PINS &&
    !circuit.pinsOn(net).some(isPath);
  const hubs = free.filter(({ kind }) => kind === 'ic' || kind === 'shunt-reference');
  const owner = new Map<BoardPart, BoardPart>(hubs.map((hub) => [hub, hub]));
  const queue = [...hubs];
  for (let part = queue.shift(); part; part = queue.shift())
    for (const pin of Object.keys(part.pins)) {
      const net = circuit.netOf(part.ref, pin);
      if (!joins(net)) continue;
      for (const next of circuit.pinsOn(net)) {
        if (owner.has(next.part) || !isFree.has(next.part)) continue;
        owner.set(next.part, owner.get(part) ?? part);
        queue.push(next.part);
      }
    }
  // What stands between a supply and a return belongs to the chip that is fed there.
  for (const part of free) {
    if (owner.has(part)) continue;
    const nets = Object.keys(part.pins).map((pin) => circuit.netOf(part.ref, pin));
    const fed = nets.find((net) => circuit.supplies.has(net) && !circuit.returns.has(net));
    if (fed === undefined || !nets.every((net) => net === fed || circuit.returns.has(net))) continue;
    const hub = hubs.find((one) => circuit.pinsOn(fed).some((pin) => pin.part === one));
    if (hub) owner.set(part, hub);
  }
  return hubs.flatMap((hub): readonly Block[] => {
    const refs = free.filter((part) => owner.get(part) === hub).map(({ ref }) => ref);
    return refs.length < LEAST_PARTS ? [] : [{ title: `${wordOf(hub)} ${hub.ref}`, refs }];
  });
}

function wordOf({ kind, subtype, marking }: BoardPart): string {
  const role = chipByMarking(marking)?.role;
  return WORDS[kind] ?? WORDS[role ?? ''] ?? WORDS[subtype ?? ''] ?? 'control';
}
