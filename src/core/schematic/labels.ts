import { LETTER } from './caption';
import type { Circuit } from './circuit';
import { stubEnd } from './route';
import type { Box, NetLabel, Point, Side } from './types';
import type { Mark } from './wiring';

/** Where the words of a label begin, from the end of its lead. */
const OFF = 4;
const HIGH = LETTER.line;

/** The words of every mark and where they stand: beyond the lead, or where there is room beside it. */
export function labelsOf(
  marks: readonly Mark[],
  taken: readonly Box[],
  textOf: (net: number) => string,
): readonly NetLabel[] {
  const boxes = [...taken];
  return marks.map(({ terminal, ...mark }) => {
    const end = stubEnd(terminal);
    const at = { x: end.x, y: end.y };
    if (mark.kind !== 'name' && mark.kind !== 'supply') return { ...mark, at, side: terminal.side, text: '' };
    const text = textOf(mark.net);
    const sides: readonly Side[] = [terminal.side, 'top', 'bottom', 'right', 'left'];
    const options = sides.flatMap((side) =>
      [text, text.split(' ')[0] ?? text, text.slice(0, 3)].map((words) => ({
        side,
        words,
        box: wordBox(at, side, words),
      })),
    );
    const free = options.find(({ box }) => !boxes.some((other) => overlap(box, other)));
    if (!free) return { ...mark, at, side: terminal.side, text: '' };
    boxes.push(free.box);
    return { ...mark, at, side: free.side, text: free.words };
  });
}

/** The box of a label's words, by the side of its point they stand at. */
export function wordBox({ x, y }: Point, side: Side, text: string): Box {
  const wide = text.length * LETTER.value + 2;
  const [left, top] =
    side === 'left'
      ? [x - OFF - wide, y - HIGH / 2]
      : side === 'right'
        ? [x + OFF, y - HIGH / 2]
        : [x - wide / 2, side === 'top' ? y - OFF - HIGH : y + OFF];
  return { left, top, right: left + wide, bottom: top + HIGH };
}

const overlap = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** A short name for a net: what it supplies, a connector's pin, or the pin that says most about it. */
export function netName(net: number, circuit: Circuit): string {
  const supply = circuit.supplies.get(net);
  if (supply !== undefined) return supply;
  const pins = circuit.pinsOn(net);
  const connector = pins.find(({ part }) => part.kind === 'connector');
  const order = ['nmos', 'npn', 'ic', 'transformer', 'dual-diode', 'diode'];
  const best =
    connector ??
    pins
      .filter(({ part }) => order.includes(part.kind))
      .toSorted((a, b) => order.indexOf(a.part.kind) - order.indexOf(b.part.kind))[0] ??
    pins[0];
  return best ? `${best.part.ref}.${best.pin}` : '';
}
