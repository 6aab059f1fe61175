import type { BoardPart } from '../board';
import { symbolsOf } from './symbols';
import type { PartSymbol } from './types';

/** A part’s symbol by itself, as it is drawn lying in the way of the power. */
export function loneSymbol(part: BoardPart): PartSymbol | undefined {
  const windings = part.windings ?? [
    ['1', '2'],
    ['3', '4'],
  ];
  return symbolsOf(part, {
    isBlock: () => false,
    isChoke: () => false,
    windingsOf: () =>
      windings.slice(0, 2).map((pins, index) => ({ pins: pins.slice(0, 2), side: index === 0 ? 'left' : 'right' })),
    sidesOf: ({ pins }) => {
      const names = Object.keys(pins).slice(0, 6);
      const half = Math.ceil(names.length / 2);
      return { left: names.slice(0, half), right: names.slice(half), top: [], bottom: [] };
    },
    pinNameOf: (_, pin) => pin,
    isEntering: () => true,
  })[0];
}
