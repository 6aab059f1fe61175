import { DisjointSets, type BoardPart, type NetPin, type Nets, type Relation } from '../../board';
import { BEAD_AT_MOST, EMITTER_RESISTOR_AT_MOST, isPolarised, passesOf, TRANSISTOR_TERMINALS } from './parts';

/** Nets with everything merged that power merely passes through: fuses, inrush limiters, filter chokes, shunts, beads. */
export interface Rails {
  readonly count: number;
  /** Rail of a pin; -1 when the part has no such pin. */
  at(part: BoardPart, pin: string): number;
  ofNet(net: number): number;
  /** Pins on a rail. */
  on(rail: number): readonly NetPin[];
  relation(a: number, b: number): Relation;
  closed(rail: number): boolean;
  /** Whether a part lies wholly within one rail, so that it is part of a path and no element of a stage. */
  isPass(part: BoardPart): boolean;
}

/** `through` names windings that power passes through as well: those of current transformers. */
export function railsOf(
  parts: readonly BoardPart[],
  nets: Nets,
  through: readonly { readonly part: BoardPart; readonly pins: readonly string[] }[],
): Rails {
  const sets = new DisjointSets(nets.count);
  const netAt = (part: BoardPart, pin: string) => nets.of(`${part.ref}.${pin}`);
  const merge = (part: BoardPart, [a, b]: readonly [string, string]) => {
    const [first, second] = [netAt(part, a), netAt(part, b)];
    if (first >= 0 && second >= 0) sets.union(first, second);
  };
  for (const part of parts) for (const pair of passesOf(part)) merge(part, pair);
  for (const { part, pins } of through) merge(part, [pins[0] ?? '', pins.at(-1) ?? '']);
  for (const part of parts) {
    if (part.kind === 'resistor' && isEmitterResistor(part, nets)) merge(part, ['1', '2']);
    if (part.kind === 'inductor' && isBead(part, nets)) merge(part, ['1', '2']);
    if (part.kind === 'thermistor' && isInrushLimiter(part, nets)) merge(part, ['1', '2']);
  }
  const { of, count } = sets.numbering();
  const on: NetPin[][] = Array.from({ length: count }, () => []);
  const members: number[][] = Array.from({ length: count }, () => []);
  for (let net = 0; net < nets.count; net += 1) {
    const rail = of[net] ?? 0;
    on[rail]?.push(...(nets.pins[net] ?? []));
    members[rail]?.push(net);
  }
  const at = (part: BoardPart, pin: string) => {
    const net = netAt(part, pin);
    return net < 0 ? -1 : (of[net] ?? -1);
  };
  return {
    count,
    at,
    ofNet: (net) => of[net] ?? -1,
    on: (rail) => on[rail] ?? [],
    closed: (rail) => (members[rail] ?? []).every((net) => nets.closed(net)),
    isPass(part) {
      const rails = new Set(Object.keys(part.pins).map((pin) => at(part, pin)));
      return part.kind === 'common-mode-choke' || (rails.size === 1 && Object.keys(part.pins).length > 1);
    },
    relation(a, b) {
      if (a === b) return 'joined';
      if (a < 0 || b < 0) return 'unknown';
      let known: Relation = 'separate';
      for (const first of members[a] ?? [])
        for (const second of members[b] ?? []) if (nets.relation(first, second) !== 'separate') known = 'unknown';
      return known;
    },
  };
}

/** A small resistor from a net that is nothing but the foot of a switch. */
function isEmitterResistor(part: BoardPart, nets: Nets): boolean {
  const resistance = part.value?.resistance;
  if (resistance !== undefined && resistance > EMITTER_RESISTOR_AT_MOST) return false;
  return ['1', '2'].some((pin) => {
    const net = nets.of(`${part.ref}.${pin}`);
    const others = (nets.pins[net] ?? []).filter((other) => other.part !== part);
    const isFoot = ({ part: { kind }, pin: name }: NetPin) => {
      const terminals = TRANSISTOR_TERMINALS[kind];
      return terminals !== undefined && (kind === 'pmos' || kind === 'pnp' ? false : terminals.lo === name);
    };
    return (
      others.some(isFoot) &&
      others.every(
        (other) =>
          isFoot(other) ||
          other.part.kind === 'resistor' ||
          other.part.kind === 'ic' ||
          other.part.kind === 'diode' ||
          (other.part.kind === 'capacitor' && !isPolarised(other.part)) ||
          other.pin === 'G' ||
          other.pin === 'B',
      ) &&
      (resistance !== undefined || nets.complete)
    );
  });
}

/** What a thermistor against the inrush stands between; one that senses has a signal at one of its ends. */
const CARRIES_INRUSH: ReadonlySet<string> = new Set([
  'bridge',
  'common-mode-choke',
  'connector',
  'diode',
  'dual-diode',
  'fuse',
  'inductor',
  'switch',
]);

/** One of unknown resistance that power passes through on its way to the store. */
function isInrushLimiter(part: BoardPart, nets: Nets): boolean {
  if (part.subtype === 'ptc' || part.value?.resistance !== undefined) return false;
  return ['1', '2'].every((pin) => {
    const others = (nets.pins[nets.of(`${part.ref}.${pin}`)] ?? []).filter((other) => other.part !== part);
    return others.some(({ part: other }) => CARRIES_INRUSH.has(other.kind) || isPolarised(other));
  });
}

/** A tiny inductor with a single pin behind it. */
function isBead(part: BoardPart, nets: Nets): boolean {
  if ((part.value?.inductance ?? Infinity) > BEAD_AT_MOST) return false;
  return ['1', '2'].some((pin) => (nets.pins[nets.of(`${part.ref}.${pin}`)] ?? []).length === 2);
}

/** Rails at the two ends of a bridge that take alternating voltage. */
export const bridgeEnds = (bridge: BoardPart, rails: Pick<Rails, 'at'>): readonly [number, number] => [
  rails.at(bridge, 'AC1'),
  rails.at(bridge, 'AC2'),
];

/** Whether a part with these rails lies across the ends of a bridge: it only filters what comes to it. */
export const isAcrossBridge = (bridge: BoardPart, ends: readonly number[], rails: Pick<Rails, 'at'>): boolean =>
  bridge.kind === 'bridge' && bridgeEnds(bridge, rails).every((rail) => ends.includes(rail));
