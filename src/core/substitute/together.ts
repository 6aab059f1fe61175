import { practice } from '../evidence';
import { netsOf, type Board } from '../board';

/** What is replaced or looked at with a part of a kind, as it dies with it or killed it. */
export interface Companion {
  /** References on the board, where it was traced. */
  readonly refs: readonly string[];
  readonly what: string;
  readonly why: string;
}

interface CompanionRule {
  readonly kinds: readonly string[];
  /** The duty it stands in, where only some are meant. */
  readonly duty?: RegExp;
  readonly what: string;
  readonly why: string;
  /** Pins of the part whose neighbours are meant, and kinds of them. */
  readonly at?: { readonly pins: readonly string[]; readonly kinds: readonly string[] };
}

const SWITCHES = ['nmos', 'igbt', 'npn'];
const COMPANIONS: readonly CompanionRule[] = practice([
  {
    kinds: SWITCHES,
    duty: /switch/u,
    what: 'gate resistor and driver',
    why: 'a shorted switch puts its drain on its gate, and burns what drives it',
    at: { pins: ['G', 'B'], kinds: ['resistor', 'diode', 'npn', 'pnp', 'ic'] },
  },
  {
    kinds: SWITCHES,
    duty: /switch/u,
    what: 'sense resistor',
    why: 'the whole bulk went through it',
    at: { pins: ['S', 'E'], kinds: ['resistor'] },
  },
  {
    kinds: SWITCHES,
    duty: /switch/u,
    what: 'clamp and snubber',
    why: 'where they had cracked, the next switch dies by its spike',
    at: { pins: ['D', 'C'], kinds: ['resistor', 'capacitor', 'diode'] },
  },
  { kinds: SWITCHES, duty: /switch/u, what: 'fuse and bridge', why: 'they carried the short' },
  { kinds: ['bridge'], what: 'fuse, NTC and bulk', why: 'a short behind the bridge, or a surge, took all of them' },
  { kinds: ['capacitor'], duty: /output|bulk|vcc/u, what: 'all cans of the same bank', why: 'they have aged together' },
  {
    kinds: ['diode', 'dual-diode'],
    duty: /rectifier/u,
    what: 'its snubber',
    why: 'where its capacitor has failed, the new one rings into breakdown',
    at: { pins: ['A', 'K', 'A1', 'A2'], kinds: ['resistor', 'capacitor'] },
  },
  { kinds: ['varistor'], what: 'the fuse', why: 'it has carried the surge' },
  { kinds: ['fuse'], what: 'nothing before its cause is found', why: 'a fuse that blew black has a short behind it' },
  {
    kinds: ['ic'],
    what: 'the can of its supply',
    why: 'where that is dry the new one only ticks',
    at: { pins: ['VCC', 'VDD'], kinds: ['capacitor'] },
  },
  {
    kinds: ['optocoupler', 'shunt-reference'],
    what: 'the other of optocoupler and reference',
    why: 'what killed one has often hurt the other',
  },
] as const);

/** A net with more pins is a rail. */
const MOST_JOINED = 8;

/**
 * What goes with a part that is replaced. @param board the traced board, and the reference of the part on it, where they are known
 */
export function together(
  { kind, duty = '' }: { readonly kind: string; readonly duty?: string },
  traced?: { readonly board: Board; readonly ref: string },
): readonly Companion[] {
  return COMPANIONS.filter((rule) => rule.kinds.includes(kind) && (!rule.duty || rule.duty.test(duty))).map(
    ({ what, why, at }) => ({ what, why, refs: traced && at ? neighbours(traced, at) : [] }),
  );
}

/** Parts of some kinds on the nets of some pins; nets that join half the board, as ground does, say nothing. */
function neighbours(
  { board, ref }: { readonly board: Board; readonly ref: string },
  { pins, kinds }: { readonly pins: readonly string[]; readonly kinds: readonly string[] },
): readonly string[] {
  const nets = netsOf(board);
  const own = pins.map((pin) => nets.of(`${ref}.${pin}`)).filter((net) => net >= 0);
  const found = own.flatMap((net) => {
    const joined = nets.pins[net] ?? [];
    return joined.length > MOST_JOINED ? [] : joined.map(({ part }) => part);
  });
  return [...new Set(found.filter((part) => part.ref !== ref && kinds.includes(part.kind)).map((part) => part.ref))];
}
