import type { Shape } from '../types';

export const path = (d: string, more: { isFilled?: boolean; isHeavy?: boolean } = {}): Shape => ({ path: d, ...more });
export const filled = (d: string): Shape => path(d, { isFilled: true });
export const heavy = (d: string): Shape => path(d, { isHeavy: true });
export const word = (text: string, x: number, y: number, anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  text,
  at: { x, y },
  anchor,
});
