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
