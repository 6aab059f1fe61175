import { isBoardKind, type BoardKind } from './kinds';
import type { Board, BoardPart } from './types';

/** A board in another notation, with what that notation cannot hold. */
export interface Converted<T> {
  readonly result: T;
  readonly lost: readonly string[];
}

/** A line that cannot be read, by its number from 1. */
export interface NetlistProblem {
  readonly line: number;
  readonly expected: string;
}

interface Card {
  readonly letter: string;
  /** Pins in the order that SPICE wants. */
  readonly pins: readonly string[];
  readonly value?: 'resistance' | 'capacitance' | 'inductance';
  readonly model?: string;
}

const CARDS: Partial<Record<BoardKind, Card>> = {
  resistor: { letter: 'R', pins: ['1', '2'], value: 'resistance' },
  capacitor: { letter: 'C', pins: ['1', '2'], value: 'capacitance' },
  inductor: { letter: 'L', pins: ['1', '2'], value: 'inductance' },
  diode: { letter: 'D', pins: ['A', 'K'], model: 'D' },
  npn: { letter: 'Q', pins: ['C', 'B', 'E'], model: 'NPN' },
  pnp: { letter: 'Q', pins: ['C', 'B', 'E'], model: 'PNP' },
  nmos: { letter: 'M', pins: ['D', 'G', 'S'], model: 'NMOS' },
  pmos: { letter: 'M', pins: ['D', 'G', 'S'], model: 'PMOS' },
};

/** Nets by name; pins without one are given a net of their own. */
function netNames(): (part: BoardPart, pin: string) => string {
  let own = 0;
  const given = new Map<string, string>();
  return (part, pin) => {
    const name = part.pins[pin];
    if (name !== null && name !== undefined) return name.replace(/\s+/g, '_');
    const key = `${part.ref}.${pin}`;
    if (!given.has(key)) given.set(key, `open${(own += 1)}`);
    return given.get(key) ?? '';
  };
}

/** A SPICE netlist: R, C, L, D, Q and M cards, and one subcircuit call for every other part. */
export function toSpice(board: Board): Converted<string> {
  const net = netNames();
  const lost = new Set<string>();
  if (board.nameplate) lost.add('the nameplate');
  if (board.joined?.length || board.separate?.length || board.through?.length)
    lost.add('what the meter said beside the nets');
  const lines = board.parts.map((part) => {
    const { ref, kind, pins, value, marking, windings, subtype } = part;
    if (marking) lost.add('markings');
    if (windings) lost.add('which pins are one winding');
    if (subtype) lost.add('subtypes');
    if (Object.values(pins).includes(null)) lost.add('that some pins are not traced: each has a net of its own');
    const card = CARDS[kind];
    const named = (letter: string) => (ref.toUpperCase().startsWith(letter) ? ref : `${letter}_${ref}`);
    if (!card)
      return `${named('X')} ${Object.keys(pins)
        .map((pin) => net(part, pin))
        .join(' ')} ${kind} ; ${Object.keys(pins).join(' ')}`;
    const order = kind === 'capacitor' && '+' in pins ? ['+', '-'] : card.pins;
    const nodes = order.map((pin) => net(part, pin));
    if (card.letter === 'M') nodes.push(nodes[2] ?? '0');
    const amount = card.value ? value?.[card.value] : undefined;
    if (card.value && amount === undefined) lost.add('that some values are not known: they are written as 1');
    return `${named(card.letter)} ${nodes.join(' ')} ${card.model ?? amount ?? 1}`;
  });
  return { result: [`* ${board.title ?? 'board'}`, ...lines, '.end', ''].join('\n'), lost: [...lost] };
}

const SCALES: Readonly<Record<string, number>> = {
  t: 1e12,
  g: 1e9,
  meg: 1e6,
  k: 1e3,
  m: 1e-3,
  u: 1e-6,
  n: 1e-9,
  p: 1e-12,
  f: 1e-15,
};

/** A SPICE number such as `4.7k` or `10u`; letters behind the scale are units and mean nothing. */
function spiceNumber(text: string): number | undefined {
  const [, digits, scale = ''] = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(meg|[tgkmunpf])?[a-z]*$/i.exec(text) ?? [];
  return digits === undefined ? undefined : Number(digits) * (SCALES[scale.toLowerCase()] ?? 1);
}

/** Reads R, C, L, D, Q, M and X cards; sources and control lines are named as lost. */
export function fromSpice(text: string): Converted<Board> | NetlistProblem {
  const lost = new Set<string>();
  const parts: BoardPart[] = [];
  let title: string | undefined;
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n\+/g, ' ').split('\n');
  for (const [index, raw] of lines.entries()) {
    const [body = '', comment] = raw.split(';');
    const line = body.trim();
    const problem = (expected: string): NetlistProblem => ({ line: index + 1, expected });
    if (line === '') continue;
    if (line.startsWith('*') || (index === 0 && !/^[rcldqmx]\S*\s+\S+\s+\S+\s+\S+/i.test(line))) {
      title ??= line.replace(/^\*\s*/, '') || undefined;
      continue;
    }
    if (line.startsWith('.')) {
      if (!/^\.(end|title)/i.test(line)) lost.add(`the line ${line.split(/\s+/)[0]}`);
      continue;
    }
    const words = line.split(/\s+/);
    const [name = ''] = words;
    const letter = name[0]?.toUpperCase() ?? '';
    const ref = name.replace(/^[A-Za-z]_(?=.)/, '');
    if (letter === 'X') {
      const kind = words.at(-1) ?? '';
      if (!isBoardKind(kind))
        return problem(`“${kind}” is no part kind; a subcircuit named after a kind, such as bridge, is expected`);
      const pins = comment?.trim().split(/\s+/) ?? [];
      parts.push({
        ref,
        kind,
        pins: Object.fromEntries(words.slice(1, -1).map((net, at) => [pins[at] ?? `${at + 1}`, net])),
      });
      continue;
    }
    const kind = kindOf(letter, words);
    if (!kind) {
      lost.add(`the ${letter} card ${name}`);
      continue;
    }
    const card = CARDS[kind];
    if (!card || words.length < card.pins.length + 1)
      return problem(`“${line}”: ${card?.pins.length ?? 2} nodes are expected behind ${name}`);
    const amount = card.value ? spiceNumber(words[card.pins.length + 1] ?? '') : undefined;
    if (card.value && amount === undefined)
      return problem(`${name}: “${words[card.pins.length + 1] ?? ''}” is no value such as 4.7k`);
    parts.push({
      ref,
      kind,
      pins: Object.fromEntries(card.pins.map((pin, at) => [pin, words[at + 1] ?? ''])),
      ...(card.value && amount !== undefined ? { value: { [card.value]: amount } } : {}),
    });
  }
  return { result: { ...(title ? { title } : {}), parts }, lost: [...lost] };
}

function kindOf(letter: string, words: readonly string[]): BoardKind | undefined {
  const model = words.at(-1)?.toUpperCase() ?? '';
  switch (letter) {
    case 'R':
      return 'resistor';
    case 'C':
      return 'capacitor';
    case 'L':
      return 'inductor';
    case 'D':
      return 'diode';
    case 'Q':
      return model.includes('PNP') ? 'pnp' : 'npn';
    case 'M':
      return model.includes('PMOS') ? 'pmos' : 'nmos';
    default:
      return undefined;
  }
}
