import { pinName, splitPin, type BoardPart } from '../board';
import type { Analysis } from '../topology';
import { shifted, wordsAt } from './boxes';
import { captionOf } from './caption';
import { circuitOf, type Circuit } from './circuit';
import { labelsOf } from './labels';
import { Plan } from './plan';
import { layPower, type PowerLayout } from './power';
import { settle } from './settle';
import { Sheet, STEP } from './sheet';
import { NO_PLACES, type PlacedSymbol, type Places, type Schematic } from './types';
import { blocksOf, type Block } from './views/blocks';
import { folded, section } from './views/narrow';
import { sectionsOf, type Section } from './views/sections';
import { wire } from './wiring';

const MARGIN = 30;
const BARRIER = 40;
/** So often each part of the control is set anew where it is better. */
const ROUNDS = 1;
/** A line reaches so far beyond the parts that stand on it. */
const REACH = 60;
/** The last drawing is kept while at least this share of its parts do what they did. */
const KEPT_FROM = 0.6;

/** What of a board is drawn. */
export type SchematicView =
  /** Every part. */
  | { readonly kind: 'whole' }
  /** The power path, with the control folded into a box for each chip; those named are unfolded. */
  | { readonly kind: 'folded'; readonly unfolded: readonly string[] }
  /** One section by itself. */
  | { readonly kind: 'section'; readonly id: string };

/** Boards of more parts open with their control folded. */
const FOLDED_FROM = 41;

/** What a board opens with, by how many parts it has. */
export const firstView = (parts: number): SchematicView =>
  parts < FOLDED_FROM ? { kind: 'whole' } : { kind: 'folded', unfolded: [] };

export interface DrawnSchematic {
  readonly schematic: Schematic;
  readonly places: Places;
  /** Parts of the board that can be drawn by themselves. */
  readonly sections: readonly Section[];
  /** Parts of the control that can be folded, whether they are or not; found when the view folds. */
  readonly blocks: readonly Block[];
}

/**
 * A schematic of a board, with the places its parts took. Give the places of the last drawing of the same view to keep it
 * steady.
 */
export function drawSchematic(
  analysis: Analysis,
  { before = NO_PLACES, view = { kind: 'whole' } }: { readonly before?: Places; readonly view?: SchematicView } = {},
): DrawnSchematic {
  const whole = circuitOf(analysis);
  const sections = sectionsOf(analysis, whole);
  const blocks = view.kind === 'folded' ? blocksOf(whole, powerPath(whole)) : [];
  const own = view.kind === 'section' ? sections.find(({ id }) => id === view.id) : undefined;
  const circuit = own
    ? section(whole, own.refs)
    : view.kind === 'folded'
      ? folded(
          whole,
          blocks.filter(({ title }) => !view.unfolded.includes(title)),
        )
      : whole;
  return { ...draw(analysis, circuit, before), sections, blocks };
}

/** Parts of a board that can be drawn by themselves. */
export const sectionsIn = (analysis: Analysis): readonly Section[] => sectionsOf(analysis, circuitOf(analysis));

/** References of the parts that carry power or stand along its way. */
function powerPath(circuit: Circuit): ReadonlySet<string> {
  const sheet = new Sheet(circuit);
  layPower(circuit, sheet);
  return new Set([...sheet.stood.keys(), ...circuit.parts.filter(circuit.isPower).map(({ ref }) => ref)]);
}

function draw(
  analysis: Analysis,
  circuit: Circuit,
  before: Places,
): { readonly schematic: Schematic; readonly places: Places } {
  const sheet = new Sheet(circuit);
  const roles = rolesOf(circuit);
  const layout = keep(before, roles, circuit, sheet) ?? layPower(circuit, sheet);
  const { barrier, rails } = layout;
  const plan = new Plan();
  for (const { net, level, from, to } of rails) {
    plan.add({ net, a: { x: from, y: level }, b: { x: to, y: level }, owner: undefined });
    for (const { x, y, side } of sheet.standing(net))
      if ((side === 'top' || side === 'bottom') && x >= from - REACH && x <= to + REACH)
        plan.add({ net, a: { x, y }, b: { x, y: level }, owner: undefined });
  }
  settle({ circuit, sheet, plan, bounds: barrier === undefined ? {} : { barrier } }, ROUNDS);
  return finish(analysis, circuit, sheet, layout, roles);
}

/** What a part does, as far as its place hangs on it: a part moves only when this changes. */
function rolesOf(circuit: Circuit): ReadonlyMap<string, string> {
  const staged = new Map<BoardPart, string>();
  for (const { topology, switches, rectifiers, magnetics } of circuit.stages)
    for (const part of [...switches, ...rectifiers, ...magnetics]) staged.set(part, topology);
  return new Map(circuit.parts.map((part) => [part.ref, `${circuit.placeOf(part)} ${staged.get(part) ?? ''}`]));
}

/** The parts of the last drawing at their places, where most of them still do what they did. */
function keep(
  before: Places,
  roles: ReadonlyMap<string, string>,
  circuit: Circuit,
  sheet: Sheet,
): PowerLayout | undefined {
  const kept = circuit.parts.filter(({ ref }) => before.parts[ref]?.role === roles.get(ref));
  if (kept.length === 0 || kept.length < KEPT_FROM * Object.keys(before.parts).length) return undefined;
  for (const part of kept) {
    const place = before.parts[part.ref];
    const symbol = place && sheet.looksOf(part)[place.look];
    if (place && symbol && sheet.fits(part, symbol, place)) sheet.put(part, place.look, { x: place.x, y: place.y });
  }
  return {
    rails: before.rails.map(({ pin, ...rail }) => ({ ...rail, net: circuit.netOf(...splitPin(pin)) })),
    ...(before.barrier === undefined ? {} : { barrier: before.barrier }),
  };
}

function finish(
  analysis: Analysis,
  circuit: Circuit,
  sheet: Sheet,
  { rails, barrier }: PowerLayout,
  roles: ReadonlyMap<string, string>,
): { readonly schematic: Schematic; readonly places: Places } {
  const bounds = sheet.bounds();
  const lowest = Math.max(bounds.bottom, ...rails.map(({ level }) => level));
  const snap = (value: number) => Math.ceil(value / STEP) * STEP;
  const shift = { x: snap(MARGIN - bounds.left), y: snap(MARGIN - bounds.top) };
  const symbols = [...sheet.stood.values()].map(({ part, symbol, at }): PlacedSymbol => ({
    ref: part.ref,
    symbol,
    at: { x: at.x + shift.x, y: at.y + shift.y },
    caption: captionOf(part, symbol),
    isPower: circuit.isPower(part),
    side: circuit.placeOf(part),
    ...(circuit.symbols.isBlock(part) ? { isBlock: true } : {}),
  }));
  const size = { width: snap(bounds.right + shift.x + MARGIN), height: snap(lowest + shift.y + MARGIN) };
  const words = symbols.filter(({ symbol }) => symbol.captionAt !== 'inside').map(wordsAt);
  const moved = rails.map(({ net, level, from, to }) => ({
    net,
    level: level + shift.y,
    from: from + shift.x,
    to: to + shift.x,
  }));
  const { wires, marks, dots } = wire(symbols, { size, words, rails: moved }, circuit);
  const bodies = symbols.map(({ at, symbol: { body } }) => shifted(body, at));
  const schematic: Schematic = {
    ...size,
    symbols,
    wires,
    labels: labelsOf(marks, [...words, ...bodies], circuit),
    dots,
    title: analysis.recognition.model.board.title ?? 'Traced board',
    ...(barrier === undefined ? {} : { barrier: { x: barrier + shift.x - BARRIER / 2, width: BARRIER } }),
  };
  const places: Places = {
    parts: Object.fromEntries(
      [...sheet.stood.values()].map(({ part: { ref }, look, at }) => [
        ref,
        { x: at.x + shift.x, y: at.y + shift.y, look, role: roles.get(ref) ?? '' },
      ]),
    ),
    rails: moved.flatMap(({ net, ...rail }) => {
      const [pin] = circuit.pinsOn(net);
      return pin ? [{ ...rail, pin: pinName(pin) }] : [];
    }),
    ...(barrier === undefined ? {} : { barrier: barrier + shift.x }),
  };
  return { schematic, places };
}
