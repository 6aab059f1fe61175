import type { BoardPart } from '../../board';
import type { Box, PartSymbol, Shape } from '../types';
import { filled, heavy, path, word } from './shapes';
import { mirrored, turned } from './turn';

interface Drawn {
  /** Command at the left with its height, upper, lower; the last two at x 40. */
  readonly pins: readonly [command: string, upper: string, lower: string];
  readonly commandAt: number;
  readonly body: Box;
  readonly shapes: readonly Shape[];
}

const body = (left: number, top: number, right: number, bottom: number): Box => ({ left, top, right, bottom });
const GATE = 'M0 40H20M20 20V40';
const CHANNEL = heavy('M26 16V24M26 27V33M26 36V44');
const BODY_DIODE = 'M40 12H52V26M52 34V48H40';

/** Transistors after IEC 60617 from memory; power FETs with the diode of their body. */
const TRANSISTORS: Readonly<Record<string, Drawn>> = {
  nmos: {
    pins: ['G', 'D', 'S'],
    commandAt: 40,
    body: body(18, 10, 58, 50),
    shapes: [
      path(GATE),
      CHANNEL,
      path(`M26 20H40V0M26 40H40V60M26 30H40V40${BODY_DIODE}`),
      filled('M27 30L34 26V34Z'),
      filled('M47 34L52 26L57 34Z'),
      path('M47 26H57'),
    ],
  },
  pmos: {
    pins: ['G', 'S', 'D'],
    commandAt: 40,
    body: body(18, 10, 58, 50),
    shapes: [
      path(GATE),
      CHANNEL,
      path(`M26 20H40V0M26 40H40V60M26 30H40V20${BODY_DIODE}`),
      filled('M39 30L32 26V34Z'),
      filled('M47 34L52 26L57 34Z'),
      path('M47 26H57'),
    ],
  },
  npn: {
    pins: ['B', 'C', 'E'],
    commandAt: 30,
    body: body(22, 12, 46, 48),
    shapes: [
      path('M0 30H26'),
      heavy('M26 16V44'),
      path('M26 25L40 14V0M26 35L40 46V60'),
      filled('M40 46L32 44L36 38Z'),
    ],
  },
  pnp: {
    pins: ['B', 'E', 'C'],
    commandAt: 30,
    body: body(22, 12, 46, 48),
    shapes: [
      path('M0 30H26'),
      heavy('M26 16V44'),
      path('M26 25L40 14V0M26 35L40 46V60'),
      filled('M28 24L36 23L32 17Z'),
    ],
  },
  igbt: {
    pins: ['G', 'C', 'E'],
    commandAt: 40,
    body: body(16, 12, 46, 48),
    shapes: [
      path('M0 40H20V20'),
      heavy('M26 16V44'),
      path('M26 25L40 14V0M26 35L40 46V60'),
      filled('M40 46L32 44L36 38Z'),
    ],
  },
  scr: {
    pins: ['G', 'A', 'K'],
    commandAt: 50,
    body: body(28, 18, 52, 42),
    shapes: [path('M40 0V60M0 50H28L36 39'), path('M28 20H52L40 38Z'), heavy('M28 38H52')],
  },
  triac: {
    pins: ['G', 'MT2', 'MT1'],
    commandAt: 50,
    body: body(24, 18, 56, 42),
    shapes: [
      path('M40 0V20M40 38V60M0 50H26L32 39'),
      path('M26 20H42L34 38ZM38 38H54L46 20Z'),
      heavy('M24 38H56M24 20H56'),
    ],
  },
  'shunt-reference': {
    pins: ['R', 'K', 'A'],
    commandAt: 40,
    body: body(26, 18, 54, 42),
    shapes: [path('M40 0V60M0 40H26L34 36'), path('M40 22L30 38H50Z'), heavy('M28 26V22H52V18')],
  },
  potentiometer: {
    pins: ['W', '1', '2'],
    commandAt: 30,
    body: body(20, 12, 47, 48),
    shapes: [path('M40 0V12M40 48V60'), path('M33 12H47V48H33Z'), path('M0 30H33'), filled('M32 30L24 26V34Z')],
  },
};
const MIRROR_AT = 30;

/** The ways to draw a part with a command pin at its side: at the left, and at the right. */
export function transistorSymbols(part: BoardPart): readonly PartSymbol[] | undefined {
  if (part.kind === 'regulator') return regulator(part);
  const drawn = TRANSISTORS[part.kind];
  if (!drawn?.pins.every((pin) => pin in part.pins)) return undefined;
  const [command, upper, lower] = drawn.pins;
  const symbol: PartSymbol = {
    shapes: drawn.shapes,
    body: drawn.body,
    captionAt: 'right',
    pins: [
      { pin: command, x: 0, y: drawn.commandAt, side: 'left' },
      { pin: upper, x: 40, y: 0, side: 'top' },
      { pin: lower, x: 40, y: 60, side: 'bottom' },
    ],
  };
  return [symbol, turned(symbol, mirrored(MIRROR_AT), 'left')];
}

function regulator(part: BoardPart): readonly PartSymbol[] | undefined {
  if (!['IN', 'OUT', 'GND'].every((pin) => pin in part.pins)) return undefined;
  const symbol: PartSymbol = {
    shapes: [
      path('M10 8H70V52H10ZM0 30H10M70 30H80M40 52V60'),
      word('IN', 13, 33, 'start'),
      word('OUT', 67, 33, 'end'),
      word('GND', 40, 49),
    ],
    body: { left: 10, top: 8, right: 70, bottom: 52 },
    captionAt: 'above',
    pins: [
      { pin: 'IN', x: 0, y: 30, side: 'left' },
      { pin: 'OUT', x: 80, y: 30, side: 'right' },
      { pin: 'GND', x: 40, y: 60, side: 'bottom' },
    ],
  };
  return [symbol, turned(symbol, mirrored(40))];
}
