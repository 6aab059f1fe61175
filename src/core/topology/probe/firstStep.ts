import { netsOf, splitPin, type Board, type BoardKind, type BoardPart } from '../../board';
import { joinQuestion } from './words';

/** What to do on a board of which so little is known that no probe tells more than another. */
export type FirstStep =
  | { readonly kind: 'probe'; readonly a: string; readonly b: string; readonly question: string; readonly why: string }
  | { readonly kind: 'log'; readonly what: string; readonly why: string };

interface End {
  readonly is: (part: BoardPart) => boolean;
  /** Pins in the order in which they are tried; any pin that is named when none of these is. */
  readonly pins: readonly string[];
}

const ofKind =
  (...kinds: readonly BoardKind[]) =>
  ({ kind }: BoardPart) =>
    kinds.includes(kind);
/** A can for rectified mains is rated for it; one of which no voltage is known may be. */
const MAINS_CAN = 160;
const isBulk = ({ kind, subtype, value }: BoardPart) =>
  kind === 'capacitor' &&
  (subtype === undefined || subtype === 'electrolytic') &&
  (value?.voltage ?? MAINS_CAN) >= MAINS_CAN;
const isOutputCan = (part: BoardPart) =>
  part.kind === 'capacitor' && !isBulk(part) && !['x', 'y'].includes(part.subtype ?? '');

const INLET: End = { is: (part) => part.kind === 'connector' && part.role !== 'output', pins: ['L', '+', '1'] };
const FUSE: End = { is: ofKind('fuse'), pins: ['1'] };
const FUSE_OUT: End = { is: ofKind('fuse'), pins: ['2'] };
const BRIDGE_IN: End = { is: ofKind('bridge'), pins: ['AC1'] };
const BRIDGE: End = { is: ofKind('bridge'), pins: ['+'] };
const BRIDGE_MINUS: End = { is: ofKind('bridge'), pins: ['-'] };
const BULK: End = { is: isBulk, pins: ['+', '1'] };
const BULK_MINUS: End = { is: isBulk, pins: ['-', '2'] };
const WOUND: End = { is: ofKind('transformer', 'inductor'), pins: ['1'] };
const OTHER_END: End = { is: ofKind('transformer', 'inductor'), pins: ['2', '3'] };
const SWITCH: End = { is: ofKind('nmos', 'npn', 'igbt'), pins: ['D', 'C'] };
const SWITCH_FOOT: End = { is: ofKind('nmos', 'npn', 'igbt'), pins: ['S', 'E'] };
const RECTIFIER: End = { is: ofKind('diode', 'dual-diode'), pins: ['A', 'A1'] };
const RECTIFIED: End = { is: ofKind('diode', 'dual-diode'), pins: ['K'] };
const OUTPUT: End = { is: isOutputCan, pins: ['+', '1'] };

/** Pairs along the way of the power, in the order in which a careful hand tries them. Common practice, no source. */
const PAIRS: readonly { readonly from: End; readonly to: End; readonly why: string }[] = [
  { from: INLET, to: FUSE, why: 'the fuse stands first behind the inlet' },
  { from: FUSE_OUT, to: BRIDGE_IN, why: 'mains reaches the bridge by the fuse' },
  { from: BRIDGE, to: BULK, why: 'the big can sits across the bridge: it shows which rail is which' },
  { from: BRIDGE_MINUS, to: BULK_MINUS, why: 'this is the ground of the mains side' },
  { from: BULK, to: WOUND, why: 'the primary begins at the big can in most supplies' },
  { from: SWITCH, to: OTHER_END, why: 'where the switch meets the winding tells the topology' },
  { from: SWITCH, to: WOUND, why: 'where the switch meets the winding tells the topology' },
  { from: SWITCH_FOOT, to: BULK_MINUS, why: 'the switch returns to the mains ground, often by a resistor' },
  { from: WOUND, to: RECTIFIER, why: 'what rectifies it tells the topology' },
  { from: RECTIFIED, to: OUTPUT, why: 'behind the rectifier come the choke or the output can' },
];

/** What a supply cannot do without, as it is met from the inlet on. Common practice, no source. */
const WANTED: readonly {
  readonly end: End;
  readonly name: string;
  readonly what: string;
  readonly why: string;
}[] = [
  { end: INLET, name: 'inlet', what: 'the inlet, like “j1 mains inlet”', why: 'the way of the power begins there' },
  {
    end: BRIDGE,
    name: 'bridge',
    what: 'the bridge, like “br1 bridge”, or its four diodes',
    why: 'behind it mains is direct voltage',
  },
  {
    end: BULK,
    name: 'big can',
    what: 'the big can, like “c1 120u 400V”',
    why: 'both ends of it are the rails of the mains side',
  },
  {
    end: WOUND,
    name: 'transformer or choke',
    what: 'the transformer or the choke, like “t1 transformer”',
    why: 'every converter is named by how it is wired',
  },
  {
    end: SWITCH,
    name: 'switch',
    what: 'the switch on the heat sink, like “q1 nmos to-220”, or the chip that holds it',
    why: 'it drives the winding',
  },
  {
    end: RECTIFIER,
    name: 'output rectifier',
    what: 'the output rectifier, like “d5 schottky”',
    why: 'it tells when energy reaches the output',
  },
];

/**
 * The first pair along the way of the power that nobody has tried yet, or the part that should be logged next.
 * @returns undefined when all of it was tried
 */
export function firstStep(board: Board): FirstStep | undefined {
  const nets = netsOf(board);
  const tried = [...(board.through ?? []).map(({ a, b }) => [a, b] as const), ...(board.unsure ?? [])];
  const read = new Set(tried.flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]));
  const isOpen = (a: string, b: string) => {
    const [one, other] = [nets.of(a), nets.of(b)];
    // A winding whose pins nobody named yet has no net; it may still be tried.
    return (one < 0 || other < 0 || nets.relation(one, other) === 'unknown') && !read.has(`${a} ${b}`);
  };
  for (const { from, to, why } of PAIRS)
    for (const first of board.parts.filter(from.is))
      for (const second of board.parts.filter((part) => to.is(part) && part !== first)) {
        const [a, b] = [pinOf(first, from), pinOf(second, to)];
        // One beep is enough to know where a part begins.
        if (!a || !b || !isOpen(a, b) || isPlaced(board, a) || isPlaced(board, b)) continue;
        const question = joinQuestion({ part: first, pin: splitPin(a)[1] }, { part: second, pin: splitPin(b)[1] });
        return { kind: 'probe', a, b, question, why };
      }
  const [name] = unlogged(board);
  const missing = WANTED.find((wanted) => wanted.name === name);
  return missing && { kind: 'log', what: missing.what, why: missing.why };
}

/** Names of what a mains supply cannot do without and nobody has logged yet; a board without a mains inlet is fed otherwise. */
export function unlogged({ parts }: Board): readonly string[] {
  const isFedOtherwise = parts.some(({ role }) => role === 'dc-input');
  const chip = parts.some(({ kind }) => kind === 'ic');
  return WANTED.filter(
    ({ end, name }) =>
      !parts.some(end.is) &&
      // The switch may sit in the chip; without rectified mains neither bridge nor can is wanted.
      !(name === 'switch' && chip) &&
      !(isFedOtherwise && (name === 'bridge' || name === 'big can')) &&
      !(name === 'bridge' && parts.filter(({ kind }) => kind === 'diode').length >= FOUR),
  ).map(({ name }) => name);
}
/** Four diodes make a bridge. */
const FOUR = 4;

function pinOf(part: BoardPart, { pins }: End): string | undefined {
  const names = Object.keys(part.pins);
  const name = pins.find((pin) => names.includes(pin)) ?? (names.length === 0 ? pins[0] : undefined);
  return name === undefined ? undefined : `${part.ref}.${name}`;
}

const isPlaced = (board: Board, pin: string) => (board.joined ?? []).some((pair) => pair.includes(pin));
