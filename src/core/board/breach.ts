import type { Nets } from './nets';
import { crossingParts, islandsOf, inletPins, isInlet, type Islands } from './sides';
import type { Board, BoardPart } from './types';

export interface Barrier {
  readonly islands: Islands;
  readonly isIsolated: boolean;
  readonly crossing: readonly BoardPart[];
  /** Parts that tie both sides together although transformers, light or Y capacitors still span the gap. */
  readonly breaches: readonly BoardPart[];
  /** Nets that are mains and output at once: pins that the barrier must part stand on one of them, with what tells so. */
  readonly joined: readonly JoinedSides[];
}

/** Pins of both sides on one net. */
export interface JoinedSides {
  readonly net: number;
  /** A pin of the mains side, and one of the isolated side, as names. */
  readonly pins: readonly [string, string];
  /** The parts they belong to, and the part whose barrier it ends. */
  readonly parts: readonly BoardPart[];
}

const MAY_CROSS: ReadonlySet<string> = new Set(['transformer', 'optocoupler', 'relay']);
const mayCross = ({ kind, subtype }: BoardPart) => MAY_CROSS.has(kind) || (kind === 'capacitor' && subtype === 'y');

/**
 * The barrier between input and outputs. Where both are one island, the part is sought without which they would come
 * apart while a transformer still spans the gap: it breaches the barrier.
 */
export function barrierOf(board: Board, nets: Nets): Barrier {
  const islands = islandsOf(board, nets);
  const whole = { islands, isIsolated: islands.outputs.size > 0, crossing: crossingParts(board, nets, islands) };
  // A floating pin of a connector alone makes no isolated output: it is looked at whether power pins lie on the input's side.
  const isTied = board.parts.some(
    (part) =>
      part.role === 'output' &&
      Object.keys(part.pins).some((pin) => islands.input.has(islands.of(nets.of(`${part.ref}.${pin}`)))),
  );
  if (isTied && board.parts.some(({ kind }) => kind === 'transformer'))
    for (const part of board.parts) {
      if (mayCross(part) || part.kind === 'connector' || Object.keys(part.pins).length < 2) continue;
      const without = islandsOf(board, nets, part);
      if (without.outputs.size === 0 || !bothPowered(board, nets, without)) continue;
      const crossing = crossingParts(board, nets, without);
      if (!crossing.includes(part) || !crossing.some((other) => spans(other, part))) continue;
      return { islands: without, isIsolated: true, crossing, breaches: [part], joined: [] };
    }
  return {
    ...whole,
    breaches: whole.crossing.filter((part) => !mayCross(part)),
    joined: [...acrossLight(board, nets), ...onTheSwitchSide(board, nets)],
  };
}

const isFitted = ({ fitted }: BoardPart) => fitted !== false;

/** Optocouplers whose lamp and transistor stand on one net: nothing is left between their sides. */
function acrossLight(board: Board, nets: Nets): JoinedSides[] {
  return board.parts.flatMap((part) => {
    if (part.kind !== 'optocoupler' || !isFitted(part)) return [];
    return ['A', 'K'].flatMap((lamp) =>
      Object.keys(part.pins)
        .filter((pin) => pin !== 'A' && pin !== 'K')
        .flatMap((pin): JoinedSides[] => {
          const net = nets.of(`${part.ref}.${lamp}`);
          return net >= 0 && net === nets.of(`${part.ref}.${pin}`)
            ? [{ net, pins: [`${part.ref}.${lamp}`, `${part.ref}.${pin}`], parts: [part] }]
            : [];
        }),
    );
  });
}

/** Pins by which a switch swings, never those by which it stands on a common rail. */
const SWINGS: Readonly<Record<string, string>> = { nmos: 'D', pmos: 'D', npn: 'C', igbt: 'C' };

/**
 * Pins of an output on a net where a switch swings a transformer's primary, or where the mains comes in, on a board
 * that is fed from the mains through a transformer: whatever joins them, the output is live. A shared return alone is no
 * such net, since some boards are built without isolation.
 */
function onTheSwitchSide(board: Board, nets: Nets): JoinedSides[] {
  const isFedFromMains = board.parts.some(({ role }) => role === 'mains-inlet');
  if (!isFedFromMains) return [];
  const windings = board.parts.filter(({ kind }) => kind === 'transformer');
  return board.parts
    .filter((part) => part.kind === 'connector' && part.role === 'output' && isFitted(part))
    .flatMap((output) =>
      Object.keys(output.pins).flatMap((pin): JoinedSides[] => {
        const net = nets.of(`${output.ref}.${pin}`);
        const on = net < 0 ? [] : (nets.pins[net] ?? []);
        const winding = on.find(({ part }) => windings.includes(part));
        const swing =
          winding && on.find(({ part, pin: name }) => SWINGS[part.kind] === name && isPrimary(board, nets, part));
        const line = windings.length > 0 ? on.find(({ part, pin: name }) => isLine(part, name)) : undefined;
        const other = swing ?? line;
        return other
          ? [
              {
                net,
                pins: [`${other.part.ref}.${other.pin}`, `${output.ref}.${pin}`],
                parts: [other.part, output, ...(winding ? [winding.part] : [])],
              },
            ]
          : [];
      }),
    );
}

/** A pin by which the mains comes in. */
const isLine = (part: BoardPart, pin: string) =>
  (part.role === 'mains-inlet' && inletPins(part).includes(pin)) || (part.kind === 'bridge' && /^~|^ac/i.test(pin));

/** Whether a switch stands on the side of the inlet: its other main pin is on the island that the mains reaches. */
function isPrimary(board: Board, nets: Nets, part: BoardPart): boolean {
  const foot = part.kind === 'nmos' || part.kind === 'pmos' ? 'S' : 'E';
  const { input, of } = islandsOf(board, nets, part);
  return input.has(of(nets.of(`${part.ref}.${foot}`)));
}

const spans = (other: BoardPart, part: BoardPart) =>
  other !== part && (other.kind === 'transformer' || other.kind === 'optocoupler');

/** Whether every output connector comes apart from the input, so that a real barrier is left. */
function bothPowered(board: Board, nets: Nets, islands: Islands): boolean {
  const inputs = board.parts.filter(isInlet);
  return (
    inputs.every((part) =>
      inletPins(part).some((pin) => islands.input.has(islands.of(nets.of(`${part.ref}.${pin}`)))),
    ) &&
    board.parts
      .filter(({ role }) => role === 'output')
      .every((part) =>
        Object.keys(part.pins).every((pin) => !islands.input.has(islands.of(nets.of(`${part.ref}.${pin}`)))),
      )
  );
}
