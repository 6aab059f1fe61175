import type { BoardPart } from '../board';
import { formatShorthand, type Unit } from '../quantity';
import type { Box, CaptionLine, PartSymbol, PlacedSymbol } from './types';

/** Sizes of type: the reference stands larger than what is known of the part, and the names of pins are smallest. */
export const TYPE = { ref: 13, value: 11, pin: 9.5 } as const;
/** What letters of a caption take: the type is six tenths as wide as it is high. */
export const LETTER = { ref: 7.9, value: 6.7, line: 13, ascent: 10.5 } as const;
/** Longer words are parted or cut. */
const LONGEST = 11;
/** What the names of pins take of the width of a box. */
const BESIDE_NAMES = 80;
/** A line over a body may be so much wider than it. */
const OVER = 30;

/** The values of a part as they stand beside its symbol, a line each, as IEC 60062 writes them (`4k7`), or its marking. */
export function valueLines({ value, marking, kind }: BoardPart, most: number): readonly string[] {
  const short = (amount: number | undefined, unit: Unit) =>
    amount === undefined ? [] : [formatShorthand(amount, unit, 3).replace('u', 'µ')];
  const lines = [
    ...short(value?.resistance, 'ohm'),
    ...short(value?.capacitance, 'farad'),
    ...short(value?.inductance, 'henry'),
    ...(kind === 'resistor' ? [] : short(value?.voltage, 'volt')),
    ...(kind === 'fuse' ? short(value?.current, 'ampere') : []),
  ];
  const known = lines.length > 0 ? lines.slice(0, 2) : marking ? [marking] : [];
  return known.map((line) => (line.length > most ? `${line.slice(0, most - 1)}…` : line));
}

/** The lines of a caption in the coordinates of the symbol. */
export function captionOf(part: BoardPart, symbol: PartSymbol): PlacedSymbol['caption'] {
  const { body, captionAt } = symbol;
  // A wide box has room beside the names of its pins.
  const within = Math.floor((body.right - body.left - BESIDE_NAMES) / LETTER.value);
  const texts = [part.ref, ...valueLines(part, captionAt === 'inside' ? Math.max(LONGEST, within) : LONGEST)];
  const middle = { x: (body.left + body.right) / 2, y: (body.top + body.bottom) / 2 };
  const inLine = [texts.join(' ')];
  const lines = captionAt === 'above' && width(inLine) <= body.right - body.left + OVER ? inLine : texts;
  const high = lines.length * LETTER.line;
  const top = captionAt === 'above' ? body.top - 4 - high : middle.y - high / 2;
  const x = captionAt === 'right' ? body.right + 5 : captionAt === 'left' ? body.left - 5 : middle.x;
  return {
    anchor: captionAt === 'right' ? 'start' : captionAt === 'left' ? 'end' : 'middle',
    lines: lines.map((text, index): CaptionLine => ({ text, x, y: top + index * LETTER.line + LETTER.ascent })),
  };
}

const width = (lines: readonly string[]) =>
  Math.max(0, ...lines.map((text, index) => text.length * (index === 0 ? LETTER.ref : LETTER.value)));

/** The box round a caption, in the coordinates of the symbol. */
export function captionBox({ anchor, lines }: PlacedSymbol['caption']): Box {
  const wide = width(lines.map(({ text }) => text));
  const [first] = lines;
  if (!first) return { left: 0, right: 0, top: 0, bottom: 0 };
  const left = anchor === 'start' ? first.x : anchor === 'end' ? first.x - wide : first.x - wide / 2;
  const top = first.y - LETTER.ascent;
  return { left, right: left + wide, top, bottom: top + lines.length * LETTER.line };
}
