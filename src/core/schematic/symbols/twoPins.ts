import type { BoardPart } from '../../board';
import type { PartSymbol, Shape } from '../types';
import { filled, heavy, path, word } from './shapes';
import { mirrored, turned, upright } from './turn';

/** Symbols of parts with two pins lie on a line of this length. */
const LONG = 60;
const MIDDLE = LONG / 2;
const LEADS = 'M0 30H12M48 30H60';
const BODY = 'M12 23H48V37H12Z';
const TRIANGLE = 'M22 20L38 30L22 40Z';

interface Lying {
  readonly shapes: readonly Shape[];
  /** Half the height of the body, and where it begins. */
  readonly half: number;
  readonly from: number;
}

const lying = (half: number, from: number, ...shapes: readonly Shape[]): Lying => ({ shapes, half, from });

/** Shapes of parts with two pins, drawn lying, after IEC 60617 from memory. */
const LYING: Readonly<Record<string, Lying>> = {
  resistor: lying(7, 12, path(LEADS), path(BODY)),
  fuse: lying(7, 12, path('M0 30H60'), path(BODY)),
  thermistor: lying(15, 12, path(LEADS), path(BODY), path('M14 43H20L42 17')),
  varistor: lying(15, 12, path(LEADS), path(BODY), path('M14 43H20L42 17'), word('U', 12, 42)),
  capacitor: lying(14, 25, path('M0 30H27M33 30H60'), heavy('M27 16V44M33 16V44')),
  polarised: lying(
    14,
    14,
    path('M0 30H25M35 30H60'),
    path('M25 16H29V44H25Z'),
    filled('M33 16H36V44H33Z'),
    path('M16 20H22M19 17V23'),
  ),
  inductor: lying(
    7,
    8,
    path('M0 30H8M52 30H60'),
    heavy('M8 30A5.5 5.5 0 0 1 19 30A5.5 5.5 0 0 1 30 30A5.5 5.5 0 0 1 41 30A5.5 5.5 0 0 1 52 30'),
  ),
  diode: lying(11, 20, path('M0 30H60'), path(TRIANGLE), heavy('M38 20V40')),
  zener: lying(11, 20, path('M0 30H60'), path(TRIANGLE), heavy('M33 20H38V40')),
  schottky: lying(11, 20, path('M0 30H60'), path(TRIANGLE), heavy('M42 24V20H38V40H34V36')),
  led: lying(
    20,
    20,
    path('M0 30H60'),
    path(TRIANGLE),
    heavy('M38 20V40'),
    path('M30 18L37 11M37 11L33 12M37 11L36 15M38 17L45 10M45 10L41 11M45 10L44 14'),
  ),
  lamp: lying(
    16,
    14,
    path('M0 30H14M46 30H60'),
    path('M14 30A16 16 0 1 1 46 30A16 16 0 1 1 14 30M18.7 18.7L41.3 41.3M41.3 18.7L18.7 41.3'),
  ),
  switch: lying(15, 14, path('M0 30H16L44 16M44 30H60')),
  'spark-gap': lying(6, 16, path('M0 30H20M40 30H60'), filled('M18 26L28 30L18 34Z'), filled('M42 26L32 30L42 34Z')),
  diac: lying(14, 20, path('M0 30H22M38 30H60'), path('M22 30L38 18V42Z'), heavy('M22 16V44M38 16V44')),
};

/** Pins of a part with two of them, the positive or the entering one first. */
export function pinPair({ pins }: BoardPart): readonly [string, string] | undefined {
  if ('+' in pins && '-' in pins) return ['+', '-'];
  if ('A' in pins && 'K' in pins) return ['A', 'K'];
  const [first, second, third] = Object.keys(pins);
  return first !== undefined && second !== undefined && third === undefined ? [first, second] : undefined;
}

function lyingKind({ kind, subtype, pins }: BoardPart): string {
  if (kind === 'capacitor') return '+' in pins ? 'polarised' : 'capacitor';
  if (kind !== 'diode') return kind;
  if (subtype === 'zener' || subtype === 'tvs') return 'zener';
  return subtype === 'schottky' || subtype === 'led' ? subtype : 'diode';
}

/**
 * The ways to draw a part with two pins: upright with its first pin up, the other way round, lying, and lying the other way
 * round. `undefined` when it has another number of pins, or no such symbol.
 */
export function twoPinSymbols(part: BoardPart): readonly PartSymbol[] | undefined {
  const kind = lyingKind(part);
  const drawn = LYING[kind];
  const pair = pinPair(part);
  if (!drawn || !pair || Object.keys(part.pins).length !== 2) return undefined;
  const key = `${kind} ${pair.join(' ')}`;
  const known = DRAWN.get(key);
  if (known) return known;
  const { shapes, half, from } = drawn;
  const flat: PartSymbol = {
    shapes,
    body: { left: from, right: LONG - from, top: MIDDLE - half, bottom: MIDDLE + half },
    captionAt: 'above',
    pins: [
      { pin: pair[0], x: 0, y: MIDDLE, side: 'left' },
      { pin: pair[1], x: LONG, y: MIDDLE, side: 'right' },
    ],
  };
  const back = turned(flat, mirrored(MIDDLE));
  const looks = [turned(flat, upright(MIDDLE), 'right'), turned(back, upright(MIDDLE), 'right'), flat, back];
  DRAWN.set(key, looks);
  return looks;
}

/** Symbols drawn already, by kind and names of the pins: they are the same on every board. */
const DRAWN = new Map<string, readonly PartSymbol[]>();

/** Which of the ways of `twoPinSymbols` a part is drawn in. */
export const LOOKS = { upright: 0, upsideDown: 1, lying: 2, lyingBack: 3 } as const;
