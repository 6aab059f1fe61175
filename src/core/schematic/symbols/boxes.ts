import type { BoardPart } from '../../board';
import { LETTER } from '../caption';
import type { PartSymbol, Shape, Side, SymbolPin } from '../types';
import { path, word } from './shapes';

/** Pins of a chip by the side of its box that what they do asks for. */
export type ChipSides = Readonly<Record<Side, readonly string[]>>;

const LEAST_WIDTH = 100;
/** What a letter of a pin's name takes, and what stays free between title and names. */
const PIN_LETTER = 6;
const BETWEEN_WORDS = 30;
const LEAD = 10;
/** Above so many pins on a side they stand closer. */
const FEW = 6;
const LETTERS = 7;

/** A chip: supply pins up, returns down, inputs at the left, outputs at the right, each with its name where it is known. */
export function chipSymbol(
  sides: ChipSides,
  nameOf: (pin: string) => string,
  { leastWidth, letters }: { readonly leastWidth: number; readonly letters: number } = {
    leastWidth: LEAST_WIDTH,
    letters: LETTERS,
  },
): PartSymbol {
  const most = Math.max(sides.left.length, sides.right.length, 1);
  const pitch = most > FEW ? 20 : 30;
  const across = Math.max(sides.top.length, sides.bottom.length);
  const width = Math.max(leastWidth, across * 30 + 20);
  const height = Math.max(60, most * pitch + 20);
  const [right, bottom] = [LEAD + width, LEAD + height];
  const pins: SymbolPin[] = [];
  const shapes: Shape[] = [path(`M${LEAD} ${LEAD}H${right}V${bottom}H${LEAD}Z`)];
  const label = (pin: string) => nameOf(pin).slice(0, letters);
  const start = LEAD + 10 + Math.floor((height - 20 - most * pitch) / 20) * 10 + Math.floor(pitch / 20) * 10;
  for (const side of ['left', 'right'] as const)
    sides[side].forEach((pin, index) => {
      const isLeft = side === 'left';
      const at = { x: isLeft ? 0 : right + LEAD, y: start + index * pitch };
      pins.push({ pin, ...at, side });
      shapes.push(
        path(isLeft ? `M0 ${at.y}H${LEAD}` : `M${right} ${at.y}H${right + LEAD}`),
        word(label(pin), isLeft ? LEAD + 3 : right - 3, at.y + 3, isLeft ? 'start' : 'end'),
      );
    });
  for (const side of ['top', 'bottom'] as const)
    sides[side].forEach((pin, index) => {
      const isTop = side === 'top';
      const span = (sides[side].length - 1) * 30;
      const x = LEAD + Math.round((width - span) / 20) * 10 + index * 30;
      pins.push({ pin, x, y: isTop ? 0 : bottom + LEAD, side });
      shapes.push(
        path(isTop ? `M${x} 0V${LEAD}` : `M${x} ${bottom}V${bottom + LEAD}`),
        word(label(pin), x, isTop ? LEAD + 9 : bottom - 4),
      );
    });
  return { pins, shapes, body: { left: LEAD, top: LEAD, right, bottom }, captionAt: 'inside' };
}

/** A part of the circuit in one box: as a chip, with a second line within, room for its title, and the whole names of its pins. */
export function blockSymbol(sides: ChipSides, title: string): PartSymbol {
  // The title stands in the middle, whichever side has the longer names.
  const longest = Math.max(0, ...[...sides.left, ...sides.right].map((pin) => pin.length));
  const words = 2 * longest * PIN_LETTER + title.length * LETTER.ref;
  const symbol = chipSymbol(sides, (pin) => pin, {
    leastWidth: Math.ceil((words + BETWEEN_WORDS) / 20) * 20,
    letters: Infinity,
  });
  const { left, top, right, bottom } = symbol.body;
  return {
    ...symbol,
    shapes: [...symbol.shapes, path(`M${left + 3} ${top + 3}H${right - 3}V${bottom - 3}H${left + 3}Z`)],
  };
}

/** A connector: a round for each pin, with what it is called. */
export function connectorSymbol(
  part: BoardPart,
  names: readonly string[],
  faces: 'left' | 'right',
  levelOf: (index: number) => number,
): PartSymbol {
  const isRight = faces === 'right';
  const pins = names.map((pin, index): SymbolPin => ({
    pin,
    x: isRight ? 30 : 0,
    y: 10 + levelOf(index),
    side: faces,
  }));
  const shapes = pins.flatMap(({ pin, y }) => [
    path(isRight ? `M21 ${y}H30` : `M0 ${y}H9`),
    path(`M${isRight ? 13 : 9} ${y}A4 4 0 1 1 ${isRight ? 21 : 17} ${y}A4 4 0 1 1 ${isRight ? 13 : 9} ${y}`),
    word((part.pinNames?.[pin] ?? pin).slice(0, LETTERS), isRight ? 8 : 22, y + 3, isRight ? 'end' : 'start'),
  ]);
  return {
    pins,
    shapes,
    body: { left: 0, top: 2, right: 30, bottom: 18 + levelOf(Math.max(0, names.length - 1)) },
    captionAt: 'above',
  };
}
