import { isInlet, type BoardPart } from '../board';
import type { Circuit } from './circuit';
import { clampOf, clampWidth, standClamp } from './clamp';
import { Ladder, type Hanging } from './ladder';
import { STEP, type Sheet } from './sheet';
import { linesFirst } from './symbols';
import type { Rail } from './types';

/** Levels of the first strip: its rails, and the two lines of the mains between them. */
const RAIL = { top: 80, bottom: 640 } as const;
const LINE = { top: 290, bottom: 390 } as const;
/** From one strip to the next. */
const STRIP = RAIL.bottom - RAIL.top + 60;
const START = 60;
/** What a part of the control takes beside its switch. */
const BAY = { perPart: 10, most: 110 } as const;
const WIDTH_OF_TRANSFORMER = 80;
/** Height of a bridge of four diodes. */
const BRIDGE_ROOM = 200;
/** So far down a place at the barrier is looked for. */
const LOWEST = 4000;
/** Where the other parts of a row stand that hangs on a winding: so far left of its pins. */
const BESIDE_WINDING = 110;
/** A switch stands so far under the line that its clamp has room above it. */
const CLAMP_ROOM = 190;

export interface PowerLayout {
  readonly rails: readonly Rail[];
  /** Middle of the barrier, where one is. */
  readonly barrier?: number;
}

/** Sets the parts that carry power on the sheet: from the inlet to the barrier, strip by strip, and on to the outputs. */
export function layPower(circuit: Circuit, sheet: Sheet): PowerLayout {
  const bays = baysOf(circuit);
  const ladder = new Ladder(circuit, sheet, (part) => bays.get(part.ref) ?? 0, RAIL);
  const inlet = circuit.parts.find((part) => isInlet(part));
  const end = inlet ? enter(inlet, ladder, circuit, sheet) : START;
  const main = mainFirst(circuit, ladder.hanging);
  const hung = new Set(main.map(({ transformer }) => transformer));
  const others = circuit.parts.filter(
    (part) =>
      part.kind === 'transformer' &&
      !hung.has(part) &&
      !sheet.stood.has(part.ref) &&
      (circuit.placeOf(part) === 'across' || hasBothSides(part, circuit)),
  );
  if (main.length + others.length === 0) return { rails: ladder.rails };
  const clamps = new Map(main.map((hanging) => [hanging, clampOf(hanging, circuit)]));
  const bay = Math.max(
    0,
    ...main.map((hanging) => {
      const clamp = clamps.get(hanging);
      return Math.max(clamp ? clampWidth(clamp) : 0, ...hanging.rungs.map(({ part }) => bays.get(part.ref) ?? 0));
    }),
  );
  const column = Math.ceil((end + bay + BESIDE_WINDING + 20) / STEP) * STEP;
  main.forEach((hanging, index) => {
    const { top, under } = hang(hanging, column, index * STRIP, sheet);
    const clamp = clamps.get(hanging);
    const place = { x: column - BESIDE_WINDING, top, level: under - 4 * STEP };
    if (clamp) standClamp(clamp, place, hanging.lines.upper, circuit, sheet);
  });
  const [first] = main;
  if (first) {
    const { upper, lower, top, bottom } = first.lines;
    for (const [net, level] of [
      [upper, top],
      [lower, bottom],
    ] as const)
      ladder.rails.push({ net, level, from: end, to: column });
  }
  for (const part of others) standFree(part, column, RAIL.top + 100, sheet);
  const transformers = [...hung, ...others];
  for (const transformer of transformers) outputs(transformer, ladder, circuit, sheet);
  const isCrossing = transformers.some((transformer) => circuit.placeOf(transformer) === 'across');
  return { rails: ladder.rails, ...(isCrossing ? { barrier: column + WIDTH_OF_TRANSFORMER / 2 } : {}) };
}

/** Whether a transformer has a winding on the mains, and one that nobody knows to be there. */
function hasBothSides(part: BoardPart, { symbols, sideOfPin }: Circuit): boolean {
  const isMains = (pins: readonly string[]) => pins.some((pin) => sideOfPin(part.ref, pin) === 'mains');
  const windings = symbols.windingsOf(part);
  return (
    !symbols.isChoke(part) &&
    windings.some(({ side, pins }) => side === 'left' && isMains(pins)) &&
    windings.some(({ side, pins }) => side === 'right' && !isMains(pins))
  );
}

/** Stands the inlet and walks on from its two lines; returns where they end. */
function enter(inlet: BoardPart, ladder: Ladder, circuit: Circuit, sheet: Sheet): number {
  const [plus, minus = plus] = linesFirst(inlet);
  if (plus === undefined || minus === undefined) return START;
  const level = inlet.role === 'mains-inlet' ? LINE : RAIL;
  const [symbol] = sheet.looksOf(inlet);
  const down = symbol?.pins.find(({ pin }) => pin === plus)?.y ?? 0;
  sheet.put(inlet, 0, { x: START, y: level.top - down });
  const [upper, lower] = [circuit.netOf(inlet.ref, plus), circuit.netOf(inlet.ref, minus)];
  return ladder.walk({ upper, lower, top: level.top, bottom: level.bottom }, START + 60);
}

/** Hanging rows in the order of their stages; the largest converter goes first, auxiliary ones below. */
function mainFirst({ stages }: Circuit, hanging: readonly Hanging[]): readonly Hanging[] {
  const weight = ({ transformer }: Hanging) => {
    const stage = stages.find(({ magnetics }) => magnetics.includes(transformer));
    return stage ? stage.switches.length * 4 + stage.rectifiers.length + stage.probability : 0;
  };
  return hanging.toSorted((a, b) => weight(b) - weight(a));
}

/** Stands the winding that hangs between two lines at the barrier, and what is in series with it left of it; returns where the line is and where the first of what is under it stands. */
function hang(
  { rungs, transformer, lines }: Hanging,
  column: number,
  down: number,
  sheet: Sheet,
): { readonly top: number; readonly under: number } {
  const at = rungs.findIndex(({ part }) => part === transformer);
  const above = rungs.slice(0, at);
  const below = rungs.slice(at + 1);
  const [symbol] = sheet.looksOf(transformer);
  const top = (down === 0 ? lines.top : RAIL.top) + down;
  if (!symbol) return { top, under: top };
  const from = symbol.pins.find(({ pin }) => pin === rungs[at]?.from);
  const to = symbol.pins.find(({ pin }) => pin === rungs[at]?.to);
  const y = top + above.length * 90 + 20 - (Math.min(from?.y ?? 0, to?.y ?? 0) - 10);
  const free = standFree(transformer, column, y, sheet);
  const stand = ({ part, from: pin }: Hanging['rungs'][number], level: number) => {
    const looks = sheet.looksOf(part);
    const look = looks.length === 4 && looks[0]?.pins[0]?.pin !== pin ? 1 : 0;
    const own = looks[look];
    const offset = own?.pins.find(({ side }) => side === 'top')?.x ?? 30;
    if (!own) return;
    let x = column - BESIDE_WINDING - offset;
    while (x > column - 400 && !sheet.fits(part, own, { x, y: level })) x -= STEP;
    sheet.put(part, look, { x, y: level });
  };
  above.forEach((rung, index) => stand(rung, top + 20 + index * 90));
  const under = Math.max(free + Math.max(from?.y ?? 0, to?.y ?? 0) + 30, above.length === 0 ? top + CLAMP_ROOM : 0);
  const bottom = Math.max(under + below.length * 80, RAIL.bottom + down);
  const gap = below.length > 0 ? Math.max(80, (bottom - under) / below.length) : 0;
  const level = (index: number) => Math.round((under + index * gap) / STEP) * STEP;
  below.forEach((rung, index) => stand(rung, level(index)));
  return { top, under: level(0) };
}

/** Stands a transformer at the barrier, from a level on where it has room; returns its level. */
function standFree(transformer: BoardPart, column: number, from: number, sheet: Sheet): number {
  const [symbol] = sheet.looksOf(transformer);
  let y = from;
  while (symbol && y < from + LOWEST && !sheet.fits(transformer, symbol, { x: column, y })) y += STEP;
  sheet.put(transformer, 0, { x: column, y });
  return y;
}

/** Walks on from the ends of every winding behind the barrier. */
function outputs(transformer: BoardPart, ladder: Ladder, circuit: Circuit, sheet: Sheet): void {
  const stood = sheet.stood.get(transformer.ref);
  if (!stood) return;
  const right = stood.symbol.pins.filter(({ side }) => side === 'right');
  const levels = right.map(({ y }) => stood.at.y + y);
  for (const { pins, side } of circuit.symbols.windingsOf(transformer)) {
    if (side !== 'right') continue;
    const ends = right.filter(({ pin }) => pins.includes(pin));
    const nets = ends.map(({ pin }) => circuit.netOf(transformer.ref, pin));
    const own = nets.find((net) => circuit.returns.has(net));
    const island = ends.map(({ pin }) => circuit.sideOfPin(transformer.ref, pin))[0];
    const ground =
      own ??
      [...circuit.returns].find((net) =>
        circuit.pinsOn(net).some(({ part, pin }) => circuit.sideOfPin(part.ref, pin) === island),
      ) ??
      nets.at(-1);
    if (ground === undefined) continue;
    const [first, last] = ends;
    const [upper, lower] = nets;
    if (first && last && ends.length === 2 && own === undefined && upper !== undefined && lower !== undefined)
      if (ladder.isRectified(upper, lower)) {
        const [top, bottom] = [stood.at.y + first.y, stood.at.y + last.y];
        const isOnly = right.length === 2;
        const behind = { top: top - 40, bottom: Math.max(bottom, top + BRIDGE_ROOM) };
        ladder.walk({ upper, lower, top, bottom, ...(isOnly ? {} : { behind }) }, stood.at.x + 110);
        continue;
      }
    ends.forEach((end, index) => {
      const net = nets[index];
      if (net === undefined || net === ground) return;
      const top = stood.at.y + end.y;
      const next = Math.min(...levels.filter((level) => level > top + 60), top + 240);
      ladder.walk({ upper: net, lower: ground, top, bottom: Math.max(top + 120, next - 40) }, stood.at.x + 110);
    });
  }
}

/** Room for the control of each switch: shared out by how many parts there are on the mains side that carry no power. */
function baysOf(circuit: Circuit): ReadonlyMap<string, number> {
  const control = circuit.parts.filter(
    (part) => !circuit.isPower(part) && circuit.placeOf(part) !== 'isolated' && part.fitted !== false,
  ).length;
  const commanded = circuit.stages.filter(({ switches }) =>
    switches.some((part) => circuit.part(part.ref) && circuit.placeOf(part) !== 'isolated'),
  );
  const each = Math.min(BAY.most, (control * BAY.perPart) / Math.max(1, commanded.length));
  const room = Math.round(each / STEP) * STEP;
  return new Map(commanded.flatMap(({ switches }) => switches.slice(0, 1).map((part) => [part.ref, room] as const)));
}
