import { TOPOLOGY_WORDS, type BoardPart } from '../../board';
import type { Analysis } from '../../topology';
import type { Circuit } from '../circuit';

/** A part of the board that can stand on a sheet of its own: the way of the mains to the bulk, or one stage. */
export interface Section {
  /** `input`, or the references that make the stage. */
  readonly id: string;
  readonly title: string;
  readonly refs: readonly string[];
}

const INPUT_KINDS: ReadonlySet<string> = new Set(['fuse', 'bridge', 'common-mode-choke', 'varistor']);
const INPUT = { id: 'input', title: 'Input' } as const;

/** Shares the parts of a board out to its stages: each part to the one it reaches over the smallest nets. */
export function sectionsOf({ recognition: { stages }, bulk }: Analysis, circuit: Circuit): readonly Section[] {
  const seeds = stages.map(({ topology, switches, rectifiers, magnetics }) => ({
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
  const nearest = new Map<BoardPart, { readonly section: number; readonly way: number }>();
  const queue = all.flatMap(({ parts }, section) => parts.map((part) => ({ part, section, way: 0 })));
  while (queue.length > 0) {
    queue.sort((a, b) => b.way - a.way);
    const next = queue.pop();
    if (!next) break;
    const { part, section, way } = next;
    const known = nearest.get(part);
    if (known && known.way <= way) continue;
    nearest.set(part, { section, way });
    for (const pin of Object.keys(part.pins)) {
      const net = circuit.netOf(part.ref, pin);
      const on = circuit.pinsOn(net);
      if (circuit.returns.has(net)) continue;
      for (const other of on)
        if (!nearest.has(other.part)) queue.push({ part: other.part, section, way: way + on.length });
    }
  }
  return all
    .map(({ id, title }, section) => ({
      id,
      title,
      refs: circuit.parts.filter((part) => nearest.get(part)?.section === section).map(({ ref }) => ref),
    }))
    .filter(({ refs }) => refs.length > 1);
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
