import type { BoardPart } from '../../board';
import { isPolarised, mayHoldSwitch, TRANSISTOR_TERMINALS, twoPins } from './parts';
import type { Rails } from './rails';

/** A switch of one part: current enters at `hi` and leaves at `lo`. */
export interface SwitchElement {
  readonly part: BoardPart;
  readonly hi: number;
  readonly lo: number;
  readonly gate: number;
  readonly hiPin: string;
  readonly loPin: string;
}

/** One diode's worth of a part: diode, half a dual diode, a leg of a bridge, the body of a FET. */
export interface RectifierElement {
  readonly part: BoardPart;
  /** Rails of anode and cathode. */
  readonly from: number;
  readonly to: number;
  readonly fromPin: string;
  readonly toPin: string;
  readonly isBody: boolean;
}

/** Two ends with an inductance between them: a choke, a winding, or a piece of a tapped winding. */
export interface InductiveElement {
  readonly part: BoardPart;
  readonly a: number;
  readonly b: number;
  readonly aPin: string;
  readonly bPin: string;
  /** Number of the winding within its part; a choke has only one. */
  readonly winding: number;
}

export interface CapacitorElement {
  readonly part: BoardPart;
  readonly a: number;
  readonly b: number;
  readonly polarised: boolean;
}

/** A whole winding, or several in series with nothing between: its pins in order with their rails. */
export interface Winding {
  readonly part: BoardPart;
  readonly winding: number;
  readonly pins: readonly string[];
  readonly rails: readonly number[];
}

export interface Elements {
  readonly switches: readonly SwitchElement[];
  readonly chips: readonly BoardPart[];
  readonly rectifiers: readonly RectifierElement[];
  readonly windings: readonly Winding[];
  readonly inductive: readonly InductiveElement[];
  readonly capacitors: readonly CapacitorElement[];
}

const NOT_A_RECTIFIER: ReadonlySet<string> = new Set(['zener', 'tvs', 'led']);

export function elementsOf(parts: readonly BoardPart[], rails: Rails): Elements {
  const fitted = parts.filter(({ fitted }) => fitted !== false);
  const live = fitted.filter((part) => !rails.isPass(part));
  const windings = fitted.flatMap((part) => windingsOf(part, rails));
  return {
    switches: live.flatMap((part) => switchOf(part, rails)),
    chips: live.filter(mayHoldSwitch),
    rectifiers: live.flatMap((part) => rectifiersOf(part, rails)),
    windings,
    inductive: windings.flatMap(piecesOf),
    capacitors: live.flatMap((part) => {
      const pins = part.kind === 'capacitor' ? twoPins(part) : undefined;
      return pins
        ? [{ part, a: rails.at(part, pins[0]), b: rails.at(part, pins[1]), polarised: isPolarised(part) }]
        : [];
    }),
  };
}

function switchOf(part: BoardPart, rails: Rails): readonly SwitchElement[] {
  const terminals = TRANSISTOR_TERMINALS[part.kind];
  if (!terminals) return [];
  const { hi, lo, gate } = terminals;
  return [
    {
      part,
      hi: rails.at(part, hi),
      lo: rails.at(part, lo),
      gate: rails.at(part, gate),
      hiPin: hi,
      loPin: lo,
    },
  ];
}

function rectifiersOf(part: BoardPart, rails: Rails): readonly RectifierElement[] {
  const legs: readonly (readonly [string, string])[] = legsOf(part);
  return legs.flatMap(([fromPin, toPin]) => {
    const [from, to] = [rails.at(part, fromPin), rails.at(part, toPin)];
    if (from < 0 || to < 0 || from === to) return [];
    return [{ part, from, to, fromPin, toPin, isBody: part.kind === 'nmos' || part.kind === 'pmos' }];
  });
}

/** A diode of unknown kind that is printed LED1 or the like on the board. */
const isNamedLed = (ref: string, subtype: string | undefined) => subtype === undefined && /^LED/i.test(ref);

function legsOf({ ref, kind, subtype, pins }: BoardPart): readonly (readonly [string, string])[] {
  switch (kind) {
    case 'diode':
      return NOT_A_RECTIFIER.has(subtype ?? '') || isNamedLed(ref, subtype) ? [] : [['A', 'K']];
    case 'dual-diode':
      if ('A1' in pins)
        return [
          ['A1', 'K'],
          ['A2', 'K'],
        ];
      if ('K1' in pins)
        return [
          ['A', 'K1'],
          ['A', 'K2'],
        ];
      return [
        ['A', 'M'],
        ['M', 'K'],
      ];
    case 'bridge':
      return [
        ['AC1', '+'],
        ['AC2', '+'],
        ['-', 'AC1'],
        ['-', 'AC2'],
      ];
    case 'nmos':
      return [['S', 'D']];
    case 'pmos':
      return [['D', 'S']];
    default:
      return [];
  }
}

function windingsOf(part: BoardPart, rails: Rails): readonly Winding[] {
  if (part.kind === 'inductor') {
    const pins = twoPins(part);
    if (!pins) return [];
    const [a, b] = [rails.at(part, pins[0]), rails.at(part, pins[1])];
    return a === b ? [] : [{ part, winding: 0, pins, rails: [a, b] }];
  }
  if (part.kind !== 'transformer') return [];
  const groups = (part.windings ?? pairedPins(part)).map((pins, winding) => ({
    part,
    winding,
    pins: [...pins],
    rails: pins.map((pin) => rails.at(part, pin)),
  }));
  return inSeries(groups, rails);
}

/** Where nothing is known of the windings, pins that follow each other are taken for one. Common practice, no source. */
function pairedPins({ pins }: BoardPart): readonly (readonly string[])[] {
  const names = Object.keys(pins);
  return names.flatMap((pin, index) => (index % 2 === 0 && names[index + 1] ? [[pin, names[index + 1] ?? '']] : []));
}

/** Joins windings of one transformer that meet at a point where nothing else is. */
function inSeries(groups: readonly Winding[], rails: Rails): readonly Winding[] {
  const list = [...groups];
  for (let changed = true; changed;) {
    changed = false;
    outer: for (let first = 0; first < list.length; first += 1)
      for (let second = first + 1; second < list.length; second += 1) {
        const joined = meet(list[first], list[second], rails);
        if (!joined) continue;
        list[first] = joined;
        list.splice(second, 1);
        changed = true;
        break outer;
      }
  }
  return list;
}

function meet(one: Winding | undefined, other: Winding | undefined, rails: Rails): Winding | undefined {
  if (!one || !other) return undefined;
  const ends = (winding: Winding) => [winding.rails[0] ?? -1, winding.rails.at(-1) ?? -1] as const;
  const flip = (winding: Winding): Winding => ({
    ...winding,
    pins: winding.pins.toReversed(),
    rails: winding.rails.toReversed(),
  });
  for (const first of [one, flip(one)])
    for (const second of [other, flip(other)]) {
      const at = ends(first)[1];
      if (at !== ends(second)[0] || rails.on(at).length !== 2 || !rails.closed(at)) continue;
      return {
        part: one.part,
        winding: one.winding,
        pins: [...first.pins.slice(0, -1), ...second.pins.slice(1)],
        rails: [...first.rails.slice(0, -1), ...second.rails.slice(1)],
      };
    }
  return undefined;
}

function piecesOf({ part, winding, pins, rails }: Winding): readonly InductiveElement[] {
  const pieces: InductiveElement[] = [];
  for (let from = 0; from < pins.length - 1; from += 1)
    for (let to = from + 1; to < pins.length; to += 1) {
      if (to !== from + 1 && !(from === 0 && to === pins.length - 1)) continue;
      const [a, b] = [rails[from] ?? -1, rails[to] ?? -1];
      if (a === b || a < 0 || b < 0) continue;
      pieces.push({ part, a, b, aPin: pins[from] ?? '', bPin: pins[to] ?? '', winding });
    }
  return pieces;
}
