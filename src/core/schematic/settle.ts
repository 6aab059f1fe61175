import type { BoardPart } from '../board';
import { shifted } from './boxes';
import { captionBox, captionOf } from './caption';
import type { Circuit } from './circuit';
import type { Plan } from './plan';
import { AWAY, STEP, type PinAt, type Sheet } from './sheet';
import type { PartSymbol, Point, Side, SymbolPin } from './types';

/** How much the way from a pin to its net weighs: what is drawn as a sign may lie anywhere, but rather near. */
const WEIGHT = { wire: 1, supply: 0.35, ground: 0.03 } as const;
const NEAR_SIGN = 240;
/** What a place costs beside the length of its wires. Tried out by eye and by the figures of drawn boards. */
const COST = {
  bend: 16,
  /** Each cell of the way that is taken, and each wire that it crosses. */
  taken: 6,
  crossing: 60,
  /** Each wire that the symbol would stand on. */
  covered: 40,
  /** The wrong side of the barrier. */
  side: 4000,
  /** The second and further ways to draw it. */
  look: 3,
  /** What leaves the board, by its way from the right edge. */
  inward: 2,
} as const;
/** Where a part is tried: so far in front of the pin it is joined to, and so far aside. */
const AHEAD = [20, 40, 70, 110, 170, 250, 360, 520];
const ASIDE = [0, 20, -20, 50, -50, 100, -100, 180, -180, 290, -290];
const ALONG_WIRE = 20;
/** To stand on a line that carries power is as bad as to stand on so many wires. */
const ON_RAIL = 5;
/** A part is still on the barrier when its middle is so far from that of the gap. */
const ASTRIDE = 10;
const MOST_ANCHORS = 4;
const MOST_OTHERS = 8;

export interface Bounds {
  readonly barrier?: number;
}

interface Desk {
  readonly circuit: Circuit;
  readonly sheet: Sheet;
  readonly plan: Plan;
  readonly bounds: Bounds;
}

/** Sets the parts that are left near what they are joined to, the best joined first, and then each again where it is better. */
export function settle(desk: Desk, rounds: number): void {
  const { circuit, sheet, plan } = desk;
  const isLast = ({ kind, role }: BoardPart) => kind === 'connector' && role === 'output';
  const left = circuit.parts.filter(({ ref }) => !sheet.stood.has(ref));
  const waiting = new Set(left.filter((part) => !isLast(part)));
  const order: BoardPart[] = [];
  while (waiting.size > 0) {
    let best: BoardPart | undefined;
    let most = -1;
    for (const part of waiting) {
      const pull = pullOf(part, circuit, sheet);
      if (pull > most) [best, most] = [part, pull];
    }
    if (!best) break;
    waiting.delete(best);
    order.push(best);
    place(best, desk);
  }
  for (let round = 0; round < rounds; round += 1)
    for (const part of order) {
      sheet.lift(part.ref);
      plan.drop(part.ref);
      place(part, desk);
    }
  for (const part of left.filter(isLast)) place(part, desk, sheet.bounds().right);
}

const weightOf = (net: number, { grounds, supplies }: Circuit) =>
  grounds.has(net) ? WEIGHT.ground : supplies.has(net) ? WEIGHT.supply : WEIGHT.wire;
const wayCost = (way: number, weight: number) => weight * (weight < WEIGHT.wire ? Math.min(NEAR_SIGN, way) : way);

/** How strongly a part is drawn to what stands: by its wires, those of small nets most; chips before what hangs on them. */
function pullOf(part: BoardPart, circuit: Circuit, sheet: Sheet): number {
  let pull = 0;
  const pins = Object.keys(part.pins);
  for (const pin of pins) {
    const net = circuit.netOf(part.ref, pin);
    if (sheet.standing(net).length === 0) continue;
    pull += weightOf(net, circuit) < WEIGHT.wire ? 0.05 : 1 / Math.max(1, circuit.pinsOn(net).length - 1) + 0.3;
  }
  return pull + (pull > 0 && pins.length > 3 ? 1.5 : 0);
}

/** A pin of the part that is set, with what stands on its net. */
interface Tie {
  readonly pin: SymbolPin;
  readonly net: number;
  readonly weight: number;
  readonly others: readonly PinAt[];
  readonly isUpright: boolean;
  /** Foreseen wires that the pin meets when it goes straight on: at which level they run, and from where to where. */
  readonly pieces: readonly { readonly level: number; readonly low: number; readonly high: number }[];
}

interface Way {
  readonly net: number;
  readonly from: Point;
  readonly corner: Point;
  readonly to: Point;
}

/** Puts a part where the ways to its nets are shortest and straightest. @param edge what leaves the board stands there, at the right */
export function place(part: BoardPart, desk: Desk, edge?: number): void {
  const { circuit, sheet, plan, bounds } = desk;
  let best: { look: number; at: Point; cost: number; ways: readonly Way[] } | undefined;
  looksFor(part, circuit, sheet).forEach((look, rank) => {
    const symbol = sheet.looksOf(part)[look];
    if (!symbol) return;
    const ties = symbol.pins.map((pin): Tie => {
      const net = circuit.netOf(part.ref, pin.pin);
      return {
        pin,
        net,
        weight: weightOf(net, circuit),
        others: sheet.standing(net).slice(0, MOST_OTHERS),
        isUpright: pin.side === 'top' || pin.side === 'bottom',
        pieces: piecesAcross(net, pin.side, plan),
      };
    });
    const consider = (at: Point) => {
      let cost = rank * COST.look + placeCost(part, symbol, at, circuit, bounds);
      if (edge !== undefined) cost += Math.max(0, edge - at.x - symbol.body.right) * COST.inward;
      if (best && cost >= best.cost) return;
      for (const tie of ties) {
        if (tie.others.length === 0) continue;
        cost += wayCost(leastCost(tie, at.x + tie.pin.x, at.y + tie.pin.y), tie.weight);
        if (best && cost >= best.cost) return;
      }
      if (!sheet.fits(part, symbol, at)) return;
      const ways = ties
        .filter(({ others, weight }) => others.length > 0 && weight === WEIGHT.wire)
        .map((tie) => {
          const [x, y] = [at.x + tie.pin.x, at.y + tie.pin.y];
          return cheapestWay(tie, x, y, leastCost(tie, x, y));
        });
      for (const way of ways) {
        cost += takenOn(way, sheet) * COST.taken;
        cost +=
          (plan.crossings(way.net, way.from, way.corner) + plan.crossings(way.net, way.corner, way.to)) * COST.crossing;
      }
      if (best && cost >= best.cost) return;
      cost += coveredBy(part, symbol, at, plan) * COST.covered;
      if (!best || cost < best.cost) best = { look, at, cost, ways };
    };
    if (bounds.barrier !== undefined && circuit.placeOf(part) === 'across') {
      const x = Math.round((bounds.barrier - (symbol.body.left + symbol.body.right) / 2) / STEP) * STEP;
      const low = sheet.bounds().bottom + 60;
      for (let y = 60; y < low; y += 2 * STEP) consider({ x, y });
    }
    if (edge !== undefined)
      for (const { pin, others } of ties)
        for (const other of others)
          for (const aside of ASIDE)
            for (const x of [edge - symbol.body.right, edge + 2 * STEP - symbol.body.left])
              consider({ x: Math.round(x / STEP) * STEP, y: other.y + aside - pin.y });
    ties.sort((a, b) => b.weight - a.weight);
    const heaviest = Math.max(...ties.filter(({ others }) => others.length > 0).map(({ weight }) => weight));
    for (const { pin, weight, others, pieces } of ties) {
      if (weight < heaviest) continue;
      const step = AWAY[pin.side];
      for (const other of others.slice(0, MOST_ANCHORS)) {
        const ahead = AWAY[other.side];
        const isUTurn = ahead.x === step.x && ahead.y === step.y;
        for (const d of AHEAD) {
          if (best && wayCost(d, weight) >= best.cost) break;
          for (const aside of ASIDE) {
            const front = isUTurn ? d - 20 : d;
            if (best && wayCost(front + Math.abs(aside), weight) >= best.cost) continue;
            consider({
              x: other.x + ahead.x * front + ahead.y * aside - pin.x,
              y: other.y + ahead.y * front + ahead.x * aside - pin.y,
            });
          }
        }
      }
      // Straight onto a wire that is foreseen.
      for (const { level, low, high } of pieces)
        for (let along = low; along <= high; along += ALONG_WIRE)
          for (const d of AHEAD.slice(0, 4)) {
            if (best && wayCost(d, weight) >= best.cost) break;
            const [x, y] = step.x === 0 ? [along, level - step.y * d] : [level - step.x * d, along];
            consider({ x: x - pin.x, y: y - pin.y });
          }
    }
  });
  // Near what it is joined to there may be room on the wrong side only.
  if (!best || (best.cost >= COST.side && circuit.placeOf(part) !== 'across')) best = anywhere(part, desk) ?? best;
  if (!best) return;
  sheet.put(part, best.look, best.at);
  for (const { net, from, corner, to } of best.ways) plan.addWay(net, from, corner, to, part.ref);
}

/** Where nothing is joined to it, or nothing near has room: the first free place from the top on its side. */
function anywhere(part: BoardPart, { circuit, sheet, bounds }: Desk) {
  const { right, bottom } = sheet.bounds();
  const [look = 0] = looksFor(part, circuit, sheet);
  const symbol = sheet.looksOf(part)[look];
  const isBehind = bounds.barrier !== undefined && circuit.placeOf(part) === 'isolated';
  const isBefore = bounds.barrier !== undefined && circuit.placeOf(part) === 'mains';
  const start = isBehind ? (bounds.barrier ?? 0) + 80 : 60;
  const end = isBefore ? (bounds.barrier ?? 0) - 50 - (symbol?.body.right ?? 0) : right + 200;
  for (let y = 60; symbol && y < bottom + 400; y += 40)
    for (let x = start; x < end; x += 40)
      if (sheet.fits(part, symbol, { x, y })) return { look, at: { x, y }, cost: 0, ways: [] };
  return undefined;
}

/** Ways to draw a part that its nets allow: plus up, returns down, light paths across the barrier from side to side. */
function looksFor(part: BoardPart, circuit: Circuit, sheet: Sheet): readonly number[] {
  const looks = sheet.looksOf(part);
  const isIsolated = (pin: string) => circuit.sideOfPin(part.ref, pin).startsWith('isolated');
  if (part.kind === 'optocoupler') return [isIsolated('C') && !isIsolated('A') ? 1 : 0];
  if (looks.length !== 4) return looks.map((_, index) => index);
  const [upper, lower] = looks[0]?.pins ?? [];
  if ('+' in part.pins && '-' in part.pins) return [0];
  const isGround = (pin: string | undefined) => pin !== undefined && circuit.returns.has(circuit.netOf(part.ref, pin));
  const isSupply = (pin: string | undefined) => pin !== undefined && circuit.supplies.has(circuit.netOf(part.ref, pin));
  if (isGround(lower?.pin) && isGround(upper?.pin)) return [2, 3];
  if (isGround(lower?.pin) !== isGround(upper?.pin)) return isGround(lower?.pin) ? [0] : [1];
  if (isSupply(lower?.pin) !== isSupply(upper?.pin)) return isSupply(upper?.pin) ? [0, 2, 3] : [1, 2, 3];
  return part.kind === 'diode' ? [2, 3, 1, 0] : [2, 3, 0, 1];
}

/** Costs of a place by itself: the side of the barrier, and the edges of the sheet. */
function placeCost(part: BoardPart, symbol: PartSymbol, at: Point, circuit: Circuit, { barrier }: Bounds): number {
  let cost = 0;
  if (barrier !== undefined) {
    const place = circuit.placeOf(part);
    const [left, right] = [at.x + symbol.body.left, at.x + symbol.body.right];
    if (place === 'mains' && right > barrier - 50) cost += COST.side + right - barrier;
    if (place === 'isolated' && left < barrier + 50) cost += COST.side + barrier - left;
    if (place === 'across') {
      // What crosses the barrier stands on it, never beside it.
      const off = Math.abs((left + right) / 2 - barrier);
      cost += off * 4 + (off > ASTRIDE ? COST.side : 0);
    }
  }
  if (at.y + symbol.body.top < 30) cost += 300 + 30 - at.y;
  if (at.x + symbol.body.left < 20) cost += 300 - at.x;
  return cost;
}

/** Foreseen wires that run across the way a pin faces. */
function piecesAcross(net: number, side: Side, plan: Plan): Tie['pieces'] {
  const isUpright = side === 'top' || side === 'bottom';
  return plan
    .of(net)
    .filter(({ a, b }) => (a.y === b.y) === isUpright)
    .map(({ a, b }) =>
      isUpright
        ? { level: a.y, low: Math.min(a.x, b.x), high: Math.max(a.x, b.x) }
        : { level: a.x, low: Math.min(a.y, b.y), high: Math.max(a.y, b.y) },
    );
}

/** What the cheapest way costs from a pin to what stands on its net: to another pin, or straight onto a wire that is foreseen. */
function leastCost({ pin, others, pieces, isUpright }: Tie, x: number, y: number): number {
  let least = Infinity;
  for (const other of others) {
    const [dx, dy] = [other.x - x, other.y - y];
    const length = Math.abs(dx) + Math.abs(dy);
    if (length < least) least = Math.min(least, length + bendsOf(pin.side, other.side, dx, dy) * COST.bend);
  }
  const [along, from] = isUpright ? [x, y] : [y, x];
  for (const piece of pieces)
    if (along >= piece.low && along <= piece.high) least = Math.min(least, onto(piece, from, pin.side));
  return least;
}

const onto = ({ level }: Tie['pieces'][number], from: number, side: Side) => {
  const ahead = (level - from) * (AWAY[side].x + AWAY[side].y);
  return Math.abs(level - from) + (ahead > 0 ? 0 : ahead === 0 ? COST.bend : 3 * COST.bend);
};

/** The way that costs so little. */
function cheapestWay({ pin, net, others, pieces, isUpright }: Tie, x: number, y: number, cost: number): Way {
  const [along, at] = isUpright ? [x, y] : [y, x];
  const other = others.find((one) => {
    const [dx, dy] = [one.x - x, one.y - y];
    return Math.abs(dx) + Math.abs(dy) + bendsOf(pin.side, one.side, dx, dy) * COST.bend === cost;
  });
  const piece = other
    ? undefined
    : pieces.find((one) => along >= one.low && along <= one.high && onto(one, at, pin.side) === cost);
  const to = other ?? (isUpright ? { x, y: piece?.level ?? y } : { x: piece?.level ?? x, y });
  const corner = isUpright ? { x, y: to.y } : { x: to.x, y };
  return { net, from: { x, y }, corner, to: { x: to.x, y: to.y } };
}

/** Bends that a wire between two pins needs, by how they face and where the other lies. */
function bendsOf(side: Side, other: Side, dx: number, dy: number): number {
  const [away, back] = [AWAY[side], AWAY[other]];
  const ahead = dx * away.x + dy * away.y;
  const aside = away.x === 0 ? dx : dy;
  const met = -(dx * back.x + dy * back.y);
  if (away.x === -back.x && away.y === -back.y) {
    if (ahead <= 0) return 4;
    return aside === 0 ? 0 : 2;
  }
  if (away.x === back.x && away.y === back.y) return aside === 0 ? 4 : 2;
  return ahead > 0 && met > 0 ? 1 : 3;
}

/** Wires that a symbol or its words would stand on. */
function coveredBy(part: BoardPart, symbol: PartSymbol, at: Point, plan: Plan): number {
  const words = symbol.captionAt === 'inside' ? [] : [captionBox(captionOf(part, symbol))];
  return [symbol.body, ...words].reduce((sum, box) => {
    const { left, right, top, bottom } = shifted(box, at);
    const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
    return (
      sum +
      plan.crossings(-1, { x: left, y: middle.y }, { x: right, y: middle.y }, ON_RAIL) +
      plan.crossings(-1, { x: middle.x, y: top }, { x: middle.x, y: bottom }, ON_RAIL)
    );
  }, 0);
}

/** Cells of a way that are taken. */
function takenOn({ from, corner, to }: Way, sheet: Sheet): number {
  let taken = 0;
  const run = (a: Point, b: Point) => {
    const [sx, sy] = [Math.sign(b.x - a.x), Math.sign(b.y - a.y)];
    const steps = Math.max(Math.abs(b.x - a.x), Math.abs(b.y - a.y)) / STEP;
    for (let step = 2; step < steps - 1; step += 1)
      if (sheet.isTaken(a.x + sx * step * STEP, a.y + sy * step * STEP)) taken += 1;
  };
  run(from, corner);
  run(corner, to);
  return taken;
}
