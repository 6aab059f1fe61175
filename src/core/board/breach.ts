import type { Nets } from './nets';
import { crossingParts, islandsOf, inletPins, isInlet, type Islands } from './sides';
import type { Board, BoardPart } from './types';

export interface Barrier {
  readonly islands: Islands;
  readonly isIsolated: boolean;
  readonly crossing: readonly BoardPart[];
  /** Parts that tie both sides together although transformers, light or Y capacitors still span the gap. */
  readonly breaches: readonly BoardPart[];
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
      return { islands: without, isIsolated: true, crossing, breaches: [part] };
    }
  return { ...whole, breaches: whole.crossing.filter((part) => !mayCross(part)) };
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
