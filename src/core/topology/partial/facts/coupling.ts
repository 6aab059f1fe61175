import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import { mayCouple } from '../../match/candidates';
import type { BoardFacts } from './boardFacts';
import { partsOf, type ChokeEnd } from './chokeEnd';
import type { FarPart, RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** A capacitor that couples two chokes. */
const COUPLING = practice({ farads: 2.2e-7, certain: 4e-7 });

/** A capacitor from this end to a second choke. */
export function couplingFacts(end: ChokeEnd, sheet: FactSheet): void {
  const { board, anchor, a, b, here, upper, lower, chips, out } = end;
  const { rails, isMains, isDcFed } = board;
  const switched = upper.length + lower.length + chips.length > 0;
  for (const { part, far } of here.capacitors) {
    const size = part.value?.capacitance;
    if (size === undefined ? part.subtype === 'film' && isMains : size < COUPLING.farads) continue;
    const beyond = rails[far];
    if (!beyond || beyond.still) continue;
    const isMine = (one: FarPart) =>
      one.part === anchor && (one.far === a || one.far === b) && anchor.kind === 'inductor';
    const second = [...beyond.chokes, ...beyond.windings].filter((one) => !isMine(one));
    const isActive =
      switched ||
      out.length + end.in.length > 0 ||
      beyond.upper.length + beyond.lower.length + beyond.out.length + beyond.in.length > 0;
    if (second.length > 0 && isActive) {
      sheet.raise('coupled chokes', 1, part, ...partsOf(second));
      coupledDiodeFacts(board, here, beyond, part, sheet);
    } else if (switched && out.length === 0 && end.in.length === 0 && (size ?? 0) >= COUPLING.certain && isDcFed)
      sheet.raise('coupling capacitor', 1, part);
  }
}

/** A capacitor between the swinging ends of two windings: two chokes on one core, not a transformer with a barrier. */
export function coupledWindingFacts(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const { model, rails } = board;
  const windingAt = (rail: number) =>
    model.elements.windings.find((winding) => winding.part === anchor && winding.rails.includes(rail));
  for (const { part, a, b, polarised } of model.elements.capacitors) {
    const [here, beyond, one, other] = [rails[a], rails[b], windingAt(a), windingAt(b)];
    if (!here || !beyond || !one || !other || one === other || here.still || beyond.still) continue;
    if (!mayCouple(part, polarised)) continue;
    sheet.raise('windings coupled by capacitor', 1, part);
    coupledDiodeFacts(board, here, beyond, part, sheet);
    coupledDiodeFacts(board, beyond, here, part, sheet);
  }
}

/**
 * A capacitor of a size to couple two windings whose place is not known: as long as it may lie between them, two chokes
 * on one core look like a transformer.
 */
export function openCouplingFacts({ model, rails, isDcFed }: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const own = model.elements.windings.filter(({ part }) => part === anchor);
  if (!isDcFed || own.length < 2 || sheet.grade('windings coupled by capacitor') > 0) return;
  const ends = new Set(own.flatMap(({ rails: at }) => at));
  const mayLieThere = (rail: number) => !rails[rail]?.known || (ends.has(rail) && !rails[rail].still);
  const free = model.elements.capacitors.filter(
    ({ part, a, b, polarised }) =>
      part.value?.capacitance !== undefined && mayCouple(part, polarised) && mayLieThere(a) && mayLieThere(b),
  );
  sheet.note('capacitor that may couple its windings', free.length > 0, ...free.map(({ part }) => part));
  const swings = (rail: number) => ends.has(rail) && (rails[rail]?.upper.length ?? 0) > 0;
  const begun = free.filter(({ a, b }) => swings(a) !== swings(b) && !rails[swings(a) ? b : a]?.known);
  sheet.note('coupling capacitor at its switched end', begun.length > 0, ...begun.map(({ part }) => part));
  const rectified = (rail: number) =>
    ends.has(rail) && (rails[rail]?.in.length ?? 0) + (rails[rail]?.out.length ?? 0) > 0 && !rails[rail]?.still;
  const atDiode = free.filter(({ a, b }) => rectified(a) !== rectified(b) && !rails[rectified(a) ? b : a]?.known);
  sheet.note('coupling capacitor at its rectified end', atDiode.length > 0, ...atDiode.map(({ part }) => part));
}

/** Where the diode of two coupled chokes leads: to an output (SEPIC), or to the foot of the switch (Ćuk). */
function coupledDiodeFacts(
  board: BoardFacts,
  here: RailFacts,
  beyond: RailFacts,
  coupling: BoardPart,
  sheet: FactSheet,
): void {
  const feet = [...here.upper, ...beyond.upper].map(({ lo }) => lo);
  for (const node of [here, beyond]) {
    if (node === here && here.upper.length + here.lower.length > 0) continue;
    for (const { element, far } of node.out) {
      const behind = board.rails[far];
      if (!behind) continue;
      if (feet.includes(far)) sheet.raise('cuk diode', 1, element.part, coupling);
      else if (behind.stores.some((store) => store.plus && (feet.length === 0 || feet.includes(store.far))))
        sheet.raise('sepic diode', 1, element.part, coupling);
      else if (behind.still) sheet.raise('cuk diode', 0.4, element.part, coupling);
    }
    for (const { element, far } of node.in)
      if (board.rails[far]?.still) sheet.raise('cuk diode', 0.3, element.part, coupling);
  }
}
