import type { BoardPart } from '../board';
import type { Circuit } from './circuit';
import { dotsOf } from './dots';
import { corners, Router, stubEnd, type Terminal } from './route';
import type { Box, NetLabel, PlacedSymbol, Point, Rail, Schematic, Wire } from './types';

/** Dearest ways, in routing steps with the price of bends and crossings: where a sign says the same, where power runs, and elsewhere. */
const DEAREST = { sign: 30, returns: 90, wire: 300 } as const;
/** A wire that crosses at least so many others gives way to a name, for at most this share of the pins. */
const NAMED = { from: 1, share: 0.135 } as const;

/** So often the worst wires are named, the others laid anew, and names taken back that are not needed. */
const ROUNDS = 2;

interface PinTerminal extends Terminal {
  readonly part: BoardPart;
  readonly pin: string;
}

/** A label before its words are set. */
export type Mark = Omit<NetLabel, 'at' | 'side' | 'text'> & { readonly terminal: Terminal };

export interface Wiring {
  readonly wires: readonly Wire[];
  readonly marks: readonly Mark[];
  readonly dots: Schematic['dots'];
}

interface Joined {
  readonly pin: PinTerminal;
  readonly path: readonly Point[];
}

/** A net while it is wired. */
interface Job {
  readonly net: number;
  readonly pins: readonly PinTerminal[];
  readonly isPower: boolean;
  readonly sign: 'ground' | 'isolated-ground' | 'supply' | undefined;
  readonly trunk: readonly Point[];
  /** Pins that hang on a sign or a name. */
  readonly loose: Set<PinTerminal>;
  groups: readonly (readonly PinTerminal[])[];
  joins: readonly Joined[];
}

/**
 * Wires the pins of every net: returns and supplies by wires where they lie near each other and by signs elsewhere, all else by
 * wires. The wires are laid once, then each again with the others before its eyes; those that still cross most give way to names.
 */
export function wire(
  symbols: readonly PlacedSymbol[],
  {
    size,
    words,
    rails,
  }: {
    readonly size: { readonly width: number; readonly height: number };
    readonly words: readonly Box[];
    readonly rails: readonly Rail[];
  },
  circuit: Circuit,
): Wiring {
  const router = new Router(size.width, size.height);
  const terminals = standOn(router, symbols, circuit);
  for (const { left, top, right, bottom } of words) router.crowd(left, top, right - left, bottom - top);
  const jobs = [...terminals]
    .map(([net, pins]): Job => {
      const isPower =
        pins.filter(({ part, pin }) => circuit.isPower(part) && part.kind !== 'ic' && pin !== 'G' && pin !== 'B')
          .length > 1;
      const sign = circuit.grounds.get(net) ?? (circuit.supplies.has(net) ? ('supply' as const) : undefined);
      const isReturn = sign !== undefined && sign !== 'supply';
      return {
        net,
        pins,
        isPower,
        sign,
        trunk: trunkOf(net, rails, pins, router),
        loose: new Set(isReturn ? pins.filter(({ part }) => !circuit.isPower(part) || part.kind === 'ic') : []),
        groups: [],
        joins: [],
      };
    })
    .toSorted((a, b) => Number(b.isPower) - Number(a.isPower) || spread(a.pins) - spread(b.pins));
  for (const job of jobs) if (job.pins.length > 1) connect(job, router);
  for (let round = 0; round < ROUNDS; round += 1) {
    nameWorst(jobs, router, circuit);
    for (const job of jobs.toReversed()) {
      if (job.pins.length < 2 || !job.joins.some(({ path }) => router.crossings(job.net, path) > 0)) continue;
      release(job, router);
      connect(job, router);
    }
    for (const job of jobs) if (job.sign === undefined) rejoin(job, router);
  }
  for (const job of jobs) if (job.sign !== undefined) hangDown(job, router);
  const wires: Wire[] = [];
  const marks: Mark[] = [];
  for (const job of jobs) {
    const isKnown = circuit.isClosed(job.net) || circuit.reachesOut(job.net);
    wires.push(...wiresOf(job, circuit, isKnown));
    marks.push(...marksOf(job, isKnown, circuit.reachesOut(job.net)));
  }
  return { wires, marks, dots: dotsOf(wires) };
}

/** Blocks what stands, keeps a way open at every pin, and sorts the pins by their nets. */
function standOn(
  router: Router,
  symbols: readonly PlacedSymbol[],
  circuit: Circuit,
): ReadonlyMap<number, readonly PinTerminal[]> {
  const terminals = new Map<number, PinTerminal[]>();
  for (const { ref, at, symbol } of symbols) {
    const { left, top, right, bottom } = symbol.body;
    router.block(at.x + left, at.y + top, right - left, bottom - top);
    const part = circuit.part(ref);
    if (!part) continue;
    for (const { pin, x, y, side } of symbol.pins) {
      const net = circuit.netOf(ref, pin);
      const terminal = { x: at.x + x, y: at.y + y, side, part, pin };
      const on = terminals.get(net);
      if (on) on.push(terminal);
      else terminals.set(net, [terminal]);
      const [innerX, innerY] = [clamp(x, left, right), clamp(y, top, bottom)];
      router.block(at.x + Math.min(x, innerX), at.y + Math.min(y, innerY), Math.abs(x - innerX), Math.abs(y - innerY));
      router.reserve(net, terminal);
    }
  }
  return terminals;
}

/** The line that a net runs along: so far as it reaches from its first pin to its last, and nothing stands there. */
function trunkOf(net: number, rails: readonly Rail[], pins: readonly PinTerminal[], router: Router): readonly Point[] {
  const own = rails.filter((rail) => rail.net === net);
  const y = own[0]?.level;
  if (y === undefined) return [];
  const near = pins
    .map((pin) => stubEnd(pin).x)
    .filter((x) => own.some((rail) => rail.level === y && x >= rail.from - 60 && x <= rail.to + 60));
  if (near.length < 2) return [];
  const path = router.straight(net, { x: Math.min(...near), y }, { x: Math.max(...near), y });
  if (path.length < 2) return [];
  claimTrunk(net, path, router);
  return path;
}

function claimTrunk(net: number, path: readonly Point[], router: Router): void {
  router.claim(net, path);
  for (const end of [path[0], path.at(-1)]) if (end) router.pin(net, end);
}

/** Joins the pins of a net by wires, the nearest first; notes the groups that hang together. */
function connect(job: Job, router: Router): void {
  const { net, pins, trunk, sign, loose } = job;
  const dearest = sign === undefined ? DEAREST.wire : sign === 'supply' ? DEAREST.sign : DEAREST.returns;
  const groups: { readonly pins: PinTerminal[]; readonly points: Point[] }[] = [];
  const joins: Joined[] = [];
  const left = pins.filter((pin) => !loose.has(pin));
  const join = (pin: PinTerminal, goals: readonly Point[]) => {
    const path = router.route(net, stubEnd(pin), goals, dearest);
    if (!path) return undefined;
    router.claim(net, path);
    joins.push({ pin, path });
    left.splice(left.indexOf(pin), 1);
    return path;
  };
  if (trunk.length > 0) {
    const row = trunk[0]?.y;
    const [low, high] = [trunk[0]?.x ?? 0, trunk.at(-1)?.x ?? 0];
    const isOver = ({ x, side }: PinTerminal) => (side === 'top' || side === 'bottom') && x >= low && x <= high;
    const group = { pins: [] as PinTerminal[], points: [...trunk] };
    for (const pin of left.filter((one) => isOver(one) || stubEnd(one).y === row)) {
      const path = join(pin, trunk);
      if (!path) continue;
      group.pins.push(pin);
      group.points.push(...path);
    }
    groups.push(group);
  }
  for (let isFirst = true; left.length > 0; isFirst = false) {
    let group = isFirst ? groups[0] : undefined;
    if (!group) {
      const first = left.shift();
      if (!first) break;
      group = { pins: [first], points: [stubEnd(first)] };
      groups.push(group);
    }
    const failed = new Set<PinTerminal>();
    for (;;) {
      const { points } = group;
      const open = left.filter((pin) => !failed.has(pin));
      const next = open.toSorted((a, b) => nearest(a, points) - nearest(b, points))[0];
      if (!next) break;
      const path = join(next, points);
      if (!path) {
        failed.add(next);
        continue;
      }
      points.push(...path);
      group.pins.push(next);
      failed.clear();
    }
  }
  job.groups = groups.map((group) => group.pins);
  job.joins = joins;
}

/** Takes the wires of a net up again; its pins and its line stay. */
function release({ net, pins, joins, trunk }: Job, router: Router): void {
  for (const { path } of joins) router.release(net, path);
  for (const pin of pins) router.reserve(net, pin);
  if (trunk.length > 0) claimTrunk(net, trunk, router);
}

/** The wires that cross most others give way to names, as far as names are allowed. */
function nameWorst(jobs: readonly Job[], router: Router, circuit: Circuit): void {
  const carries = ({ part, pin }: PinTerminal) =>
    circuit.isPower(part) && part.kind !== 'ic' && pin !== 'G' && pin !== 'B';
  const wired = jobs.filter(({ pins }) => pins.length > 1);
  const worst = wired
    .filter(({ isPower, sign }) => !isPower && sign === undefined)
    .flatMap((job) => job.joins.map(({ pin, path }) => ({ job, pin, crossed: router.crossings(job.net, path) })))
    .filter(({ crossed }) => crossed >= NAMED.from)
    .toSorted((a, b) => b.crossed - a.crossed);
  const named = wired.filter(({ sign }) => sign === undefined).reduce((sum, { loose }) => sum + loose.size, 0);
  let left = Math.floor(wired.reduce((sum, { pins }) => sum + pins.length, 0) * NAMED.share) - named;
  const changed = new Set<Job>();
  // A sign costs nothing: where the wire of a return or a supply would cross others, it stands instead.
  for (const job of wired.filter(({ sign }) => sign !== undefined))
    for (const { pin, path } of job.joins)
      if (router.crossings(job.net, path) > 0) {
        job.loose.add(pin);
        changed.add(job);
      }
  for (const { job, pin } of worst) {
    const hung = job.pins.length - job.loose.size <= 2 ? job.pins.filter((one) => !job.loose.has(one)) : [pin];
    if (hung.length > left || hung.some(carries)) continue;
    left -= hung.length;
    job.loose.add(pin);
    changed.add(job);
  }
  for (const job of changed) {
    release(job, router);
    connect(job, router);
  }
}

/** Pins that were given a name are wired after all where by now a wire crosses nothing more. */
function rejoin(job: Job, router: Router): void {
  const crossed = () => job.joins.reduce((sum, { path }) => sum + router.crossings(job.net, path), 0);
  for (const pin of [...job.loose]) {
    if (!job.loose.has(pin)) continue;
    const before = crossed();
    const kept = new Set(job.loose);
    const { joins, groups } = job;
    job.loose.delete(pin);
    // A name at one pin alone says nothing: the last two go together.
    if (job.loose.size === 1 && job.pins.length === 2) job.loose.clear();
    release(job, router);
    connect(job, router);
    if (crossed() <= before && job.groups.length <= 1) continue;
    for (const one of kept) job.loose.add(one);
    release(job, router);
    for (const { path } of joins) router.claim(job.net, path);
    job.joins = joins;
    job.groups = groups;
  }
}

/** Pins that stand over the line of their return with nothing between are wired down to it; a sign would say less. */
function hangDown(job: Job, router: Router): void {
  const { net, trunk, loose, joins } = job;
  const [first] = trunk;
  const last = trunk.at(-1);
  if (!first || !last) return;
  const down: Joined[] = [];
  for (const pin of [...loose]) {
    const end = stubEnd(pin);
    if (pin.side !== 'bottom' || end.y >= first.y || end.x < first.x || end.x > last.x) continue;
    const path = router.plumb(net, end, first.y);
    if (!path) continue;
    router.claim(net, path);
    loose.delete(pin);
    down.push({ pin, path });
  }
  if (down.length === 0) return;
  job.joins = [...joins, ...down];
  // The first group is what hangs on the line.
  const [onLine = [], ...others] = job.groups;
  job.groups = [[...onLine, ...down.map(({ pin }) => pin)], ...others];
}

function wiresOf({ net, pins, joins, trunk, isPower }: Job, circuit: Circuit, isKnown: boolean): readonly Wire[] {
  const isOpen = pins.length === 1 && !isKnown;
  return [
    ...pins.map((terminal): Wire => ({
      net,
      points: [terminal, stubEnd(terminal)].map(({ x, y }) => ({ x, y })),
      isPower: isPower && circuit.isPower(terminal.part),
      ...(isOpen ? { isOpen } : {}),
    })),
    ...lineOf(trunk, joins).map((points): Wire => ({ net, points: corners(points), isPower: true })),
    ...joins.map(({ path }): Wire => ({ net, points: corners(path), isPower })),
  ];
}

/** A line, from the first wire on it to the last. */
function lineOf(trunk: readonly Point[], joins: readonly Joined[]): readonly (readonly Point[])[] {
  const level = trunk[0]?.y;
  const met = new Set(joins.flatMap(({ path }) => path.filter(({ y }) => y === level).map(({ x }) => x)));
  const used = trunk.flatMap(({ x }, index) => (met.has(x) ? [index] : []));
  const [first, last] = [used[0], used.at(-1)];
  return first === undefined || last === undefined || first === last ? [] : [trunk.slice(first, last + 1)];
}

function marksOf({ net, pins, sign, loose, groups }: Job, isKnown: boolean, reachesOut: boolean): readonly Mark[] {
  const named = (terminal: PinTerminal) => [`${terminal.part.ref}.${terminal.pin}`];
  const [only] = pins;
  if (pins.length === 1 && !reachesOut)
    return only && !isKnown ? [{ net, kind: 'open', terminal: only, pins: named(only) }] : [];
  const alone = [...loose].map((terminal): Mark => ({ net, kind: sign ?? 'name', terminal, pins: named(terminal) }));
  if (groups.length + loose.size < 2 && !reachesOut) return [];
  const shown = (pins.length === 1 ? [pins] : groups).flatMap((group): readonly Mark[] => {
    const [first] = group.toSorted((a, b) => rank(a, sign) - rank(b, sign));
    return first ? [{ net, kind: sign ?? 'name', terminal: first, pins: group.length === 1 ? named(first) : [] }] : [];
  });
  return [...alone, ...shown];
}

/** Signs of returns stand best at pins that face down, those of supplies at pins that face up, names at the sides. */
function rank({ side }: Terminal, sign: string | undefined): number {
  const wanted = sign === undefined ? ['left', 'right'] : sign === 'supply' ? ['top'] : ['bottom'];
  return wanted.includes(side) ? 0 : 1;
}

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));
const spread = (pins: readonly Point[]) =>
  Math.max(...pins.map(({ x }) => x)) -
  Math.min(...pins.map(({ x }) => x)) +
  Math.max(...pins.map(({ y }) => y)) -
  Math.min(...pins.map(({ y }) => y));
const nearest = (pin: Point, points: readonly Point[]) =>
  Math.min(...points.map(({ x, y }) => Math.abs(x - pin.x) + Math.abs(y - pin.y)));
