import type { NetLabel } from './types';

const ACROSS: Readonly<Record<NetLabel['side'], { readonly dx: number; readonly dy: number }>> = {
  left: { dx: -1, dy: 0 },
  right: { dx: 1, dy: 0 },
  top: { dx: 0, dy: -1 },
  bottom: { dx: 0, dy: 1 },
};
const HALF = 7;
const APART = 4;

/** The bar of a ground across the end of a lead; the one behind the barrier has a shorter second bar. */
export function groundPath({ at: { x, y }, side, kind }: Pick<NetLabel, 'at' | 'side' | 'kind'>): string {
  const { dx, dy } = ACROSS[side];
  const bar = (away: number, half: number) =>
    dx === 0 ? `M${x - half} ${y + dy * away}H${x + half}` : `M${x + dx * away} ${y - half}V${y + half}`;
  return kind === 'isolated-ground' ? bar(0, HALF) + bar(APART, HALF / 2) : bar(0, HALF);
}

/** The bar of a supply's sign, across the end of its lead. */
export function supplyPath({ at: { x, y }, side }: Pick<NetLabel, 'at' | 'side'>): string {
  return side === 'top' || side === 'bottom' ? `M${x - 5} ${y}H${x + 5}` : `M${x} ${y - 5}V${y + 5}`;
}

/** Where the words of a label stand from the end of its lead. */
export function wordsOf({ side, nudge = { x: 0, y: 0 } }: Pick<NetLabel, 'side' | 'nudge'>): {
  readonly dx: number;
  readonly dy: number;
  readonly anchor: 'start' | 'middle' | 'end';
} {
  if (side === 'left') return { dx: -5, dy: 3, anchor: 'end' };
  if (side === 'right') return { dx: 5, dy: 3, anchor: 'start' };
  return { dx: nudge.x, dy: (side === 'top' ? -6 : 13) + nudge.y, anchor: 'middle' };
}
