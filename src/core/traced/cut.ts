import type { BoardPart } from '../board';
import type { Model } from '../topology';

/** What lies between the rails of one stage: the parts that its power flows through or that hang on it. */
export interface Cut {
  readonly parts: readonly BoardPart[];
}

/** Kinds that may lie between two points of a stage without being part of its control. */
const PASSIVE: ReadonlySet<string> = new Set([
  'resistor',
  'capacitor',
  'diode',
  'dual-diode',
  'bridge',
  'inductor',
  'common-mode-choke',
  'fuse',
  'thermistor',
  'switch',
]);
/** Left out: across the barrier, or nothing until something fails. */
const isIdle = ({ kind, subtype, fitted }: BoardPart) =>
  fitted === false || kind === 'varistor' || (kind === 'capacitor' && subtype === 'y') || subtype === 'led';

/** What is looked for between rails. */
export interface CutRails {
  /** Parts that make the stage. */
  readonly core: readonly BoardPart[];
  readonly rails: ReadonlySet<number>;
  /** Nets where power comes in or leaves. */
  readonly terminals: ReadonlySet<number>;
  /** Pairs of nets that are joined by something else. */
  readonly links?: readonly (readonly [number, number])[];
  /** Whether a capacitor against interference counts: where it drops the mains it does. */
  readonly withX?: boolean;
}

/**
 * The parts of a stage: those that make it, and every passive part whose ends all lie on its rails, or at points where only
 * passive parts meet; what hangs in the air after that is left out, until nothing does.
 */
export function cutOf(
  { nets, board, rails }: Model,
  { core, rails: own, terminals, links = [], withX }: CutRails,
): Cut {
  const netsOfPart = (part: BoardPart) => Object.keys(part.pins).map((pin) => nets.of(`${part.ref}.${pin}`));
  const isFree = (net: number) =>
    (nets.pins[net] ?? []).every(({ part }) => PASSIVE.has(part.kind) || part.fitted === false || isIdle(part));
  const isInside = (net: number) => own.has(rails.ofNet(net)) || isFree(net);
  let parts = board.parts.filter(
    (part) =>
      core.includes(part) ||
      (PASSIVE.has(part.kind) &&
        !isIdle(part) &&
        (withX || part.subtype !== 'x') &&
        netsOfPart(part).every((net) => net >= 0 && isInside(net))),
  );
  for (;;) {
    const ends = new Map<number, number>();
    for (const part of parts) for (const net of new Set(netsOfPart(part))) ends.set(net, (ends.get(net) ?? 0) + 1);
    for (const net of links.flat()) ends.set(net, (ends.get(net) ?? 0) + 1);
    const hangs = (part: BoardPart) =>
      !core.includes(part) &&
      (netsOfPart(part).some((net) => (ends.get(net) ?? 0) < 2 && !terminals.has(net)) ||
        new Set(netsOfPart(part)).size < 2);
    const left = parts.filter((part) => !hangs(part));
    if (left.length === parts.length) return { parts };
    parts = left;
  }
}
