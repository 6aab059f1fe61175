import type { BoardPart } from '../board';
import type { StageClaim } from './claims';
import type { Recognition } from './recognise';

/** How far the way of the power is traced, from the inlet to the outputs. */
export interface PowerPath {
  readonly pins: number;
  readonly traced: number;
  /** Pins of it that are joined to nothing yet, such as `Q1.D`. */
  readonly open: readonly string[];
}

const ON_THE_WAY: ReadonlySet<string> = new Set(['fuse', 'bridge', 'common-mode-choke', 'inductor', 'transformer']);
const COMMANDS: ReadonlySet<string> = new Set(['G', 'B']);

/** The pins that power passes on its way, and those of them that are not traced. */
export function powerPath({ model, bulk }: Recognition, stages: readonly StageClaim[]): PowerPath {
  const { board, nets } = model;
  const named = new Set(
    stages.flatMap(({ switches, rectifiers, magnetics }) => [...switches, ...rectifiers, ...magnetics]),
  );
  const isOnTheWay = (part: BoardPart) =>
    named.has(part.ref) ||
    bulk.parts.includes(part) ||
    ON_THE_WAY.has(part.kind) ||
    (part.kind === 'connector' && part.role !== undefined) ||
    (part.kind === 'capacitor' && '+' in part.pins);
  const pins = board.parts
    .filter((part) => part.fitted !== false && part.kind !== 'ic' && isOnTheWay(part))
    .flatMap((part) =>
      Object.keys(part.pins)
        .filter((pin) => !COMMANDS.has(pin))
        .map((pin) => `${part.ref}.${pin}`),
    );
  const open = pins.filter((pin) => {
    const net = nets.of(pin);
    return (nets.pins[net]?.length ?? 0) < 2 && !nets.closed(net);
  });
  return { pins: pins.length, traced: pins.length - open.length, open };
}
