import type { Analysis } from '../topology';
import { wordsAt } from './boxes';
import { wordBox } from './labels';
import type { Box, Schematic } from './types';

const list = ({ left, top, right, bottom }: Box) => [left, top, right, bottom] as const;

/** The drawing as plain figures, for programs that check it: boxes as left, top, right, bottom. */
export function geometryOf(schematic: Schematic, { recognition }: Analysis) {
  const { board, nets } = recognition.model;
  const names = new Map<number, string>();
  for (const { ref, pins } of board.parts)
    for (const [pin, name] of Object.entries(pins)) {
      const net = nets.of(`${ref}.${pin}`);
      if (!names.has(net)) names.set(net, name ?? `${ref}.${pin}`);
    }
  const nameOf = (net: number) => names.get(net) ?? String(net);
  const { width, height, symbols, wires, labels } = schematic;
  return {
    page: { width, height },
    symbols: symbols.map(({ ref, at, symbol: { body, pins } }) => ({
      ref,
      box: [body.left + at.x, body.top + at.y, body.right + at.x, body.bottom + at.y],
      pins: Object.fromEntries(pins.map(({ pin, x, y }) => [pin, [at.x + x, at.y + y]])),
    })),
    wires: wires.map(({ net, points }) => ({ net: nameOf(net), points: points.map(({ x, y }) => [x, y]) })),
    names: labels
      .filter(({ kind }) => kind === 'name' || kind === 'supply')
      .map(({ net, text, at, kind, pins }) => ({
        net: nameOf(net),
        text,
        at: [at.x, at.y],
        pins,
        supply: kind === 'supply',
      })),
    grounds: labels
      .filter(({ kind }) => kind === 'ground' || kind === 'isolated-ground')
      .map(({ net, at, kind }) => ({
        net: nameOf(net),
        at: [at.x, at.y],
        kind: kind === 'ground' ? 'mains' : 'isolated',
      })),
    words: [
      ...symbols
        .filter(({ symbol }) => symbol.captionAt !== 'inside')
        .map((symbol) => ({
          text: symbol.caption.lines.map(({ text }) => text).join(' '),
          box: list(wordsAt(symbol)),
        })),
      ...labels.filter(({ text }) => text !== '').map((label) => ({ text: label.text, box: list(wordBox(label)) })),
    ],
  };
}
