import type { Analysis } from '../topology';
import { captionBox, captionOf } from './caption';
import { circuitOf, type Circuit } from './circuit';
import { labelsOf, netName } from './labels';
import type { Rail } from './ladder';
import { Plan } from './plan';
import { layPower } from './power';
import { settle } from './settle';
import { Sheet, STEP } from './sheet';
import type { Box, PlacedSymbol, Places, Schematic } from './types';
import { wire } from './wiring';

const MARGIN = 50;
const BARRIER = 40;
/** So often each part of the control is set anew where it is better. */
const ROUNDS = 1;

/** A schematic of a board, with the places its parts took. Give the places of the last drawing to keep it steady. */
export function drawSchematic(
  analysis: Analysis,
  before: Places = {},
): { readonly schematic: Schematic; readonly places: Places } {
  const circuit = circuitOf(analysis);
  const sheet = new Sheet(circuit);
  const { barrier, rails } = layPower(analysis, circuit, sheet);
  const plan = new Plan();
  for (const { net, level, from, to } of rails)
    plan.add({ net, a: { x: from, y: level }, b: { x: to, y: level }, owner: undefined });
  for (const { net, level, from, to } of rails)
    for (const { x, y, side } of sheet.standing(net))
      if ((side === 'top' || side === 'bottom') && x >= from - 60 && x <= to + 60)
        plan.add({ net, a: { x, y }, b: { x, y: level }, owner: undefined });
  settle({ circuit, sheet, plan, bounds: barrier === undefined ? {} : { barrier } }, ROUNDS);
  return { schematic: finish(analysis, circuit, sheet, rails, barrier), places: before };
}

function finish(
  analysis: Analysis,
  circuit: Circuit,
  sheet: Sheet,
  rails: readonly Rail[],
  barrier: number | undefined,
): Schematic {
  const bounds = sheet.bounds();
  const snap = (value: number) => Math.ceil(value / STEP) * STEP;
  const shift = { x: snap(MARGIN - bounds.left), y: snap(MARGIN - bounds.top) };
  const symbols = [...sheet.stood.values()].map(({ part, symbol, at }): PlacedSymbol => ({
    ref: part.ref,
    symbol,
    at: { x: at.x + shift.x, y: at.y + shift.y },
    caption: captionOf(part, symbol),
    isPower: circuit.isPower(part),
    side: circuit.placeOf(part),
  }));
  const size = { width: snap(bounds.right + shift.x + MARGIN), height: snap(bounds.bottom + shift.y + MARGIN) };
  const words = symbols.filter(({ symbol }) => symbol.captionAt !== 'inside').map(wordsAt);
  const { nets } = analysis.recognition.model;
  const trunks = rails.map(({ net, level, from, to }) => ({
    net,
    y: level + shift.y,
    from: from + shift.x,
    to: to + shift.x,
  }));
  const { wires, marks, dots } = wire(symbols, { size, words, trunks }, circuit, (net) => nets.closed(net));
  const bodies = symbols.map(({ at, symbol: { body } }) => moved(body, at));
  return {
    ...size,
    symbols,
    wires,
    labels: labelsOf(marks, [...words, ...bodies], (net) => netName(net, circuit)),
    dots,
    title: analysis.recognition.model.board.title ?? 'Traced board',
    ...(barrier === undefined ? {} : { barrier: { x: barrier + shift.x - BARRIER / 2, width: BARRIER } }),
  };
}

/** The box of a part's caption on the sheet. */
export const wordsAt = ({ caption, at }: PlacedSymbol): Box => moved(captionBox(caption), at);

const moved = ({ left, top, right, bottom }: Box, { x, y }: { x: number; y: number }): Box => ({
  left: left + x,
  right: right + x,
  top: top + y,
  bottom: bottom + y,
});
