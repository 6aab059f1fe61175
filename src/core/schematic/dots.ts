import { STEP } from './sheet';
import type { Schematic, Wire } from './types';

/** Points where three or more wires of a net meet. */
export function dotsOf(wires: readonly Wire[]): Schematic['dots'] {
  const arms = new Map<string, { net: number; x: number; y: number; ways: Set<string> }>();
  for (const { net, points } of wires)
    points.slice(1).forEach((to, index) => {
      const from = points[index];
      if (!from) return;
      const [dx, dy] = [Math.sign(to.x - from.x), Math.sign(to.y - from.y)];
      const steps = Math.max(Math.abs(to.x - from.x), Math.abs(to.y - from.y)) / STEP;
      for (let step = 0; step <= steps; step += 1) {
        const [x, y] = [from.x + dx * step * STEP, from.y + dy * step * STEP];
        const key = `${net} ${x} ${y}`;
        const arm = arms.get(key) ?? { net, x, y, ways: new Set<string>() };
        arms.set(key, arm);
        if (step < steps) arm.ways.add(`${dx} ${dy}`);
        if (step > 0) arm.ways.add(`${-dx} ${-dy}`);
      }
    });
  return [...arms.values()].filter(({ ways }) => ways.size > 2).map(({ net, x, y }) => ({ net, x, y }));
}
