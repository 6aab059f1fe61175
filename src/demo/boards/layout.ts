import { BOARD_KINDS, isBoardKind, netsOf, splitPin, type Board, type BoardPart } from '../../core/board';
import { drawSchematic } from '../../core/schematic';
import { analyse } from '../../core/topology';
import type { SceneBoard } from '../../server/meter';

/** Size of a drawn picture in pixels, and how far the board lies from its edge. */
export const WIDTH = 1500;
export const HEIGHT = 900;
export const MARGIN = 50;
const COLUMN = 236;
const GAP = 26;
const TOP = 120;
const BOTTOM = HEIGHT - 90;

/** A part of the scenario as it was logged: enough to tell how large it is. */
export interface LoggedPart {
  readonly ref: string;
  readonly kind: string;
  readonly subtype?: string | undefined;
  readonly package?: string | undefined;
  readonly capacitance?: number | undefined;
  readonly voltage?: number | undefined;
  readonly isEmpty?: boolean;
}

/** A part on the drawn board, by its middle. */
export interface Body {
  readonly part: LoggedPart;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly isRound: boolean;
}

/** A joint on the drawn board; net -1 where the pin leads nowhere. */
export interface Pad {
  readonly pin: string;
  readonly net: number;
  readonly x: number;
  readonly y: number;
}

export interface Layout {
  readonly bodies: readonly Body[];
  readonly pads: readonly Pad[];
}

/** Lays the parts of a board out in columns, from the inlet to the outputs, as the schematic orders them. */
export function layOut(scene: SceneBoard, logged: readonly LoggedPart[]): Layout {
  const board = boardOf(scene, logged);
  const { symbols } = drawSchematic(analyse(board)).schematic;
  const order = new Map(
    symbols.map(({ ref, at, symbol: { body } }) => [
      ref,
      [at.x + (body.left + body.right) / 2, at.y + (body.top + body.bottom) / 2],
    ]),
  );
  const sorted = logged.toSorted((a, b) => (order.get(a.ref)?.[0] ?? 0) - (order.get(b.ref)?.[0] ?? 0));
  const bodies = inColumns(sorted);
  const nets = netsOf(board);
  const pads = bodies.flatMap((body) => {
    const part = board.parts.find(({ ref }) => ref === body.part.ref);
    return part
      ? padsOf(body, part).map(({ pin, x, y }) => {
          const net = nets.of(`${part.ref}.${pin}`);
          return { pin: `${part.ref}.${pin}`, net: (nets.pins[net]?.length ?? 0) > 1 ? net : -1, x, y };
        })
      : [];
  });
  return { bodies, pads };
}

/** The board of a scene as the engine takes it. */
export function boardOf({ nets, windings }: SceneBoard, logged: readonly LoggedPart[]): Board {
  const netOf = new Map(nets.flatMap((net, index) => net.split(' ').map((pin) => [pin, `N${index + 1}`])));
  const parts = logged.flatMap((part): BoardPart[] => {
    if (!isBoardKind(part.kind)) return [];
    const named = [...netOf.keys()].filter((pin) => splitPin(pin)[0] === part.ref).map((pin) => splitPin(pin)[1]);
    const own = windings
      .map((line) => line.split(' ').slice(0, -1))
      .filter(([pin = '']) => splitPin(pin)[0] === part.ref);
    const wound = own.map((pins) => pins.map((pin) => splitPin(pin)[1]));
    const isPolar = part.kind === 'capacitor' && named.some((name) => name === '+' || name === '-');
    const names = new Set([
      ...(isPolar ? ['+', '-'] : BOARD_KINDS[part.kind].pins),
      ...Array.from({ length: legsOf(part) }, (_, index) => `${index + 1}`),
      ...named,
      ...wound.flat(),
    ]);
    return [
      {
        ref: part.ref,
        kind: part.kind,
        ...(part.subtype ? (part.kind === 'connector' ? { role: part.subtype } : { subtype: part.subtype }) : {}),
        pins: Object.fromEntries([...names].map((name) => [name, netOf.get(`${part.ref}.${name}`) ?? null])),
        ...(part.kind === 'transformer' && wound.length > 0 ? { windings: wound } : {}),
      },
    ];
  });
  return { parts, complete: true };
}

const legsOf = (part: LoggedPart) => (part.kind === 'ic' ? Number(/(\d+)$/.exec(part.package ?? '')?.[1] ?? 0) : 0);

/** Width and height of parts by kind, in pixels of the picture. */
const SIZES: Readonly<Record<string, readonly [number, number]>> = {
  transformer: [200, 190],
  'common-mode-choke': [140, 120],
  inductor: [96, 96],
  bridge: [150, 48],
  nmos: [104, 46],
  npn: [104, 46],
  'dual-diode': [104, 46],
  diode: [92, 28],
  resistor: [92, 28],
  fuse: [110, 38],
  thermistor: [84, 40],
  varistor: [84, 40],
  connector: [84, 112],
  optocoupler: [72, 62],
  'shunt-reference': [60, 38],
  potentiometer: [74, 58],
  relay: [160, 112],
};
const CAPACITORS: Readonly<Record<string, readonly [number, number]>> = { film: [120, 62], x: [136, 72], y: [76, 42] };

function sizeOf(part: LoggedPart): { readonly w: number; readonly h: number; readonly isRound: boolean } {
  const { kind, subtype = '', capacitance = 0, voltage = 25 } = part;
  if (kind === 'capacitor' && ['electrolytic', 'polymer'].includes(subtype)) {
    const d = Math.min(210, Math.max(64, 42 + 4 * Math.cbrt(capacitance * 1e6 * voltage)));
    return { w: d, h: d, isRound: true };
  }
  const legs = legsOf(part);
  const [w, h] =
    kind === 'capacitor'
      ? (CAPACITORS[subtype.slice(0, 1)] ?? CAPACITORS[subtype] ?? [60, 32])
      : legs > 0
        ? [Math.max(50, legs * 11), legs > 6 ? 66 : 44]
        : (SIZES[kind] ?? [70, 44]);
  return { w, h, isRound: kind === 'inductor' };
}

/** Fills columns from the left, each with rows; all is drawn smaller when it does not fit. */
function inColumns(parts: readonly LoggedPart[]): readonly Body[] {
  for (let scale = 1; scale > 0.4; scale -= 0.05) {
    const bodies = fill(parts, scale);
    if (rightOf(bodies) < RIGHT) return spreadOut(bodies);
  }
  return spreadOut(fill(parts, 0.4));
}

const LEFT = MARGIN + 40;
const RIGHT = WIDTH - MARGIN - 40;
const rightOf = (bodies: readonly Body[]) => Math.max(...bodies.map(({ x, w }) => x + w / 2));

/** Uses the whole width of the board. */
function spreadOut(bodies: readonly Body[]): readonly Body[] {
  const factor = (RIGHT - LEFT) / (rightOf(bodies) - LEFT);
  return bodies.map((body) => ({ ...body, x: LEFT + (body.x - body.w / 2 - LEFT) * factor + (body.w * factor) / 2 }));
}

function fill(parts: readonly LoggedPart[], scale: number): readonly Body[] {
  const bodies: Body[] = [];
  let [left, rowTop, rowHeight, used] = [LEFT, TOP, 0, 0];
  for (const part of parts) {
    const size = sizeOf(part);
    const [w, h] = [size.w * scale, size.h * scale];
    if (used > 0 && used + w > COLUMN * scale + GAP) [rowTop, rowHeight, used] = [rowTop + rowHeight + GAP + 14, 0, 0];
    if (rowTop + h > BOTTOM) [left, rowTop, rowHeight, used] = [left + COLUMN * scale + GAP, TOP, 0, 0];
    bodies.push({ part, x: left + used + w / 2, y: rowTop + h / 2, w, h, isRound: size.isRound });
    used += w + GAP;
    rowHeight = Math.max(rowHeight, h);
  }
  return bodies;
}

const inRow = (names: readonly string[], { x, y, w }: Body, y0 = 0) =>
  names.map((pin, index) => ({ pin, x: x - w / 2 + (w * (index + 0.5)) / names.length, y: y + y0 }));

/** Where the pins of a part go through the board, as cases have them. */
function padsOf(
  body: Body,
  part: BoardPart,
): readonly { readonly pin: string; readonly x: number; readonly y: number }[] {
  const names = Object.keys(part.pins);
  const { x, y, w, h, isRound } = body;
  if (part.kind === 'ic') {
    const half = Math.ceil(names.length / 2);
    return [...inRow(names.slice(0, half), body, h / 2 - 4), ...inRow(names.slice(half).toReversed(), body, 4 - h / 2)];
  }
  if (part.kind === 'transformer' || part.kind === 'relay') {
    const number = (name: string) => Number(name) || 0;
    const isLeft = (name: string) => (part.kind === 'relay' ? number(name) < 3 : number(name) < 6);
    const column = (own: readonly string[], at: number) =>
      own.map((pin, index) => ({ pin, x: at, y: y - h / 2 + (h * (index + 0.5)) / own.length }));
    return [
      ...column(names.filter(isLeft), x - w / 2 + 16),
      ...column(
        names.filter((name) => !isLeft(name)),
        x + w / 2 - 16,
      ),
    ];
  }
  if (part.kind === 'connector')
    return names.map((pin, index) => ({ pin, x, y: y - h / 2 + (h * (index + 0.5)) / names.length }));
  if (part.kind === 'common-mode-choke' || part.kind === 'optocoupler')
    return names.map((pin) => ({
      pin,
      x: ['1', '3', 'A', 'K'].includes(pin) ? x - w / 2 + 12 : x + w / 2 - 12,
      y: ['1', '2', 'A', 'C'].includes(pin) ? y - h / 3 : y + h / 3,
    }));
  if (names.length === 2) {
    const reach = isRound ? Math.min(w / 4, 34) : w / 2 - 10;
    return names.map((pin, index) => ({ pin, x: x + (index === 0 ? -reach : reach), y }));
  }
  return inRow(names, body);
}
