import type { ChipFamily } from './chip';

/** Where one leg stands on a drawing of the case: shares of its width and height, and the side it leaves by. */
export interface LegPlace {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly side: 'left' | 'right' | 'bottom';
}

/** How the legs of a case stand: in two rows, or in one. */
export interface Outline {
  readonly style: 'dual' | 'row';
  readonly legs: readonly LegPlace[];
}

const ONE_ROW = /^(?:TO-|SIP|SOT-(?:23|89|223)$|DPAK|D2PAK)/;

/**
 * The legs of a family's usual case. Seen from the top, two rows run anticlockwise from pin 1 at
 * the upper left; one row runs from the left with the print towards the reader. The solder side
 * is the same seen from below: left and right change places.
 */
export function outlineOf({ packages, legs }: Pick<ChipFamily, 'packages' | 'legs'>, mirrored: boolean): Outline {
  const style = ONE_ROW.test(packages[0] ?? '') ? 'row' : 'dual';
  const places = Array.from({ length: legs }, (_, index) => placeOf(index, legs, style));
  return { style, legs: mirrored ? places.map(mirror) : places };
}

function placeOf(index: number, legs: number, style: Outline['style']): LegPlace {
  const number = index + 1;
  if (style === 'row') return { number, x: (index + 0.5) / legs, y: 1, side: 'bottom' };
  const half = Math.ceil(legs / 2);
  const onLeft = index < half;
  const step = onLeft ? index : legs - 1 - index;
  return { number, x: onLeft ? 0 : 1, y: (step + 0.5) / half, side: onLeft ? 'left' : 'right' };
}

function mirror({ number, x, y, side }: LegPlace): LegPlace {
  return { number, x: 1 - x, y, side: side === 'left' ? 'right' : side === 'right' ? 'left' : side };
}
