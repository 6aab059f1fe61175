import type { BoardPart } from '../board';
import type { Analysis } from '../topology';
import { depthsOf, FEW, neighboursOf, type Neighbours } from './nearness';
import { symbolOf } from './symbols';
import type { PartSymbol, Places } from './types';
import { zoneOrder, zonesOf } from './zones';

/** Drawing units of a cell; symbols stand in its middle with room for wires and words about them. */
export const CELL = { width: 160, height: 120 } as const;

export interface Placement {
  readonly part: BoardPart;
  readonly symbol: PartSymbol;
  readonly column: number;
  readonly row: number;
  readonly zone: string;
}

export interface Placed {
  readonly placements: readonly Placement[];
  readonly columns: number;
  readonly rows: number;
  /** Column behind which the barrier runs. */
  readonly barrierAfter: number | undefined;
  readonly places: Places;
}

/** Rows of a block: by the square root of how many parts there are, within bounds. Tried out by eye. */
const BLOCK_ROWS = { least: 3, most: 14, perPart: 1.1, searched: 24 } as const;
/** How much of a signal part's place is that of its neighbours; the rest is its way from the inlet. Tried out by eye. */
const BESIDE = 0.7;
/** The row where parts without neighbours begin that carry no power. */
const SIGNAL_ROW = 2;
/**
 * What a free cell costs, in columns away from where the part would like to be: a row away, each row that power parts
 * stand lower, the top row for others, and a row under the block. Tried out by eye.
 */
const COST = { row: 1.1, powerRow: 0.35, signalOnTop: 0.8, underBlock: 4, same: 1e-9 } as const;

/**
 * Places every part by its role: input, the stages in the order in which power reaches them, the barrier, outputs;
 * what belongs to no role stands near what it is joined to. Parts that had a place in the same zone keep it.
 */
export function placeParts(analysis: Analysis, before: Places = {}): Placed {
  const { recognition, sides } = analysis;
  const { board, nets } = recognition.model;
  const parts = board.parts;
  const netsOfPart = new Map(
    parts.map((part) => [part.ref, Object.keys(part.pins).map((pin) => nets.of(`${part.ref}.${pin}`))]),
  );
  const neighbours = neighboursOf(parts, netsOfPart, (net) => nets.pins[net]?.length ?? 0);
  const zones = zonesOf(analysis, parts, neighbours, sides);
  const order = zoneOrder(analysis, zones);
  const isolated = order.filter(({ isIsolated }) => isIsolated);
  const ordered = [...order.filter(({ isIsolated }) => !isIsolated), ...isolated];
  const depthOf = depthsOf(parts, netsOfPart, (net) => nets.pins[net]?.length ?? 0);
  const byParts = Math.ceil(Math.sqrt(parts.length * BLOCK_ROWS.perPart));
  const height = Math.max(BLOCK_ROWS.least, Math.min(BLOCK_ROWS.most, byParts));
  const look = lookOf(analysis);
  const placements: Placement[] = [];
  let column = 0;
  let barrierAfter: number | undefined;
  let rows = 0;
  for (const [index, zone] of ordered.entries()) {
    if (zone.isIsolated && barrierAfter === undefined && index > 0) barrierAfter = column - 1;
    const own = parts.filter(({ ref }) => zones.get(ref)?.name === zone.name);
    if (own.length === 0) continue;
    const block = placeBlock(
      { parts: own, zone: zone.name, start: column, height },
      { neighbours, placed: placements, before, look, depthOf },
    );
    placements.push(...block.placements);
    column = block.end;
    rows = Math.max(rows, block.rows);
  }
  return {
    placements,
    columns: column,
    rows,
    barrierAfter,
    places: Object.fromEntries(
      placements.map(({ part, column: at, row, zone }) => [part.ref, { column: at, row, zone }]),
    ),
  };
}

/** The parts of one zone, the column it starts at, and how many rows it should have. */
interface Block {
  readonly parts: readonly BoardPart[];
  readonly zone: string;
  readonly start: number;
  readonly height: number;
}

/** What stands round a block: what is joined to what, what was placed already, and where parts were the last time. */
interface Surroundings {
  readonly neighbours: Neighbours;
  readonly placed: readonly Placement[];
  readonly before: Places;
  readonly look: ReturnType<typeof lookOf>;
  readonly depthOf: (ref: string) => number;
}

/** A zone as a block of columns: power parts above, each part in the free cell nearest to what it is joined to. */
function placeBlock(
  { parts, zone, start, height }: Block,
  { neighbours, placed, before, look: { ground, isPower }, depthOf }: Surroundings,
) {
  const sized = parts.map((part) => {
    const symbol = symbolFor(part, ground);
    return { part, symbol, span: Math.max(1, Math.ceil((symbol.height + 50) / CELL.height)) };
  });
  const cells = sized.reduce((sum, { span }) => sum + span, 0);
  const isUneven = zone !== 'across' && sized.some(({ span }) => span > 1);
  const width = Math.max(1, Math.ceil(cells / height) + (isUneven ? 1 : 0));
  const taken = new Set<string>();
  const at = new Map<string, { column: number; row: number }>(
    placed.map(({ part, column, row }) => [part.ref, { column, row }]),
  );
  const fits = (column: number, row: number, span: number) => {
    for (let extra = 0; extra < span; extra += 1) if (taken.has(`${column} ${row + extra}`)) return false;
    return true;
  };
  const take = (part: BoardPart, column: number, row: number, span: number) => {
    for (let extra = 0; extra < span; extra += 1) taken.add(`${column} ${row + extra}`);
    at.set(part.ref, { column, row });
  };
  const first = firstColumn(before, zone);
  const rank = (part: BoardPart) => (isPower(part) ? 0 : part.kind === 'ic' ? 1 : 2);
  const queue = sized.toSorted(
    (a, b) => rank(a.part) - rank(b.part) || b.span - a.span || (a.part.ref < b.part.ref ? -1 : 1),
  );
  let end = start + width;
  for (const { part, span } of queue) {
    const kept = before[part.ref];
    if (kept?.zone === zone && first !== undefined && fits(kept.column - first + start, kept.row, span)) {
      take(part, kept.column - first + start, kept.row, span);
      end = Math.max(end, kept.column - first + start + 1);
    }
  }
  for (const { part, span } of queue) {
    if (at.has(part.ref)) continue;
    let [x, y, total] = [0, 0, 0];
    for (const [other, weight] of neighbours.get(part.ref) ?? []) {
      const place = at.get(other);
      if (!place) continue;
      x += place.column * weight;
      y += place.row * weight;
      total += weight;
    }
    const along = start + shareOf(part, parts, depthOf) * (end - 1 - start);
    const aim =
      total > 0
        ? { x: isPower(part) ? along : (x / total) * BESIDE + along * (1 - BESIDE), y: y / total }
        : { x: along, y: isPower(part) ? 0 : SIGNAL_ROW };
    let best: { column: number; row: number; cost: number } | undefined;
    for (let column = start; column < end; column += 1)
      for (let row = 0; row < BLOCK_ROWS.searched; row += 1) {
        if (!fits(column, row, span)) continue;
        const cost =
          Math.abs(column - aim.x) +
          Math.abs(row - aim.y) * COST.row +
          (isPower(part) ? row * COST.powerRow : row < 1 ? COST.signalOnTop : 0) +
          (row >= height ? COST.underBlock : 0);
        if (!best || cost < best.cost - COST.same) best = { column, row, cost };
      }
    if (best) take(part, best.column, best.row, span);
  }
  const placements = sized.map(({ part, symbol }): Placement => ({
    part,
    symbol,
    zone,
    ...(at.get(part.ref) ?? { column: start, row: 0 }),
  }));
  return { placements, end, rows: Math.max(...sized.map(({ part, span }) => (at.get(part.ref)?.row ?? 0) + span)) };
}

/** Where along its zone a part belongs, from 0 at the left to 1 at the right: by its distance from the inlet. */
function shareOf(part: BoardPart, zone: readonly BoardPart[], depthOf: (ref: string) => number): number {
  if (part.kind === 'connector') return part.role === 'output' || part.role === 'load' || part.role === 'lamp' ? 1 : 0;
  if (part.kind === 'transformer') return 1;
  const depths = zone.map(({ ref }) => depthOf(ref));
  const [least, most] = [Math.min(...depths), Math.max(...depths)];
  return most > least ? (depthOf(part.ref) - least) / (most - least) : 0.5;
}

function firstColumn(before: Places, zone: string): number | undefined {
  const columns = Object.values(before)
    .filter((place) => place.zone === zone)
    .map(({ column }) => column);
  return columns.length > 0 ? Math.min(...columns) : undefined;
}

const SIGNAL_KINDS: ReadonlySet<string> = new Set([
  'resistor',
  'ic',
  'optocoupler',
  'shunt-reference',
  'potentiometer',
]);

/** Which nets are grounds, and which parts carry power. */
export function lookOf({ recognition, bulk }: Analysis) {
  const { model, stages } = recognition;
  const power = new Set([
    ...bulk,
    ...stages.flatMap(({ switches, rectifiers, magnetics }) =>
      [...switches, ...rectifiers, ...magnetics].map(({ ref }) => ref),
    ),
  ]);
  const isPower = (part: BoardPart) =>
    power.has(part.ref) ||
    (!SIGNAL_KINDS.has(part.kind) &&
      (part.kind === 'connector' ||
        part.kind === 'fuse' ||
        part.kind === 'bridge' ||
        part.kind === 'common-mode-choke'));
  const best = new Map<number, number>();
  for (let net = 0; net < model.nets.count; net += 1) {
    const island = recognition.barrier.islands.of(net);
    const size = model.nets.pins[net]?.length ?? 0;
    if (size > FEW && size > (model.nets.pins[best.get(island) ?? -1]?.length ?? 0)) best.set(island, net);
  }
  const grounds = new Set(best.values());
  const ground = (part: BoardPart, pin: string) => grounds.has(model.nets.of(`${part.ref}.${pin}`));
  return { isPower, ground, grounds };
}

/** Two-terminal parts with one end on ground stand, the ground end down. */
function symbolFor(part: BoardPart, ground: (part: BoardPart, pin: string) => boolean): PartSymbol {
  const lying = symbolOf(part, false, false);
  const [first, second] = lying.pins;
  if (lying.pins.length !== 2 || !first || !second || part.kind === 'connector' || part.kind === 'ic') return lying;
  if (ground(part, second.pin) && !ground(part, first.pin)) return symbolOf(part, true, false);
  if (ground(part, first.pin) && !ground(part, second.pin)) return symbolOf(part, true, true);
  return lying;
}
