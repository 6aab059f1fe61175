import { spanningLines } from '../../core/photo';
import { HEIGHT, MARGIN, WIDTH, type Pad } from './layout';

/** Pixels of the picture to one cell of the grid on which copper is routed. */
const CELL = 6;
const COLUMNS = WIDTH / CELL;
const ROWS = HEIGHT / CELL;
const EDGE = Math.ceil((MARGIN + 14) / CELL);
/** Cells that copper spreads out to, and cells that stay free between two nets. */
const SPREAD = 6;
const CLEARANCE = 2;

export interface Copper {
  readonly columns: number;
  readonly rows: number;
  readonly cell: number;
  /** Net of every cell, -1 where there is none. */
  readonly nets: Int16Array;
  /** Wires on the parts' side, where copper found no way. */
  readonly jumpers: readonly { readonly from: Pad; readonly to: Pad }[];
}

/** Routes every net of a board on one side, short ones first, then lets the copper spread as it does on cheap boards. */
export function routeCopper(pads: readonly Pad[]): Copper {
  const nets = new Int16Array(COLUMNS * ROWS).fill(-1);
  const keep = new Int16Array(COLUMNS * ROWS).fill(-1);
  for (const pad of pads) claim(pad, nets, keep);
  const byNet = new Map<number, Pad[]>();
  for (const pad of pads) if (pad.net >= 0) byNet.set(pad.net, [...(byNet.get(pad.net) ?? []), pad]);
  const lines = [...byNet.values()]
    .flatMap((own) => spanningLines(own))
    .toSorted((one, other) => lengthOf(one) - lengthOf(other));
  const jumpers: { from: Pad; to: Pad }[] = [];
  for (const [from, to] of lines) {
    const path = pathBetween(from, to, keep);
    if (path) for (const cell of path) take(cell, from.net, nets, keep);
    else jumpers.push({ from, to });
  }
  spread(nets);
  return { columns: COLUMNS, rows: ROWS, cell: CELL, nets, jumpers };
}

const lengthOf = ([a, b]: readonly [Pad, Pad]) => Math.hypot(a.x - b.x, a.y - b.y);
const cellOf = ({ x, y }: { readonly x: number; readonly y: number }) =>
  Math.floor(y / CELL) * COLUMNS + Math.floor(x / CELL);

/** A pin that leads nowhere keeps its place with a net of its own. */
function claim(pad: Pad, nets: Int16Array, keep: Int16Array): void {
  const net = pad.net >= 0 ? pad.net : -2 - Math.floor(pad.x);
  for (const cell of around(cellOf(pad), 1)) nets[cell] = net;
  for (const cell of around(cellOf(pad), 1 + CLEARANCE)) keep[cell] = keep[cell] === -1 ? net : (keep[cell] ?? -1);
}

function take(cell: number, net: number, nets: Int16Array, keep: Int16Array): void {
  if (nets[cell] === -1) nets[cell] = net;
  for (const near of around(cell, CLEARANCE)) if (keep[near] === -1) keep[near] = net;
}

function around(cell: number, radius: number): number[] {
  const [column, row] = [cell % COLUMNS, Math.floor(cell / COLUMNS)];
  const cells: number[] = [];
  for (let y = Math.max(0, row - radius); y <= Math.min(ROWS - 1, row + radius); y += 1)
    for (let x = Math.max(0, column - radius); x <= Math.min(COLUMNS - 1, column + radius); x += 1)
      cells.push(y * COLUMNS + x);
  return cells;
}

const STEPS = [-1, 1, -COLUMNS, COLUMNS, -COLUMNS - 1, -COLUMNS + 1, COLUMNS - 1, COLUMNS + 1] as const;

/** The way with fewest steps over cells that no other net keeps; breadth first. */
function pathBetween(from: Pad, to: Pad, keep: Int16Array): readonly number[] | undefined {
  const [start, goal] = [cellOf(from), cellOf(to)];
  const before = new Int32Array(COLUMNS * ROWS).fill(-1);
  before[start] = start;
  let front = [start];
  while (front.length > 0 && before[goal] === -1) {
    const next: number[] = [];
    for (const cell of front)
      for (const step of STEPS) {
        const near = cell + step;
        const [column, row] = [near % COLUMNS, Math.floor(near / COLUMNS)];
        if (column < EDGE || column >= COLUMNS - EDGE || row < EDGE || row >= ROWS - EDGE) continue;
        if (before[near] !== -1 || (keep[near] !== -1 && keep[near] !== from.net)) continue;
        before[near] = cell;
        next.push(near);
      }
    front = next;
  }
  if (before[goal] === -1) return undefined;
  const path = [goal];
  while (path.at(-1) !== start) path.push(before[path.at(-1) ?? start] ?? start);
  return path;
}

/** Copper grows from its tracks until it meets another net; a gap is left between. */
function spread(nets: Int16Array): void {
  let front = [...nets.keys()].filter((cell) => (nets[cell] ?? -1) !== -1);
  for (let step = 0; step < SPREAD; step += 1) {
    const next: number[] = [];
    for (const cell of front)
      for (const by of STEPS.slice(0, 4)) {
        const near = cell + by;
        const [column, row] = [near % COLUMNS, Math.floor(near / COLUMNS)];
        if (column < EDGE || column >= COLUMNS - EDGE || row < EDGE || row >= ROWS - EDGE || nets[near] !== -1)
          continue;
        const net = nets[cell] ?? -1;
        if (around(near, CLEARANCE - 1).some((other) => nets[other] !== -1 && nets[other] !== net)) continue;
        nets[near] = net;
        next.push(near);
      }
    front = next;
  }
}
