import type { BoardPart } from '../../board';
import type { PartSymbol } from '../types';
import { filled, heavy, path } from './shapes';
import { mirrored, turned } from './turn';

/** A bridge as its diamond: the lines come in at the left, plus leaves upwards, minus down. */
export const bridgeSymbol = (): PartSymbol => ({
  pins: [
    { pin: 'AC1', x: 0, y: 20, side: 'left' },
    { pin: 'AC2', x: 0, y: 40, side: 'left' },
    { pin: '+', x: 30, y: 0, side: 'top' },
    { pin: '-', x: 30, y: 60, side: 'bottom' },
  ],
  shapes: [
    path('M0 20H16M0 40H16M30 0V6M30 54V60M30 6L54 30L30 54L6 30Z'),
    path('M30 14V46M24 36L30 25L36 36Z'),
    heavy('M24 25H36'),
  ],
  body: { left: 6, top: 6, right: 54, bottom: 54 },
  captionAt: 'right',
});

/** An optocoupler: its transistor at the left, its LED at the right, or the other way round. */
export function optocouplerSymbols(): readonly PartSymbol[] {
  const symbol: PartSymbol = {
    pins: [
      { pin: 'C', x: 0, y: 20, side: 'left' },
      { pin: 'E', x: 0, y: 60, side: 'left' },
      { pin: 'A', x: 80, y: 20, side: 'right' },
      { pin: 'K', x: 80, y: 60, side: 'right' },
    ],
    shapes: [
      path('M10 10H70V70H10Z'),
      path('M0 20H20L30 34M30 46L20 60H0'),
      heavy('M30 28V52'),
      filled('M20 60L23 52L29 56Z'),
      path('M80 20H58V60H80M51 34H65L58 48Z'),
      heavy('M51 48H65'),
      path('M48 36L38 36M38 36L42 34M38 36L42 38M48 44L38 44M38 44L42 42M38 44L42 46'),
    ],
    body: { left: 10, top: 10, right: 70, bottom: 70 },
    captionAt: 'above',
  };
  return [symbol, turned(symbol, mirrored(40))];
}

/** Two diodes of one case: side by side where an anode or a cathode is shared, in line otherwise. */
export function dualDiodeSymbols({ pins }: BoardPart): readonly PartSymbol[] | undefined {
  if ('M' in pins) {
    const row: PartSymbol = {
      pins: [
        { pin: 'K', x: 30, y: 0, side: 'top' },
        { pin: 'A', x: 30, y: 100, side: 'bottom' },
        { pin: 'M', x: 0, y: 50, side: 'left' },
      ],
      shapes: [path('M30 0V100M0 50H30'), path('M20 36L30 20L40 36ZM20 84L30 68L40 84Z'), heavy('M20 20H40M20 68H40')],
      body: { left: 18, top: 16, right: 42, bottom: 88 },
      captionAt: 'right',
    };
    return [row, turned(row, mirrored(30), 'left')];
  }
  const isCathode = 'K' in pins;
  const [upper, lower, common] = isCathode ? ['A1', 'A2', 'K'] : ['K1', 'K2', 'A'];
  if (![upper, lower, common].every((pin) => pin in pins)) return undefined;
  const triangles = isCathode ? 'M18 10L34 20L18 30ZM18 50L34 60L18 70Z' : 'M34 10L18 20L34 30ZM34 50L18 60L34 70Z';
  const bars = isCathode ? 'M34 10V30M34 50V70' : 'M18 10V30M18 50V70';
  const pair: PartSymbol = {
    pins: [
      { pin: upper, x: 0, y: 20, side: 'left' },
      { pin: lower, x: 0, y: 60, side: 'left' },
      { pin: common, x: 60, y: 20, side: 'right' },
    ],
    shapes: [
      path('M0 20H60M0 60H44V20'),
      path(triangles),
      heavy(bars),
      filled('M42 20A2 2 0 1 1 46 20A2 2 0 1 1 42 20'),
    ],
    body: { left: 14, top: 8, right: 48, bottom: 72 },
    captionAt: 'above',
  };
  return [pair, turned(pair, mirrored(30))];
}
