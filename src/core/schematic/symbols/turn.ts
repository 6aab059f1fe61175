import type { Box, PartSymbol, Point, Shape, Side } from '../types';

/** How a symbol is turned: points, and whether arcs run the other way round. */
export interface Turn {
  readonly point: (at: Point) => Point;
  readonly side: (side: Side) => Side;
  readonly isMirror: boolean;
}

const SWAPPED: Readonly<Record<Side, Side>> = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' };
const UPRIGHT: Readonly<Record<Side, Side>> = { left: 'top', right: 'bottom', top: 'right', bottom: 'left' };

/** Left and right change places about a middle. */
export const mirrored = (middle: number): Turn => ({
  point: ({ x, y }) => ({ x: 2 * middle - x, y }),
  side: (side) => (side === 'left' || side === 'right' ? SWAPPED[side] : side),
  isMirror: true,
});

/** A quarter turn about a point, what was left upwards. */
export const upright = (middle: number): Turn => ({
  point: ({ x, y }) => ({ x: 2 * middle - y, y: x }),
  side: (side) => UPRIGHT[side],
  isMirror: false,
});

/** A symbol turned; its caption goes to the other side when it is mirrored, beside it when it is set upright. */
export function turned(symbol: PartSymbol, turn: Turn, captionAt = symbol.captionAt): PartSymbol {
  const [a, b] = [
    turn.point({ x: symbol.body.left, y: symbol.body.top }),
    turn.point({ x: symbol.body.right, y: symbol.body.bottom }),
  ];
  return {
    body: boxOf([a, b]),
    captionAt,
    pins: symbol.pins.map((pin) => ({ ...pin, ...turn.point(pin), side: turn.side(pin.side) })),
    shapes: symbol.shapes.map((shape) => turnedShape(shape, turn)),
  };
}

/** The smallest box round points. */
export const boxOf = (points: readonly Point[]): Box => ({
  left: Math.min(...points.map(({ x }) => x)),
  top: Math.min(...points.map(({ y }) => y)),
  right: Math.max(...points.map(({ x }) => x)),
  bottom: Math.max(...points.map(({ y }) => y)),
});

function turnedShape(shape: Shape, turn: Turn): Shape {
  if ('path' in shape) return { ...shape, path: turnedPath(shape.path, turn) };
  const anchor =
    turn.isMirror && shape.anchor !== 'middle' ? (shape.anchor === 'start' ? 'end' : 'start') : shape.anchor;
  return { ...shape, at: turn.point(shape.at), anchor };
}

/** Turns the absolute commands M, L, H, V, A and Z of a path. */
function turnedPath(d: string, turn: Turn): string {
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
      const point = turn.point({ x: nx, y: ny });
      return `${point.x} ${point.y}`;
    };
    if (command === 'Z') out.push('Z');
    else if (command === 'H') for (const value of numbers) out.push(`L${to(value, y)}`);
    else if (command === 'V') for (const value of numbers) out.push(`L${to(x, value)}`);
    else if (command === 'A')
      for (let at = 0; at + 6 < numbers.length; at += 7) {
        const [rx = 0, ry = 0, rotation = 0, large = 0, sweep = 0, ex = 0, ey = 0] = numbers.slice(at, at + 7);
        out.push(`A${rx} ${ry} ${rotation} ${large} ${turn.isMirror ? 1 - sweep : sweep} ${to(ex, ey)}`);
      }
    else
      for (let at = 0; at + 1 < numbers.length; at += 2)
        out.push(`${at === 0 ? command : 'L'}${to(numbers[at] ?? 0, numbers[at + 1] ?? 0)}`);
  }
  return out.join('');
}
