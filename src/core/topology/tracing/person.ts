import type { Board, BoardPart, PinPair } from '../../board';
import { tracedSoFar } from './order';
import type { Random } from './random';

/** A board as a person has it after some work: only the parts logged so far, and the joins found. */
export interface LoggedSoFar {
  readonly board: Board;
  readonly logged: ReadonlySet<string>;
}

const POWER: ReadonlySet<BoardPart['kind']> = new Set([
  'connector',
  'fuse',
  'common-mode-choke',
  'thermistor',
  'bridge',
  'nmos',
  'transformer',
  'inductor',
  'dual-diode',
  'npn',
  'igbt',
]);
/** Small parts and commands are passed over at first. */
const LATER = 0.15;

/** How early a person looks at a pin: power parts first, gates and bases later. */
function interestOf({ kind, subtype, pins }: BoardPart, pin: string): number {
  const isPower = POWER.has(kind) || (kind === 'diode' && subtype !== 'zener') || (kind === 'capacitor' && '+' in pins);
  return isPower && pin !== 'G' && pin !== 'B' ? 1 : LATER;
}

/** Parts that are logged before any probe: what catches the eye. */
function catchesTheEye({ kind, pins, value }: BoardPart, random: Random): boolean {
  if (kind === 'connector' || kind === 'transformer' || kind === 'bridge') return true;
  if (kind === 'capacitor') return '+' in pins && (value?.voltage ?? 0) >= 160;
  if (kind === 'nmos' || kind === 'dual-diode') return random.chance(0.7);
  return (kind === 'ic' && random.chance(0.5)) || (kind === 'inductor' && random.chance(0.6));
}

interface OpenNet {
  readonly left: string[];
  readonly known: string[];
}

/**
 * A whole board traced as a person does: large parts first, then net by net, a few pins at a time, from where most is
 * known; parts are logged when a pin of theirs is met. One state for each share of the joins asked for.
 */
export function tracedByPerson(board: Board, shares: readonly number[], random: Random): readonly LoggedSoFar[] {
  const parts = new Map(board.parts.map((part) => [part.ref, part]));
  const refOf = (pin: string) => pin.slice(0, pin.lastIndexOf('.'));
  const interest = (pin: string) => {
    const part = parts.get(refOf(pin));
    return part ? interestOf(part, pin.slice(pin.lastIndexOf('.') + 1)) : 0;
  };
  const nets = openNets(board, random);
  const total = nets.reduce((sum, { left }) => sum + left.length - 1, 0);
  const logged = new Set(board.parts.filter((part) => catchesTheEye(part, random)).map(({ ref }) => ref));
  const rest = random.shuffled(board.parts.map(({ ref }) => ref));
  const joined: PinPair[] = [];
  const steps: { readonly joined: number; readonly logged: ReadonlySet<string> }[] = [];
  while (joined.length < total) {
    const net = nextNet(nets, logged, interest, random);
    if (!net) break;
    takePins(net, joined, logged, interest, random, refOf);
    const besides = Math.floor((joined.length / total) * 0.9 * rest.length);
    for (const ref of rest.slice(0, besides)) if (random.chance(0.1)) logged.add(ref);
    steps.push({ joined: joined.length, logged: new Set(logged) });
  }
  return shares.map((share) => {
    const step = steps.find((one) => one.joined >= share * total) ?? steps.at(-1) ?? { joined: 0, logged };
    const known = { ...board, parts: board.parts.filter(({ ref }) => step.logged.has(ref)) };
    return { board: tracedSoFar(known, joined.slice(0, step.joined)), logged: step.logged };
  });
}

function openNets(board: Board, random: Random): readonly OpenNet[] {
  const nets = new Map<string, string[]>();
  for (const { ref, pins } of random.shuffled(board.parts))
    for (const [pin, net] of Object.entries(pins))
      if (net !== null) nets.set(net, [...(nets.get(net) ?? []), `${ref}.${pin}`]);
  return [...nets.values()].filter((pins) => pins.length > 1).map((left) => ({ left, known: [] }));
}

function nextNet(
  nets: readonly OpenNet[],
  logged: ReadonlySet<string>,
  interest: (pin: string) => number,
  random: Random,
): OpenNet | undefined {
  let best: { readonly net: OpenNet; readonly worth: number } | undefined;
  for (const net of nets) {
    if (net.left.length === 0) continue;
    const pins = [...net.left, ...net.known];
    const met = pins.filter((pin) => logged.has(pin.slice(0, pin.lastIndexOf('.'))));
    const worth =
      (met.reduce((sum, pin) => sum + interest(pin), 0) / Math.sqrt(pins.length)) * (0.3 + random.next()) +
      (net.known.length > 0 ? 0.3 : 0);
    if (!best || worth > best.worth) best = { net, worth };
  }
  return best?.net;
}

/** Beeps one to three more pins of a net to what is known of it. */
function takePins(
  { left, known }: OpenNet,
  joined: PinPair[],
  logged: Set<string>,
  interest: (pin: string) => number,
  random: Random,
  refOf: (pin: string) => string,
): void {
  const worth = new Map(left.map((pin) => [pin, interest(pin) + 0.5 * random.next()]));
  left.sort((a, b) => (worth.get(b) ?? 0) - (worth.get(a) ?? 0));
  let wanted = 1 + Math.floor(random.next() * 3);
  while (left.length > 0 && (wanted > 0 || known.length < 2)) {
    const pin = left.shift();
    if (pin === undefined) return;
    const from = known[Math.floor(random.next() * known.length)];
    if (from !== undefined) {
      joined.push([from, pin]);
      wanted -= 1;
    }
    known.push(pin);
    logged.add(refOf(pin));
  }
}
