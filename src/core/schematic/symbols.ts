import type { BoardPart } from '../board';
import type { PartSymbol, Shape, Side, SymbolPin } from './types';

/** Two-terminal symbols fill a square of this size, pins in the middle of opposite edges. */
const SQUARE = 60;
const MID = SQUARE / 2;

const path = (d: string, more: { isFilled?: boolean; isHeavy?: boolean } = {}): Shape => ({ path: d, ...more });
const word = (text: string, x: number, y: number, anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  text,
  at: { x, y },
  anchor,
});
const LEADS = 'M0 30H12M48 30H60';
const BODY = 'M12 23H48V37H12Z';

/** Shapes of two-terminal parts, drawn lying, after IEC 60617 from memory. */
const LYING: Readonly<Record<string, readonly Shape[]>> = {
  resistor: [path(LEADS), path(BODY)],
  fuse: [path('M0 30H60'), path(BODY)],
  thermistor: [path(LEADS), path(BODY), path('M16 44H22L40 16'), word('ϑ', 14, 54)],
  varistor: [path(LEADS), path(BODY), path('M16 44H22L40 16'), word('U', 14, 54)],
  capacitor: [path('M0 30H26M34 30H60'), path('M26 14V46M34 14V46', { isHeavy: true })],
  polarised: [
    path('M0 30H25M35 30H60'),
    path('M20 14H25V46H20Z'),
    path('M35 14H40V46H35Z', { isFilled: true }),
    word('+', 14, 22),
  ],
  inductor: [
    path('M0 30H8M52 30H60'),
    path('M8 30A5.5 5.5 0 0 1 19 30A5.5 5.5 0 0 1 30 30A5.5 5.5 0 0 1 41 30A5.5 5.5 0 0 1 52 30', { isHeavy: true }),
  ],
  diode: [path('M0 30H60'), path('M20 18L40 30L20 42Z'), path('M40 18V42', { isHeavy: true })],
  zener: [path('M0 30H60'), path('M20 18L40 30L20 42Z'), path('M34 18H40V42', { isHeavy: true })],
  schottky: [path('M0 30H60'), path('M20 18L40 30L20 42Z'), path('M44 22V18H40V42H36V38', { isHeavy: true })],
  led: [
    path('M0 30H60'),
    path('M20 18L40 30L20 42Z'),
    path('M40 18V42', { isHeavy: true }),
    path('M30 14L38 6M38 6L34 7M38 6L37 10M40 16L48 8M48 8L44 9M48 8L47 12'),
  ],
  lamp: [
    path('M0 30H14M46 30H60'),
    path('M14 30A16 16 0 1 1 46 30A16 16 0 1 1 14 30M18.7 18.7L41.3 41.3M41.3 18.7L18.7 41.3'),
  ],
  switch: [path('M0 30H16L44 16M44 30H60')],
  'spark-gap': [
    path('M0 30H22M38 30H60'),
    path('M18 26L26 30L18 34Z', { isFilled: true }),
    path('M42 26L34 30L42 34Z', { isFilled: true }),
  ],
  diac: [path('M0 30H60'), path('M22 18L38 26L22 34ZM38 26L22 34', {}), path('M22 14V46M38 14V46', { isHeavy: true })],
};

const CIRCLE = 'M12 30A20 20 0 1 1 52 30A20 20 0 1 1 12 30';
const TRANSISTORS: Readonly<
  Record<string, { readonly shapes: readonly Shape[]; readonly pins: readonly [string, string, string] }>
> = {
  // Pins: command at the left, upper, lower.
  nmos: {
    pins: ['G', 'D', 'S'],
    shapes: [
      path(CIRCLE),
      path('M0 40H22V20M28 16V24M28 27V33M28 36V44'),
      path('M28 20H40V0M28 40H40V60M28 30H40V40'),
      path('M29 30L36 26V34Z', { isFilled: true }),
    ],
  },
  pmos: {
    pins: ['G', 'S', 'D'],
    shapes: [
      path(CIRCLE),
      path('M0 40H22V20M28 16V24M28 27V33M28 36V44'),
      path('M28 20H40V0M28 40H40V60M28 30H40V20'),
      path('M39 30L32 26V34Z', { isFilled: true }),
    ],
  },
  npn: {
    pins: ['B', 'C', 'E'],
    shapes: [
      path(CIRCLE),
      path('M0 30H26'),
      path('M26 17V43', { isHeavy: true }),
      path('M26 25L40 14V0M26 35L40 46V60'),
      path('M40 46L32 44L36 38Z', { isFilled: true }),
    ],
  },
  pnp: {
    pins: ['B', 'E', 'C'],
    shapes: [
      path(CIRCLE),
      path('M0 30H26'),
      path('M26 17V43', { isHeavy: true }),
      path('M26 25L40 14V0M26 35L40 46V60'),
      path('M28 24L36 23L32 17Z', { isFilled: true }),
    ],
  },
  igbt: {
    pins: ['G', 'C', 'E'],
    shapes: [
      path(CIRCLE),
      path('M0 30H22M22 20V40'),
      path('M27 17V43', { isHeavy: true }),
      path('M27 25L40 14V0M27 35L40 46V60'),
      path('M40 46L32 44L36 38Z', { isFilled: true }),
    ],
  },
  scr: {
    pins: ['G', 'A', 'K'],
    shapes: [path('M40 0V60M0 50H26L34 40'), path('M28 20H52L40 38Z'), path('M28 38H52', { isHeavy: true })],
  },
  triac: {
    pins: ['G', 'MT2', 'MT1'],
    shapes: [
      path('M40 0V60M0 50H22L30 40'),
      path('M26 20H42L34 38ZM38 38H54L46 20Z'),
      path('M24 38H56M24 20H56', { isHeavy: true }),
    ],
  },
};

/** The symbol of a part, lying; `isStanding` turns a two-terminal one by a right angle, first pin up. */
export function symbolOf(part: BoardPart, isStanding: boolean, isFlipped: boolean): PartSymbol {
  const names = Object.keys(part.pins);
  const transistor = TRANSISTORS[part.kind];
  if (transistor && transistor.pins.every((pin) => pin in part.pins)) {
    const [command, upper, lower] = transistor.pins;
    const commandAt =
      part.kind === 'nmos' || part.kind === 'pmos' ? 40 : part.kind === 'scr' || part.kind === 'triac' ? 50 : 30;
    return {
      width: SQUARE,
      height: SQUARE,
      pins: [
        { pin: command, x: 0, y: commandAt, side: 'left' },
        { pin: upper, x: 40, y: 0, side: 'top' },
        { pin: lower, x: 40, y: SQUARE, side: 'bottom' },
      ],
      shapes: transistor.shapes,
    };
  }
  const lying = LYING[lyingKind(part)];
  const pair = twoNames(part);
  if (lying && pair && names.length === 2)
    return twoTerminal(lying, isFlipped ? [pair[1], pair[0]] : pair, isStanding, isFlipped);
  if (part.kind === 'transformer' || part.kind === 'common-mode-choke') return wound(part);
  if (part.kind === 'bridge') return bridge();
  return box(part);
}

function lyingKind({ kind, subtype, pins }: BoardPart): string {
  if (kind === 'capacitor') return '+' in pins ? 'polarised' : 'capacitor';
  if (kind === 'diode')
    return subtype === 'zener' || subtype === 'tvs'
      ? 'zener'
      : subtype === 'schottky'
        ? 'schottky'
        : subtype === 'led'
          ? 'led'
          : 'diode';
  return kind;
}

const twoNames = ({ pins }: BoardPart): readonly [string, string] | undefined => {
  const names = Object.keys(pins);
  if ('+' in pins && '-' in pins) return ['+', '-'];
  if ('A' in pins && 'K' in pins) return ['A', 'K'];
  return names[0] !== undefined && names[1] !== undefined ? [names[0], names[1]] : undefined;
};

function twoTerminal(
  shapes: readonly Shape[],
  [first, second]: readonly [string, string],
  isStanding: boolean,
  isFlipped: boolean,
): PartSymbol {
  const turned = shapes.map((shape): Shape =>
    'path' in shape
      ? { ...shape, path: turn(shape.path, isStanding, isFlipped) }
      : { ...shape, at: turnPoint(shape.at.x, shape.at.y, isStanding, isFlipped) },
  );
  const pins: readonly SymbolPin[] = isStanding
    ? [
        { pin: first, x: MID, y: 0, side: 'top' },
        { pin: second, x: MID, y: SQUARE, side: 'bottom' },
      ]
    : [
        { pin: first, x: 0, y: MID, side: 'left' },
        { pin: second, x: SQUARE, y: MID, side: 'right' },
      ];
  return { width: SQUARE, height: SQUARE, pins, shapes: turned };
}

const turnPoint = (x: number, y: number, isStanding: boolean, isFlipped: boolean) => {
  const across = isFlipped ? SQUARE - x : x;
  return isStanding ? { x: SQUARE - y, y: across } : { x: across, y };
};

/** Turns the absolute commands M, L, H, V, A and Z of a path about the square. */
function turn(d: string, isStanding: boolean, isFlipped: boolean): string {
  if (!isStanding && !isFlipped) return d;
  let [x, y] = [0, 0];
  const out: string[] = [];
  for (const [, command = '', args = ''] of d.matchAll(/([MLHVAZ])([^MLHVAZ]*)/g)) {
    const numbers = args
      .trim()
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const to = (nx: number, ny: number) => {
      [x, y] = [nx, ny];
      const point = turnPoint(nx, ny, isStanding, isFlipped);
      return `${point.x} ${point.y}`;
    };
    if (command === 'Z') out.push('Z');
    else if (command === 'H') for (const value of numbers) out.push(`L${to(value, y)}`);
    else if (command === 'V') for (const value of numbers) out.push(`L${to(x, value)}`);
    else if (command === 'A')
      for (let at = 0; at + 6 < numbers.length; at += 7) {
        const [rx = 0, ry = 0, rotation = 0, large = 0, sweep = 0, ex = 0, ey = 0] = numbers.slice(at, at + 7);
        out.push(`A${rx} ${ry} ${rotation} ${large} ${isFlipped ? 1 - sweep : sweep} ${to(ex, ey)}`);
      }
    else
      for (let at = 0; at + 1 < numbers.length; at += 2)
        out.push(`${at === 0 ? command : 'L'}${to(numbers[at] ?? 0, numbers[at + 1] ?? 0)}`);
  }
  return out.join('');
}

function bridge(): PartSymbol {
  return {
    width: SQUARE,
    height: SQUARE,
    pins: [
      { pin: 'AC1', x: 0, y: 20, side: 'left' },
      { pin: 'AC2', x: 0, y: 40, side: 'left' },
      { pin: '+', x: SQUARE, y: 20, side: 'right' },
      { pin: '-', x: SQUARE, y: 40, side: 'right' },
    ],
    shapes: [
      path('M6 6H54V54H6ZM0 20H6M0 40H6M54 20H60M54 40H60'),
      path('M16 30H44M24 22L36 30L24 38Z'),
      path('M36 22V38', { isHeavy: true }),
      word('~', 13, 19),
      word('+', 47, 19),
      word('−', 47, 49),
    ],
  };
}

/** Windings as columns of half circles: the first on the left, the others on the right of the core. */
function wound(part: BoardPart): PartSymbol {
  const windings =
    part.kind === 'common-mode-choke'
      ? [
          ['1', '2'],
          ['3', '4'],
        ]
      : (part.windings ?? [Object.keys(part.pins)]);
  const known = new Set(windings.flat());
  const loose = Object.keys(part.pins).filter((pin) => !known.has(pin));
  const all = [...windings, ...loose.map((pin) => [pin])];
  const left: (readonly string[])[] = [];
  const right: (readonly string[])[] = [];
  const rows = (list: readonly (readonly string[])[]) => list.reduce((sum, winding) => sum + winding.length * 2, 0);
  for (const winding of all)
    (left.length === 0 || rows(left) + winding.length * 2 <= rows(right) ? left : right).push(winding);
  const height = Math.max(60, Math.max(rows(left), rows(right)) * 10 + 20);
  const width = 80;
  const pins: SymbolPin[] = [];
  const shapes: Shape[] = [path(`M37 8V${height - 8}M43 8V${height - 8}`)];
  const dots = new Set(part.dots ?? []);
  const draw = (list: readonly (readonly string[])[], side: Side) => {
    let y = 20;
    const [edge, coil, bulge] = side === 'left' ? [0, 24, 1] : [width, 56, 0];
    for (const winding of list) {
      winding.forEach((pin, index) => {
        pins.push({ pin, x: edge, y, side });
        shapes.push(
          path(`M${edge} ${y}H${coil}`),
          word(pin, side === 'left' ? 4 : width - 4, y - 3, side === 'left' ? 'start' : 'end'),
        );
        if (dots.has(pin))
          shapes.push(
            path(`M${coil - 2} ${y - 5}A2 2 0 1 1 ${coil + 2} ${y - 5}A2 2 0 1 1 ${coil - 2} ${y - 5}`, {
              isFilled: true,
            }),
          );
        if (index < winding.length - 1) {
          shapes.push(
            path(`M${coil} ${y}A5 5 0 0 ${bulge} ${coil} ${y + 10}A5 5 0 0 ${bulge} ${coil} ${y + 20}`, {
              isHeavy: true,
            }),
          );
          y += 20;
        }
      });
      y += 20;
    }
  };
  draw(left, 'left');
  draw(right, 'right');
  return { width, height, pins, shapes };
}

/** Chips, connectors and whatever has no symbol of its own: a box with its pins on both sides. */
function box(part: BoardPart): PartSymbol {
  const names = Object.keys(part.pins);
  const half = part.kind === 'connector' ? 0 : Math.ceil(names.length / 2);
  const isInlet = part.role === 'mains-inlet' || part.role === 'dc-input';
  const left = part.kind === 'connector' ? (isInlet ? [] : names) : names.slice(0, half);
  const right = part.kind === 'connector' ? (isInlet ? names : []) : names.slice(half).toReversed();
  const width = 80;
  const height = Math.max(left.length, right.length, 1) * 20 + 20;
  const label = (pin: string) => part.pinNames?.[pin] ?? pin;
  const side = (list: readonly string[], at: Side): readonly SymbolPin[] =>
    list.map((pin, index) => ({ pin, x: at === 'left' ? 0 : width, y: 20 + index * 20, side: at }));
  const pins = [...side(left, 'left'), ...side(right, 'right')];
  return {
    width,
    height,
    pins,
    shapes: [
      path(`M10 6H70V${height - 6}H10Z`),
      ...pins.map(({ x, y }) => path(x === 0 ? `M0 ${y}H10` : `M70 ${y}H80`)),
      ...pins.map(({ pin, x, y }) => word(label(pin).slice(0, 6), x === 0 ? 13 : 67, y + 3, x === 0 ? 'start' : 'end')),
    ],
  };
}
