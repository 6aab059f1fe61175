import type { BoardPart } from '../board';
import { formatQuantity } from '../quantity';
import type { Analysis } from '../topology';
import { CELL, lookOf, placeParts, type Placement } from './place';
import { corners, Router, stubEnd, type Terminal } from './route';
import type { NetLabel, PartSymbol, PlacedSymbol, Places, Point, Schematic, Wire } from './types';

const MARGIN = 60;
const GAP = 60;
/** Nets with more pins than this are named at every pin instead of wired. */
const WIRED_UP_TO = 5;
/** Longest wire in routing steps before a name is the better way. */
const FARTHEST = 60;

/** A schematic of a board, with the cells its parts took. Give the cells of the last drawing to keep it steady. */
export function drawSchematic(
  analysis: Analysis,
  before: Places = {},
): { readonly schematic: Schematic; readonly places: Places } {
  const placed = placeParts(analysis, before);
  const { model } = analysis.recognition;
  const { isPower, grounds } = lookOf(analysis);
  const { barrierAfter } = placed;
  const xOf = (column: number) =>
    MARGIN + column * CELL.width + (barrierAfter !== undefined && column > barrierAfter ? GAP : 0);
  const symbols = placed.placements.map((placement): PlacedSymbol => ({
    ref: placement.part.ref,
    symbol: placement.symbol,
    at: cornerOf(placement, xOf(placement.column)),
    value: valueOf(placement.part),
    caption: captionOf(placement.symbol),
    isPower: isPower(placement.part),
    side: sideOf(placement.part, analysis),
  }));
  const width = xOf(placed.columns) + MARGIN;
  const height = MARGIN * 2 + placed.rows * CELL.height;
  const router = new Router(width, height);
  for (const drawn of symbols) {
    const { at, symbol } = drawn;
    router.block(at.x, at.y, symbol.width, symbol.height);
    const { left, width: long } = captionBox(drawn);
    router.crowd(left, at.y + drawn.caption.at.y - CAPTION.ascent, long, CAPTION.height);
  }
  const terminals = new Map<number, (Terminal & { readonly ref: string; readonly pin: string })[]>();
  for (const { ref, at, symbol } of symbols)
    for (const { pin, x, y, side } of symbol.pins) {
      const net = model.nets.of(`${ref}.${pin}`);
      const terminal = { x: at.x + x, y: at.y + y, side, ref, pin };
      terminals.set(net, [...(terminals.get(net) ?? []), terminal]);
      router.reserve(net, terminal);
    }
  const wires: Wire[] = [];
  const labels: NetLabel[] = [];
  const dots: Schematic['dots'][number][] = [];
  const powerRefs = new Set(symbols.filter((symbol) => symbol.isPower).map(({ ref }) => ref));
  const nets = [...terminals].toSorted(([, a], [, b]) => a.length - b.length || spread(a) - spread(b));
  for (const [net, pins] of nets) {
    const name = nameOf(pins, analysis);
    const label = (terminal: Terminal, kind: NetLabel['kind']) =>
      labels.push({ net, text: name, at: stubEnd(terminal), side: terminal.side, kind });
    for (const terminal of pins)
      wires.push({
        net,
        points: [terminal, stubEnd(terminal)].map(({ x, y }) => ({ x, y })),
        isPower: powerRefs.has(terminal.ref),
      });
    if (pins.length === 1) {
      const [only] = pins;
      if (only && !model.nets.closed(net)) label(only, 'open');
      continue;
    }
    if (grounds.has(net)) {
      for (const terminal of pins) {
        const side = analysis.sides[`${terminal.ref}.${terminal.pin}`] ?? '';
        label(terminal, side.startsWith('isolated') ? 'isolated-ground' : 'ground');
      }
      continue;
    }
    if (pins.length > WIRED_UP_TO) {
      for (const terminal of pins) label(terminal, 'name');
      continue;
    }
    const reached = [pins[0]].filter((pin) => pin !== undefined);
    const points: Point[] = reached.map(stubEnd);
    const stubs = new Set(pins.map(stubEnd).map(({ x, y }) => `${x} ${y}`));
    const left = pins.slice(1);
    const unreached: Terminal[] = [];
    const isPowerNet = pins.filter(({ ref }) => powerRefs.has(ref)).length > 1;
    while (left.length > 0) {
      left.sort((a, b) => nearest(a, points) - nearest(b, points));
      const next = left.shift();
      if (!next) break;
      const path = router.route(net, stubEnd(next), points, FARTHEST);
      if (!path) {
        unreached.push(next);
        continue;
      }
      const end = path[0];
      if (end && !stubs.has(`${end.x} ${end.y}`)) dots.push({ net, x: end.x, y: end.y });
      router.claim(net, path);
      wires.push({ net, points: corners(path), isPower: isPowerNet });
      points.push(...path);
    }
    if (unreached.length > 0) {
      for (const terminal of unreached) label(terminal, 'name');
      const [first] = reached;
      if (first) label(first, 'name');
    }
  }
  const schematic: Schematic = {
    width,
    height,
    symbols,
    wires,
    labels,
    dots,
    title: model.board.title ?? 'Traced board',
    ...(barrierAfter === undefined ? {} : { barrier: { x: xOf(barrierAfter) + CELL.width, width: GAP } }),
  };
  return { schematic, places: placed.places };
}

/** Beside a standing symbol, above a lying one: where its leads do not run. */
function captionOf({ pins, width }: PartSymbol): PlacedSymbol['caption'] {
  const isStanding = pins.some(({ side }) => side === 'top');
  return isStanding
    ? { at: { x: width - 8, y: 26 }, anchor: 'start' }
    : { at: { x: width / 2, y: -12 }, anchor: 'middle' };
}

/** Words of a caption: what a letter takes, and how high two lines stand. */
const CAPTION = { letter: 6.2, ascent: 10, height: 22 } as const;

function captionBox({ ref, value, at, caption }: PlacedSymbol): { readonly left: number; readonly width: number } {
  const width = Math.max(ref.length, value.length * 0.85) * CAPTION.letter;
  const x = at.x + caption.at.x;
  return { left: caption.anchor === 'middle' ? x - width / 2 : x, width };
}

const cornerOf = ({ symbol, row }: Placement, left: number): Point => ({
  x: left + Math.floor((CELL.width - symbol.width) / 20) * 10,
  y: MARGIN + row * CELL.height + 40,
});

const spread = (pins: readonly Point[]) =>
  Math.max(...pins.map(({ x }) => x)) -
  Math.min(...pins.map(({ x }) => x)) +
  Math.max(...pins.map(({ y }) => y)) -
  Math.min(...pins.map(({ y }) => y));
const nearest = (pin: Point, points: readonly Point[]) =>
  Math.min(...points.map(({ x, y }) => Math.abs(x - pin.x) + Math.abs(y - pin.y)));

const sideOf = (part: BoardPart, { sides }: Analysis) =>
  sides[`${part.ref}.${Object.keys(part.pins)[0] ?? ''}`] ?? 'unknown';

/** The value as it stands beside a symbol: `100 µF 400 V`, or the marking. */
function valueOf({ value, marking, kind }: BoardPart): string {
  const parts: string[] = [];
  if (value?.resistance !== undefined) parts.push(formatQuantity(value.resistance, 'ohm', { digits: 3 }));
  if (value?.capacitance !== undefined) parts.push(formatQuantity(value.capacitance, 'farad', { digits: 3 }));
  if (value?.inductance !== undefined) parts.push(formatQuantity(value.inductance, 'henry', { digits: 3 }));
  if (value?.voltage !== undefined && kind !== 'resistor')
    parts.push(formatQuantity(value.voltage, 'volt', { digits: 3 }));
  if (kind === 'fuse' && value?.current !== undefined)
    parts.push(formatQuantity(value.current, 'ampere', { digits: 3 }));
  return parts.length > 0 ? parts.join(' ') : (marking ?? '');
}

/** A short name for a net: an output's pin, the store, or the pin that says most about it. */
function nameOf(pins: readonly { ref: string; pin: string }[], { recognition, bulk }: Analysis): string {
  const byRef = new Map(recognition.model.board.parts.map((part) => [part.ref, part]));
  const connector = pins.find(({ ref }) => byRef.get(ref)?.kind === 'connector');
  if (connector) return `${connector.ref}.${connector.pin}`;
  const store = pins.find(({ ref }) => bulk.includes(ref));
  if (store) return `${store.ref} ${store.pin}`;
  const rank = (ref: string) =>
    ['nmos', 'npn', 'ic', 'transformer', 'dual-diode', 'diode'].indexOf(byRef.get(ref)?.kind ?? '');
  const best = pins.filter(({ ref }) => rank(ref) >= 0).toSorted((a, b) => rank(a.ref) - rank(b.ref))[0] ?? pins[0];
  return best ? `${best.ref}.${best.pin}` : '';
}
