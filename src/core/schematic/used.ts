import type { Box, Schematic } from './types';

/** Room around a drawing, in its own units. */
const EDGE = 16;

/** The part of a drawing that is drawn on. */
export function usedBox({ symbols, wires, labels }: Schematic): Box {
  const points = [
    ...wires.flatMap((wire) => wire.points),
    ...labels.map(({ at }) => at),
    ...symbols.flatMap(({ at, symbol: { body }, caption }) => [
      { x: at.x + body.left, y: at.y + body.top },
      { x: at.x + body.right + (caption.anchor === 'start' ? 70 : 0), y: at.y + body.bottom },
      ...caption.lines.map((line) => ({ x: at.x + line.x, y: at.y + line.y - 34 })),
    ]),
  ];
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return {
    left: Math.min(...xs) - EDGE,
    right: Math.max(...xs) + EDGE,
    top: Math.min(...ys) - EDGE,
    bottom: Math.max(...ys) + EDGE,
  };
}
