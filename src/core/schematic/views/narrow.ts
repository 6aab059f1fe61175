import { counted } from '../../quantity';
import type { BoardPart } from '../../board';
import { chipSidesOf, type Circuit } from '../circuit';
import { netNames } from '../labels';
import type { Block } from './blocks';

/** A circuit with some of its parts folded into boxes. */
export const folded = (circuit: Circuit, blocks: readonly Block[]): Circuit =>
  narrowed(circuit, new Set(circuit.parts.map(({ ref }) => ref)), blocks);

/** One part of a board by itself: nets that go on elsewhere keep the names they have on the whole board. */
export function section(circuit: Circuit, refs: readonly string[]): Circuit {
  const nets = circuit.parts.flatMap((part) => Object.keys(part.pins).map((pin) => circuit.netOf(part.ref, pin)));
  return { ...narrowed(circuit, new Set(refs)), names: netNames(nets, circuit) };
}

/** A circuit of which a part is shown: parts that are not are left out, or stand as one box with the nets that reach out of it. */
function narrowed(circuit: Circuit, shown: ReadonlySet<string>, blocks: readonly Block[] = []): Circuit {
  const boxes = new Map(blocks.map((block) => [block.title, boxOf(block, circuit)]));
  const boxOfRef = new Map(blocks.flatMap(({ title, refs }) => refs.map((ref) => [ref, title] as const)));
  const parts = [
    ...circuit.parts.filter(({ ref }) => shown.has(ref) && !boxOfRef.has(ref)),
    ...[...boxes.values()].map(({ part }) => part),
  ];
  const byRef = new Map(parts.map((part) => [part.ref, part]));
  /** Asked for again and again while parts are set. */
  const pins = new Map<number, ReturnType<Circuit['pinsOn']>>();
  const insideOf = (part: BoardPart) => boxes.get(part.ref);
  const reading = {
    ...circuit,
    parts,
    part: (ref: string) => byRef.get(ref),
    netOf: (ref: string, pin: string) => boxes.get(ref)?.nets.get(pin) ?? circuit.netOf(ref, pin),
    pinsOn: (net: number) => {
      const known = pins.get(net);
      if (known) return known;
      const found = [
        ...circuit.pinsOn(net).filter(({ part }) => byRef.has(part.ref)),
        ...[...boxes.values()].flatMap(({ part, nets }) =>
          [...nets].filter(([, own]) => own === net).map(([pin]) => ({ part, pin })),
        ),
      ];
      pins.set(net, found);
      return found;
    },
    isPower: (part: BoardPart) => insideOf(part) === undefined && circuit.isPower(part),
    placeOf: (part: BoardPart) => circuit.placeOf(insideOf(part)?.first ?? part),
    sideOfPin: (ref: string, pin: string) => {
      const inner = boxes.get(ref)?.inner.get(pin);
      return inner ? circuit.sideOfPin(inner.part.ref, inner.pin) : circuit.sideOfPin(ref, pin);
    },
    reachesOut: (net: number) =>
      circuit.pinsOn(net).some(({ part }) => !byRef.has(part.ref) && !boxOfRef.has(part.ref)) ||
      circuit.reachesOut(net),
  };
  return {
    ...reading,
    symbols: {
      ...circuit.symbols,
      isBlock: (part) => insideOf(part) !== undefined,
      sidesOf: (part) => (insideOf(part) ? chipSidesOf(part, reading, () => 'signal') : circuit.symbols.sidesOf(part)),
      pinNameOf: (part, pin) => (insideOf(part) ? pin : circuit.symbols.pinNameOf(part, pin)),
    },
  };
}

interface Boxed {
  readonly part: BoardPart;
  readonly first: BoardPart;
  readonly nets: ReadonlyMap<string, number>;
  /** A pin within for each pin of the box. */
  readonly inner: ReadonlyMap<string, { readonly part: BoardPart; readonly pin: string }>;
}

/** The box of a block, with a pin for each net that reaches out of it, named after what is there. */
function boxOf({ title, refs }: Block, circuit: Circuit): Boxed {
  const within = new Set(refs);
  const parts = circuit.parts.filter(({ ref }) => within.has(ref));
  const nets = new Map<string, number>();
  const inner = new Map<string, { readonly part: BoardPart; readonly pin: string }>();
  const seen = new Set<number>();
  for (const part of parts)
    for (const pin of Object.keys(part.pins)) {
      const net = circuit.netOf(part.ref, pin);
      if (seen.has(net)) continue;
      seen.add(net);
      const outside = circuit.pinsOn(net).filter((other) => !within.has(other.part.ref));
      const [first] = outside.toSorted((a, b) => Number(circuit.isPower(b.part)) - Number(circuit.isPower(a.part)));
      if (!first) continue;
      const name = circuit.returns.has(net) ? '0V' : (circuit.supplies.get(net) ?? `${first.part.ref}.${first.pin}`);
      const own = nets.has(name) ? `${name} ${nets.size}` : name;
      nets.set(own, net);
      inner.set(own, { part, pin });
    }
  // What is not traced is told at the box, as it would have a dashed lead outside of it.
  const open = [...seen].filter((net) => circuit.pinsOn(net).length === 1 && !circuit.isClosed(net)).length;
  const [first] = parts;
  if (!first) throw new Error(`The block ${title} has no parts on this board.`);
  return {
    part: {
      ref: title,
      kind: 'ic',
      marking: `${counted(refs.length, 'part')}${open === 0 ? '' : `, ${open} open`}`,
      pins: Object.fromEntries([...nets.keys()].map((pin) => [pin, null])),
    },
    first,
    nets,
    inner,
  };
}
