import type { BoardPart } from '../../board';
import type { PartSymbol, Shape, SymbolPin } from '../types';
import { filled, heavy, path, word } from './shapes';

/** A winding by its pins in order, and the side of the core it is drawn on. */
export interface DrawnWinding {
  readonly pins: readonly string[];
  readonly side: 'left' | 'right';
}

const WIDTH = 80;
/** From one pin of a winding to the next, and from one winding to the one below. */
const TURN = 40;
const APART = { left: 40, right: 100 } as const;
const TOP = 10;

/** A transformer: windings left and right of its core, dots where they are known, single pins where windings are not. */
export function transformerSymbol(windings: readonly DrawnWinding[], dots: readonly string[]): PartSymbol {
  const known = new Set(dots);
  const pins: SymbolPin[] = [];
  const shapes: Shape[] = [];
  const column = (side: 'left' | 'right') => {
    const isLeft = side === 'left';
    const [edge, coil, bulge] = isLeft ? [0, 24, 1] : [WIDTH, 56, 0];
    let y = TOP;
    for (const winding of windings.filter((one) => one.side === side)) {
      winding.pins.forEach((pin, index) => {
        pins.push({ pin, x: edge, y, side });
        shapes.push(path(`M${edge} ${y}H${coil}`), word(pin, isLeft ? 12 : 68, y - 2));
        if (known.has(pin)) {
          const x = isLeft ? coil + 7 : coil - 7;
          shapes.push(filled(`M${x - 2} ${y + 1}A2 2 0 1 1 ${x + 2} ${y + 1}A2 2 0 1 1 ${x - 2} ${y + 1}`));
        }
        if (index === winding.pins.length - 1) return;
        const arcs = [10, 20, 30, 40].map((down) => `A5 5 0 0 ${bulge} ${coil} ${y + down}`).join('');
        shapes.push(heavy(`M${coil} ${y}${arcs}`));
        y += TURN;
      });
      y += APART[side];
    }
    return y - APART[side];
  };
  const bottom = Math.max(column('left'), column('right'), TOP + TURN) + 10;
  shapes.push(path(`M37.5 4V${bottom - 4}M42.5 4V${bottom - 4}`));
  return { pins, shapes, body: { left: 16, top: 0, right: 64, bottom }, captionAt: 'above' };
}

/** A choke with windings beside its own: its own lies in the line above the core, the others below. */
export function woundChoke(windings: readonly DrawnWinding[], dots: readonly string[]): PartSymbol {
  const known = new Set(dots);
  const pins: SymbolPin[] = [];
  const shapes: Shape[] = [];
  windings.forEach(({ pins: own }, index) => {
    const y = index === 0 ? 10 : 10 + index * 30;
    const [first, last] = [own[0], own.at(-1)];
    if (first === undefined || last === undefined) return;
    pins.push({ pin: first, x: 0, y, side: 'left' });
    if (last !== first) pins.push({ pin: last, x: 80, y, side: 'right' });
    own
      .slice(1, -1)
      .forEach((pin, at) => pins.push({ pin, x: 30 + at * 20, y: 30 + windings.length * 30, side: 'bottom' }));
    const arcs = [29, 40, 51, 62].map((x) => `A5.5 5.5 0 0 ${index === 0 ? 1 : 0} ${x} ${y}`).join('');
    shapes.push(path(`M0 ${y}H18M62 ${y}H80`), heavy(`M18 ${y}${arcs}`));
    if (known.has(first)) shapes.push(filled(`M12 ${y - 6}A2 2 0 1 1 16 ${y - 6}A2 2 0 1 1 12 ${y - 6}`));
    if (known.has(last)) shapes.push(filled(`M64 ${y - 6}A2 2 0 1 1 68 ${y - 6}A2 2 0 1 1 64 ${y - 6}`));
  });
  shapes.push(path('M18 17H62M18 20H62'));
  const bottom = 10 + (windings.length - 1) * 30 + 10;
  const taps = pins.filter(({ side }) => side === 'bottom');
  for (const { x, y } of taps) shapes.push(path(`M${x} ${y}V${bottom}`));
  return { pins, shapes, body: { left: 12, top: 2, right: 68, bottom }, captionAt: 'above' };
}

/** Two coils on one core, one in each line; 100 apart, as the lines of an input are drawn. */
export function commonModeChoke(part: BoardPart): PartSymbol {
  const [a = '1', b = '2', c = '3', d = '4'] = (
    part.windings ?? [
      ['1', '2'],
      ['3', '4'],
    ]
  ).flat();
  const coil = (y: number, bulge: number) =>
    `M8 ${y}${[19, 30, 41, 52].map((x) => `A5.5 5.5 0 0 ${bulge} ${x} ${y}`).join('')}`;
  return {
    pins: [
      { pin: a, x: 0, y: 10, side: 'left' },
      { pin: b, x: 60, y: 10, side: 'right' },
      { pin: c, x: 0, y: 110, side: 'left' },
      { pin: d, x: 60, y: 110, side: 'right' },
    ],
    shapes: [
      path('M0 10H8M52 10H60M0 110H8M52 110H60M10 57H50M10 63H50'),
      heavy(coil(10, 0)),
      heavy(coil(110, 1)),
      filled('M4 4A2 2 0 1 1 8 4A2 2 0 1 1 4 4M4 116A2 2 0 1 1 8 116A2 2 0 1 1 4 116'),
    ],
    body: { left: 4, top: 2, right: 56, bottom: 118 },
    captionAt: 'above',
  };
}
