import { TOPOLOGY_WORDS, type BoardPart } from '../../board';
import type { Analysis } from '../../topology';
import type { Circuit } from '../circuit';

/** A part of the board that can stand on a sheet of its own: the way of the mains to the bulk, or one stage. */
export interface Section {
  /** `input`, the references that make the stage, or `rest`. */
  readonly id: string;
  readonly title: string;
  readonly refs: readonly string[];
}

const INPUT_KINDS: ReadonlySet<string> = new Set(['fuse', 'bridge', 'common-mode-choke', 'varistor']);
/** Parts that no stage reaches have a section too: nothing is left out. */
const REST = { id: 'rest', title: 'Other parts' } as const;
const INPUT = { id: 'input', title: 'Input' } as const;

/** Shares the parts of a board out to its stages: each part to the one it reaches over the smallest nets. */
export function sectionsOf({ bulk }: Analysis, circuit: Circuit): readonly Section[] {
  const seeds = circuit.stages.map(({ topology, switches, rectifiers, magnetics }) => ({
    id: [...magnetics, ...switches].map(({ ref }) => ref).join(' '),
    title: `${capital(TOPOLOGY_WORDS[topology] ?? topology)} ${magnetics.map(({ ref }) => ref).join(' ')}`.trim(),
    parts: [...switches, ...rectifiers, ...magnetics],
  }));
  const staged = new Set(seeds.flatMap(({ parts }) => parts));
  const entering = circuit.parts.filter(
    (part) =>
      !staged.has(part) && (INPUT_KINDS.has(part.kind) || bulk.includes(part.ref) || circuit.symbols.isEntering(part)),
  );
  const all = entering.length > 0 ? [{ ...INPUT, parts: entering }, ...seeds] : seeds;
  const sectionOf = nearestSeeds(
    all.map(({ parts }) => parts),
    circuit,
  );
  const own = (section: number | undefined) =>
    circuit.parts.filter((part) => sectionOf.get(part) === section).map(({ ref }) => ref);
  return [
    ...all.map(({ id, title }, section) => ({ id, title, refs: own(section) })),
    { ...REST, refs: own(undefined) },
  ].filter(({ refs }) => refs.length > 0);
}

/** What a return adds to a way: it joins all, and counts only for what hangs on nothing else. */
const OVER_RETURN = 1000;

/** For each part the group it is nearest to; a net is as long as it has pins. */
function nearestSeeds(groups: readonly (readonly BoardPart[])[], circuit: Circuit): ReadonlyMap<BoardPart, number> {
  const reached = new Map<BoardPart, { readonly group: number; readonly way: number }>();
  groups.forEach((parts, group) => {
    for (const part of parts) if (!reached.has(part)) reached.set(part, { group, way: 0 });
  });
  const waiting = new Set(reached.keys());
  while (waiting.size > 0) {
    let next: BoardPart | undefined;
    for (const part of waiting) if (!next || (reached.get(part)?.way ?? 0) < (reached.get(next)?.way ?? 0)) next = part;
    const from = next && reached.get(next);
    if (!next || !from) break;
    waiting.delete(next);
    for (const pin of Object.keys(next.pins)) {
      const net = circuit.netOf(next.ref, pin);
      const on = circuit.pinsOn(net);
      const way = from.way + on.length + (circuit.returns.has(net) ? OVER_RETURN : 0);
      for (const { part } of on) {
        if ((reached.get(part)?.way ?? Infinity) <= way) continue;
        reached.set(part, { group: from.group, way });
        waiting.add(part);
      }
    }
  }
  return new Map([...reached].map(([part, { group }]) => [part, group]));
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
