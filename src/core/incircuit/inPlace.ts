import { netsOf, pinName, type Board, type BoardPart, type Nets } from '../board';
import { elementsOf, type Element } from './elements';
import { solveNetwork, type Drive } from './solve';

/** What is read between two pins of a part: ohms, or volts in diode mode. */
export type MeterMode = 'ohm' | 'diode';

export interface InPlace {
  /** What a sound part reads where it sits; Infinity is OL. */
  readonly expected: number;
  /** What the board reads without it. */
  readonly board: number;
  /** References of what the rest of the current goes through, the most first. */
  readonly through: readonly string[];
  /** Chips on the way whose inside is not known: with them it may read less. */
  readonly unknown: readonly string[];
  /** Every pin on both nets is known, so nothing else can lie in parallel. */
  readonly closed: boolean;
  /** The board adds so little that the reading is as good as out of circuit. */
  readonly clear: boolean;
}

export type InPlaceAnswer =
  | ({ readonly kind: 'known' } & InPlace)
  | { readonly kind: 'untraced'; readonly pin: string };

/** A meter on its ohm ranges stays under what turns a junction on; in diode mode it drives 1 mA from 3 V. */
const DRIVES: Readonly<Record<MeterMode, Drive>> = {
  ohm: { volts: 0.2, ohms: 1e3 },
  diode: { volts: 3, ohms: 3e3 },
};
/** Above these a meter shows OL. */
const OPEN = { ohm: 20e6, diode: 2.4 } as const;
/** The board counts as nothing when it is this many times as many ohms, or this many volts above, as the part. */
const CLEAR = { ratio: 100, volts: 0.3, open: 2e6 } as const;
/** Share of the current from which a neighbour is named. */
const NAMED_SHARE = 0.15;

/**
 * What the leads find between two pins of a part that sits on a board, from everything that is traced around it:
 * resistors, windings and junctions; capacitors are taken as settled, connectors as unplugged.
 * @param plus pin of the red lead
 */
export function readingInPlace(
  board: Board,
  of: { ref: string; plus: string; minus: string; mode: MeterMode },
): InPlaceAnswer {
  const nets = netsOf(board);
  const part = board.parts.find(({ ref }) => ref === of.ref);
  const [plus, minus] = [of.plus, of.minus].map((pin) => (part ? netAt(nets, part, pin) : -1)) as [number, number];
  if (!part || plus < 0) return { kind: 'untraced', pin: `${of.ref}.${of.plus}` };
  if (minus < 0) return { kind: 'untraced', pin: `${of.ref}.${of.minus}` };
  const elements = reachable(elementsOf(board, nets), plus, minus);
  const rest = elements.filter(({ ref }) => ref !== of.ref);
  const drive = DRIVES[of.mode];
  const known = (list: readonly Element[]) => list.filter(({ kind }) => kind !== 'unknown');
  const read = (list: readonly Element[]) => shown(solveNetwork(known(list), plus, minus, drive), of.mode);
  const expected = read(elements);
  const without = read(rest);
  const unknown = unknownThatMatter(rest, { plus, minus, drive, mode: of.mode, without });
  const closed = board.complete === true || (nets.closed(plus) && nets.closed(minus));
  return {
    kind: 'known',
    expected,
    board: without,
    through: without === Infinity ? [] : namedNeighbours(known(rest), plus, minus, drive),
    unknown,
    closed,
    clear: closed && unknown.length === 0 && isClear(of.mode, expected, without),
  };
}

/** Net of a pin, `1` and `2` of a polarised part being its plus and minus; -1 when it is not traced to anything. */
function netAt(nets: Nets, part: BoardPart, pin: string): number {
  const name = pin in part.pins ? pin : ({ '1': '+', '2': '-' }[pin] ?? pin);
  if (!(name in part.pins)) return -1;
  const net = nets.of(pinName({ part, pin: name }));
  return net >= 0 && ((nets.pins[net]?.length ?? 0) > 1 || nets.closed(net)) ? net : -1;
}

/** Elements that the current can reach from either lead. */
function reachable(elements: readonly Element[], plus: number, minus: number): readonly Element[] {
  const reached = new Set([plus, minus]);
  for (let size = 0; size < reached.size;) {
    size = reached.size;
    for (const { from, to } of elements) {
      if (reached.has(from)) reached.add(to);
      else if (reached.has(to)) reached.add(from);
    }
  }
  return elements.filter(({ from, to }) => reached.has(from) && reached.has(to));
}

function shown({ volts, amperes }: { volts: number; amperes: number }, mode: MeterMode): number {
  const value = mode === 'ohm' ? volts / Math.max(amperes, 1e-15) : volts;
  return value > OPEN[mode] ? Infinity : Math.max(0, value);
}

function isClear(mode: MeterMode, expected: number, without: number): boolean {
  if (without === Infinity) return true;
  if (mode === 'diode') return without - expected > CLEAR.volts;
  return expected === Infinity ? without > CLEAR.open : without > CLEAR.ratio * expected;
}

function namedNeighbours(rest: readonly Element[], plus: number, minus: number, drive: Drive): readonly string[] {
  const { amperes, currents } = solveNetwork(rest, plus, minus, drive);
  const share = new Map<string, number>();
  rest.forEach(({ ref }, index) => {
    const part = Math.abs(currents[index] ?? 0) / Math.max(Math.abs(amperes), 1e-15);
    share.set(ref, Math.max(share.get(ref) ?? 0, part));
  });
  return [...share]
    .filter(([, part]) => part >= NAMED_SHARE)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 4)
    .map(([ref]) => ref);
}

/** A chip taken for a kilohm between all its pins tells whether its inside could be seen at all. */
function unknownThatMatter(
  rest: readonly Element[],
  of: { plus: number; minus: number; drive: Drive; mode: MeterMode; without: number },
): readonly string[] {
  const refs = [...new Set(rest.filter(({ kind }) => kind === 'unknown').map(({ ref }) => ref))];
  return refs.filter((ref) => {
    const guessed = rest.flatMap((element): readonly Element[] =>
      element.kind !== 'unknown' ? [element] : element.ref === ref ? [{ ...element, kind: 'resistor', ohms: 1e3 }] : [],
    );
    const value = shown(solveNetwork(guessed, of.plus, of.minus, of.drive), of.mode);
    return value < 0.8 * of.without && !(value > OPEN[of.mode]);
  });
}
