import { LETTER } from './caption';
import type { Circuit } from './circuit';
import { stubEnd } from './route';
import type { Box, NetLabel, Side } from './types';
import type { Mark } from './wiring';

/** Where the words of a label begin, from the end of its lead. */
const OFF = 4;
const HIGH = LETTER.line;
/** Where there is no room at the lead, words stand so far over or under it, and so far aside, the nearest first. */
const ROWS = [0, HIGH, 2 * HIGH, 3 * HIGH, 4 * HIGH];
const ASIDE = [-8, 4, 14, 24, 34, 48];

/** The words of every mark and where they stand: beyond the lead, or where there is room beside it. */
export function labelsOf(marks: readonly Mark[], taken: readonly Box[], circuit: Circuit): readonly NetLabel[] {
  const boxes = [...taken];
  const names =
    circuit.names ??
    netNames(
      marks.filter(isNamed).map(({ net }) => net),
      circuit,
    );
  return marks.map(({ terminal, ...mark }) => {
    const end = stubEnd(terminal);
    const at = { x: end.x, y: end.y };
    if (!isNamed(mark)) return { ...mark, at, side: terminal.side, text: '' };
    const text = names.get(mark.net) ?? '';
    const sides: readonly Side[] = [terminal.side, 'top', 'bottom', 'right', 'left'];
    const wide = text.length * LETTER.value;
    const spots: readonly Pick<NetLabel, 'side' | 'nudge'>[] = [
      ...sides.map((side) => ({ side })),
      ...ROWS.flatMap((away) =>
        ASIDE.flatMap((off) =>
          (['top', 'bottom'] as const).flatMap((side) =>
            [1, -1].map((way) => ({
              side,
              nudge: { x: way * (wide / 2 + off), y: side === 'top' ? -away : away },
            })),
          ),
        ),
      ),
    ];
    const spot = spots.find((one) => {
      const box = wordBox({ at, text, ...one });
      return !boxes.some((other) => overlap(box, other));
    }) ?? { side: terminal.side };
    boxes.push(wordBox({ at, text, ...spot }));
    return { ...mark, at, text, ...spot };
  });
}

/** The box of a label's words, by the side of its point they stand at. */
export function wordBox({
  at: { x, y },
  side,
  text,
  nudge = { x: 0, y: 0 },
}: Pick<NetLabel, 'at' | 'side' | 'text' | 'nudge'>): Box {
  const wide = text.length * LETTER.value + 2;
  const [left, top] =
    side === 'left'
      ? [x - OFF - wide, y - HIGH / 2]
      : side === 'right'
        ? [x + OFF, y - HIGH / 2]
        : [x - wide / 2 + nudge.x, (side === 'top' ? y - OFF - HIGH : y + OFF) + nudge.y];
  return { left, top, right: left + wide, bottom: top + HIGH };
}

const overlap = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const isNamed = ({ kind }: Pick<NetLabel, 'kind'>) => kind === 'name' || kind === 'supply';

/** Longer names of pins are no help on a drawing. */
const LONGEST = 6;

/** Short names for nets, each its own: what the net supplies or what a chip calls its pin, and a number where that is not known or not enough. */
export function netNames(named: readonly number[], circuit: Circuit): ReadonlyMap<number, string> {
  const byName = new Map<string, number[]>();
  for (const net of new Set(named)) {
    const name = circuit.supplies.get(net) ?? pinNameOn(net, circuit) ?? 'n';
    byName.set(name, [...(byName.get(name) ?? []), net]);
  }
  return new Map(
    [...byName].flatMap(([name, nets]) =>
      nets.map(
        (net, index) =>
          [net, nets.length > 1 || name === 'n' || circuit.returns.has(net) ? `${name}${index + 1}` : name] as const,
      ),
    ),
  );
}

function pinNameOn(net: number, { pinsOn, symbols }: Circuit): string | undefined {
  return pinsOn(net)
    .filter(({ part }) => part.kind === 'ic')
    .map(({ part, pin }) => symbols.pinNameOf(part, pin))
    .find((name) => /[A-Za-z]$/.test(name) && name.length > 1 && name.length <= LONGEST);
}
