import { analyse } from '../topology';
import { CORPUS } from '../topology/fixtures/corpus';
import { drawSchematic, schematicSvg, type PlacedSymbol, type Point, type Schematic } from '.';

const inside = ({ at, symbol }: PlacedSymbol, { x, y }: Point) =>
  x > at.x && x < at.x + symbol.width && y > at.y && y < at.y + symbol.height;
const overlap = (a: PlacedSymbol, b: PlacedSymbol) =>
  a.at.x < b.at.x + b.symbol.width &&
  b.at.x < a.at.x + a.symbol.width &&
  a.at.y < b.at.y + b.symbol.height &&
  b.at.y < a.at.y + a.symbol.height;

/** Points of a wire every five units. */
const alongWire = ({ points }: Schematic['wires'][number]): readonly Point[] =>
  points.slice(1).flatMap((to, index) => {
    const from = points[index] ?? to;
    const steps = Math.max(1, Math.round((Math.abs(to.x - from.x) + Math.abs(to.y - from.y)) / 5));
    return Array.from({ length: steps + 1 }, (_, step) => ({
      x: from.x + ((to.x - from.x) * step) / steps,
      y: from.y + ((to.y - from.y) * step) / steps,
    }));
  });

test.each(CORPUS.map(({ name, board }) => [name, board] as const))(
  '%s: no symbol on another, no wire through one, every pin drawn',
  (_, board) => {
    const { schematic } = drawSchematic(analyse(board));
    const { symbols, wires, labels } = schematic;
    const overlapping = symbols.flatMap((symbol, index) =>
      symbols.slice(index + 1).flatMap((other) => (overlap(symbol, other) ? [`${symbol.ref} ${other.ref}`] : [])),
    );
    const pierced = wires.flatMap((wire) =>
      alongWire(wire).flatMap((point) => symbols.flatMap((symbol) => (inside(symbol, point) ? [symbol.ref] : []))),
    );
    expect({ overlapping, pierced }).toEqual({ overlapping: [], pierced: [] });
    const drawn = new Set(symbols.flatMap(({ ref, symbol }) => symbol.pins.map(({ pin }) => `${ref}.${pin}`)));
    expect(
      board.parts
        .flatMap(({ ref, pins }) => Object.keys(pins).map((pin) => `${ref}.${pin}`))
        .filter((pin) => !drawn.has(pin)),
    ).toEqual([]);
    expect(
      labels.every(({ at }) => at.x >= 0 && at.y >= 0 && at.x <= schematic.width && at.y <= schematic.height),
    ).toBe(true);
  },
);

test('wires of two nets never run along each other', () => {
  for (const { board } of CORPUS) {
    const owner = new Map<string, number>();
    const shared: string[] = [];
    for (const { net, points } of drawSchematic(analyse(board)).schematic.wires)
      points.slice(1).forEach((to, index) => {
        const from = points[index] ?? to;
        const isUpright = from.x === to.x;
        const length = Math.abs(to.x - from.x) + Math.abs(to.y - from.y);
        for (let step = 0; step < length / 10; step += 1) {
          const x = from.x + Math.sign(to.x - from.x) * (step * 10 + 5);
          const y = from.y + Math.sign(to.y - from.y) * (step * 10 + 5);
          const key = `${isUpright ? `${from.x} ${y} |` : `${x} ${from.y} -`}`;
          if ((owner.get(key) ?? net) !== net) shared.push(key);
          owner.set(key, net);
        }
      });
    expect(shared).toEqual([]);
  }
});

test('one more join leaves the other parts where they were', () => {
  const board = CORPUS.find(({ name }) => name === 'printer-adapter-24v')?.board;
  if (!board) throw new Error('the board is missing');
  const open = {
    ...board,
    parts: board.parts.map((part) => (part.ref === 'R306' ? { ...part, pins: { 1: null, 2: null } } : part)),
  };
  const first = drawSchematic(analyse(open));
  const second = drawSchematic(analyse({ ...open, joined: [['R306.1', 'D303.A']] }), first.places);
  const moved = Object.keys(first.places).filter((ref) => {
    const [before, after] = [first.places[ref], second.places[ref]];
    return before?.zone === after?.zone && before?.row !== after?.row;
  });
  expect(moved).toEqual([]);
});

test('the document is well formed and names its parts', () => {
  const board = CORPUS[0]?.board;
  if (!board) throw new Error('the board is missing');
  const svg = schematicSvg(drawSchematic(analyse(board)).schematic);
  expect(svg.startsWith('<svg xmlns=')).toBe(true);
  for (const { ref } of board.parts) expect(svg).toContain(`data-ref="${ref}"`);
  expect(svg).not.toContain('NaN');
});

test('every schematic fits one sheet of A4 laid across', () => {
  for (const { board } of CORPUS) {
    const [, width = '', height = ''] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(
      schematicSvg(drawSchematic(analyse(board)).schematic),
    ) ?? [''];
    expect([Number(width) > 20, Number(width) <= 277, Number(height) > 20, Number(height) <= 190]).not.toContain(false);
  }
});
