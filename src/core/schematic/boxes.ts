import { captionBox } from './caption';
import type { Box, PlacedSymbol, Point } from './types';

/** A box moved by so much. */
export const shifted = ({ left, top, right, bottom }: Box, { x, y }: Point): Box => ({
  left: left + x,
  right: right + x,
  top: top + y,
  bottom: bottom + y,
});

/** The box of a part's caption on the sheet. */
export const wordsAt = ({ caption, at }: PlacedSymbol): Box => shifted(captionBox(caption), at);
