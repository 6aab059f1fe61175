import { DisjointSets, splitPin, type Board } from '../board';
import { analyse, factsOf, Random, tracedSoFar } from '../topology';
import { BOARD_SETS } from '../topology/fixtures/leftOut';
import { jumpsOf } from './fixtures/jumps';
import { drawSchematic, geometryOf, schematicSvg } from '.';

/** Boards that are drawn while they are traced. */
const TRACED: readonly string[] = ['router-adapter-12v', 'printer-adapter-24v', 'step-down-5v'];
/** Boards that are looked at by name. */
const LOOKED_AT: ReadonlySet<string> = new Set([
  ...TRACED,
  'travel-charger-5v',
  'vehicle-camera-12v',
  'keep-12',
  'scoot-42',
]);

type Geometry = ReturnType<typeof geometryOf>;
type Numbers = readonly number[];
type Segment = readonly [Numbers, Numbers];

/** Some of both sets: drawing takes its time, and every form is among them. */
const BOARDS = [
  ...BOARD_SETS.reference.filter(({ name }, index) => index % 2 === 0 || LOOKED_AT.has(name)),
  ...BOARD_SETS.other.filter(({ name }, index) => index % 4 === 0 || LOOKED_AT.has(name)),
];
const DRAWN = new Map(
  BOARDS.map(({ name, board }) => {
    const analysis = analyse(board);
    const { schematic } = drawSchematic(analysis);
    return [name, { board, schematic, geometry: geometryOf(schematic, analysis), bulk: analysis.bulk }] as const;
  }),
);
const drawn = (name: string) => {
  const found = DRAWN.get(name);
  if (!found) throw new Error(`${name} is missing`);
  return found;
};

const overlap = ([a = 0, b = 0, c = 0, d = 0]: Numbers, [e = 0, f = 0, g = 0, h = 0]: Numbers) =>
  Math.min(c, g) - Math.max(a, e) > 0.5 && Math.min(d, h) - Math.max(b, f) > 0.5;
const segmentsOf = ({ points }: Geometry['wires'][number]): readonly Segment[] =>
  points.slice(1).map((to, index) => [points[index] ?? to, to]);
const boxOf = ([[ax = 0, ay = 0], [bx = 0, by = 0]]: Segment): Numbers => [
  Math.min(ax, bx) - 1,
  Math.min(ay, by) - 1,
  Math.max(ax, bx) + 1,
  Math.max(ay, by) + 1,
];
/** Whether two straight pieces cross within both. */
const cross = (one: Segment, other: Segment) => {
  const isLevel = ([[, ay = 0], [, by = 0]]: Segment) => ay === by;
  if (isLevel(one) === isLevel(other)) return false;
  const [level, upright] = isLevel(one) ? [one, other] : [other, one];
  const [x = 0, y = 0] = [upright[0][0], level[0][1]];
  const within = (value: number, a = 0, b = 0) => value > Math.min(a, b) && value < Math.max(a, b);
  return within(x, level[0][0], level[1][0]) && within(y, upright[0][1], upright[1][1]);
};

/** Nets of a drawing as its wires, names and signs join its pins: for each pin what hangs together with it. */
function joinedBy({ wires, symbols, names, grounds }: Geometry): ReadonlyMap<string, number> {
  const pins = symbols.flatMap(({ ref, pins: own }) =>
    Object.entries(own).map(([pin, at]) => ({ name: `${ref}.${pin}`, at })),
  );
  const signs = [...names, ...grounds];
  const signNets = [...new Set(signs.map(({ net }) => net))];
  const sets = new DisjointSets(wires.length + pins.length + signNets.length);
  const along = new Map<string, number[]>();
  wires.forEach((wire, index) => {
    for (const [[ax = 0, ay = 0], [bx = 0, by = 0]] of segmentsOf(wire)) {
      const steps = (Math.abs(bx - ax) + Math.abs(by - ay)) / 10;
      for (let step = 0; step <= steps; step += 1) {
        const key = `${ax + Math.sign(bx - ax) * step * 10} ${ay + Math.sign(by - ay) * step * 10}`;
        const on = along.get(key);
        if (on) on.push(index);
        else along.set(key, [index]);
      }
    }
  });
  const touching = (at: Numbers) => along.get(at.join(' ')) ?? [];
  wires.forEach(({ points }, wire) => {
    for (const end of [points[0], points.at(-1)]) for (const other of touching(end ?? [])) sets.union(wire, other);
  });
  pins.forEach(({ at }, index) => {
    for (const wire of touching(at)) sets.union(wires.length + index, wire);
  });
  for (const { net, at } of signs)
    for (const wire of touching(at)) sets.union(wires.length + pins.length + signNets.indexOf(net), wire);
  return new Map(pins.map(({ name }, index) => [name, sets.find(wires.length + index)]));
}

test.each(BOARDS.map(({ name }) => name))('%s: every pin is drawn and joined to its net alone', (name) => {
  const { board, geometry } = drawn(name);
  const joined = joinedBy(geometry);
  const groups = new Map<string, Set<number>>();
  const owners = new Map<number, Set<string>>();
  for (const { ref, pins } of board.parts)
    for (const [pin, net] of Object.entries(pins)) {
      const group = joined.get(`${ref}.${pin}`);
      expect(group).toBeDefined();
      if (net === null || group === undefined) continue;
      groups.set(net, (groups.get(net) ?? new Set()).add(group));
      owners.set(group, (owners.get(group) ?? new Set()).add(net));
    }
  expect([...groups].filter(([, group]) => group.size > 1).map(([net]) => net)).toEqual([]);
  expect([...owners.values()].filter((nets) => nets.size > 1).map((nets) => [...nets])).toEqual([]);
});

test.each(BOARDS.map(({ name }) => name))('%s: nothing lies on anything else', (name) => {
  const { symbols, wires, words, page } = drawn(name).geometry;
  const symbolPairs = symbols.flatMap((one, index) =>
    symbols.slice(index + 1).flatMap((other) => (overlap(one.box, other.box) ? [`${one.ref} ${other.ref}`] : [])),
  );
  const pierced = wires.flatMap((wire) =>
    segmentsOf(wire).flatMap((piece) =>
      symbols.flatMap(({ ref, box: [a = 0, b = 0, c = 0, d = 0] }) =>
        overlap(boxOf(piece), [a + 2, b + 2, c - 2, d - 2]) ? [`${wire.net} ${ref}`] : [],
      ),
    ),
  );
  const wordPairs = words.flatMap((one, index) =>
    [...words.slice(index + 1), ...symbols.map(({ ref, box }) => ({ text: ref, box }))].flatMap((other) =>
      overlap(one.box, other.box) ? [`${one.text} | ${other.text}`] : [],
    ),
  );
  expect({ symbolPairs, pierced, wordPairs }).toEqual({ symbolPairs: [], pierced: [], wordPairs: [] });
  expect(
    symbols.every(({ box: [a = 0, b = 0, c = 0, d = 0] }) => a > 0 && b > 0 && c < page.width && d < page.height),
  ).toBe(true);
});

test('what crosses the barrier stands on it, all else on its own side', () => {
  const wrong: string[] = [];
  let crossing = 0;
  for (const [name, { board, schematic }] of DRAWN) {
    const { barrier } = schematic;
    if (!barrier) continue;
    const middle = barrier.x + barrier.width / 2;
    for (const { ref, side, at, symbol } of schematic.symbols) {
      const [left, right] = [at.x + symbol.body.left, at.x + symbol.body.right];
      const isOn = left < middle && right > middle;
      if (side === 'across' && board.parts.some((part) => part.ref === ref && part.kind === 'optocoupler')) {
        crossing += 1;
        if (!isOn) wrong.push(`${name} ${ref} beside the barrier`);
      }
      if (side === 'mains' && right > middle) wrong.push(`${name} ${ref} beyond the barrier`);
      if (side === 'isolated' && left < middle) wrong.push(`${name} ${ref} before the barrier`);
    }
  }
  expect(wrong).toEqual([]);
  expect(crossing).toBeGreaterThan(10);
});

test('drawings read: few names, few crossings, plus up, no wider than twice their height by half', () => {
  const total = { pins: 0, named: 0, nets: 0, crossings: 0, polar: 0, upright: 0, area: 0, parts: 0 };
  const shapes: number[] = [];
  for (const { board, geometry } of DRAWN.values()) {
    const sizes = new Map<string, number>();
    for (const { pins } of board.parts)
      for (const net of Object.values(pins)) if (net !== null) sizes.set(net, (sizes.get(net) ?? 0) + 1);
    const shared = [...sizes.values()].filter((size) => size > 1);
    total.nets += shared.length;
    total.pins += shared.reduce((sum, size) => sum + size, 0);
    total.named += geometry.names.filter(({ supply }) => !supply).reduce((sum, { pins }) => sum + pins.length, 0);
    const pieces = geometry.wires.flatMap((wire) => segmentsOf(wire).map((piece) => ({ net: wire.net, piece })));
    pieces.forEach(({ net, piece }, index) => {
      for (const other of pieces.slice(index + 1))
        if (other.net !== net && cross(piece, other.piece)) total.crossings += 1;
    });
    for (const { pins } of geometry.symbols) {
      const [plus, minus] = [pins['+'], pins['-']];
      if (!plus || !minus || Object.keys(pins).length > 2) continue;
      total.polar += 1;
      if ((plus[1] ?? 0) < (minus[1] ?? 0)) total.upright += 1;
    }
    total.area += geometry.page.width * geometry.page.height;
    total.parts += board.parts.length;
    shapes.push(geometry.page.width / geometry.page.height);
  }
  expect(total.named / total.pins).toBeLessThan(0.15);
  expect(total.crossings / total.nets).toBeLessThan(0.5);
  expect(total.upright / total.polar).toBeGreaterThan(0.95);
  expect(total.area / total.parts).toBeLessThan(35_000);
  const median = shapes.toSorted((a, b) => a - b)[Math.floor(shapes.length / 2)] ?? 0;
  expect(median).toBeGreaterThan(1.2);
  expect(median).toBeLessThan(2);
});

test('while a board is logged and traced, hardly a part jumps unless it plays another role', () => {
  const counts = TRACED.map((name) => jumpsOf(drawn(name).board));
  const sum = (of: (count: (typeof counts)[number]) => number) => counts.reduce((total, count) => total + of(count), 0);
  const places = sum((count) => count.places);
  expect(places).toBeGreaterThan(200);
  // Where most of a board turns out to be something else it is drawn anew, and the rest of it moves too.
  expect(sum(({ jumps }) => jumps) / places).toBeLessThan(0.06);
});

/** Whether parts stand in this order from left to right, or from top to bottom. */
const inOrder = (name: string, axis: 'x' | 'y', refs: readonly string[]) => {
  const levels = refs.map((ref) => {
    const placed = drawn(name).schematic.symbols.find((one) => one.ref === ref);
    if (!placed) throw new Error(`${ref} is not drawn`);
    const { left, right, top, bottom } = placed.symbol.body;
    return placed.at[axis] + (axis === 'x' ? left + right : top + bottom) / 2;
  });
  return levels.every((level, index) => index === 0 || level > (levels[index - 1] ?? 0));
};

test.each([
  ['a clamp hangs on the line over its diode', 'travel-charger-5v', 'y', ['R2', 'D5', 'Q1']],
  ['and left of the winding', 'travel-charger-5v', 'x', ['C10', 'D5', 'TR1']],
  ['power goes on over the capacitor between two chokes', 'vehicle-camera-12v', 'x', ['L6', 'C7', 'D2', 'P2']],
  ['from bridge to store, regulator and output', 'keep-12', 'x', ['BD1', 'C12', 'U3', 'D4', 'X3']],
  ['halves of a bridge stand one under the other', 'scoot-42', 'y', ['V208', 'V211']],
  ['a bridge of four diodes behind a winding', 'scoot-42', 'y', ['D222', 'D212']],
] as const)('%s', (_, name, axis, refs) => {
  expect(inOrder(name, axis, refs)).toBe(true);
});

test('what leaves the board stands at the right', () => {
  const inside = [...DRAWN].flatMap(([name, { board, schematic }]) =>
    board.parts.flatMap(({ ref, kind, role }) => {
      const placed = schematic.symbols.find((one) => one.ref === ref);
      const isInside = placed && placed.at.x + placed.symbol.body.right < 0.6 * schematic.width;
      return kind === 'connector' && role === 'output' && isInside ? [`${name} ${ref}`] : [];
    }),
  );
  expect(inside).toEqual([]);
});

test('a connector of which no pin is logged yet has a size', () => {
  const { board } = drawn('router-adapter-12v');
  const bare: Board = { ...board, parts: [...board.parts, { ref: 'J9', kind: 'connector', pins: {} }] };
  const { symbols } = drawSchematic(analyse(bare)).schematic;
  const box = symbols.find(({ ref }) => ref === 'J9')?.symbol.body;
  expect(box && box.bottom > box.top).toBe(true);
});

test('one sign or name stands for one net, also while nobody knows what belongs together', () => {
  for (const { board } of [...DRAWN.values()].filter((_, index) => index % 6 === 0))
    for (const partly of [board, tracedSoFar(board, factsOf(board, 'random', new Random(3)).slice(0, 40))]) {
      const analysis = analyse(partly);
      const nets = new Map<string, Set<number>>();
      for (const { kind, text, net } of drawSchematic(analysis).schematic.labels)
        if (kind !== 'open') nets.set(`${kind} ${text}`, (nets.get(`${kind} ${text}`) ?? new Set()).add(net));
      expect([...nets].filter(([, own]) => own.size > 1).map(([sign]) => sign)).toEqual([]);
    }
});

test('what is not traced yet is drawn with dashes, and has no wire', () => {
  const { board } = drawn('router-adapter-12v');
  const open: Board = {
    ...board,
    parts: board.parts.map((part) => (part.ref === 'R306' ? { ...part, pins: { 1: null, 2: null } } : part)),
  };
  const { schematic } = drawSchematic(analyse(open));
  expect(schematic.labels.filter(({ kind }) => kind === 'open').map(({ pins }) => splitPin(pins[0] ?? '')[0])).toEqual([
    'R306',
    'R306',
  ]);
  expect(schematic.wires.filter(({ isOpen }) => isOpen)).toHaveLength(2);
});

test('the document is well formed, names its parts, and fits a sheet of A4 laid across', () => {
  for (const { board, schematic } of DRAWN.values()) {
    const svg = schematicSvg(schematic);
    expect(svg.startsWith('<svg xmlns=')).toBe(true);
    expect(svg).not.toMatch(/NaN|undefined/);
    expect(board.parts.filter(({ ref }) => !svg.includes(`data-ref="${ref}"`))).toEqual([]);
    const [, width = '', height = ''] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? [''];
    expect([Number(width) > 20, Number(width) <= 277, Number(height) > 20, Number(height) <= 190]).not.toContain(false);
  }
});
