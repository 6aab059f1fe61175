import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { BoardFacts } from './boardFacts';
import { noStoreLeft } from './output';
import { SMOOTHING_CHOKE_ABOVE } from './partsList';
import type { RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** How far a fragment that hangs on no winding yet is taken for this transformer's: where it is the only one, the largest, another. */
const TAKEN_FOR = practice({ only: 0.8, largest: 0.6, other: 0.2 });
/** A store of an output has at least so much. */
const OUTPUT_STORE_AT_LEAST = practice(1.2e-4);

/**
 * Collects what is known of fragments that hang on no winding yet: rectifiers with what lies behind them, and switches
 * that stand one on the other or hang from the supply. They belong to some transformer, and count for one at a discount
 * as long as pins of it are open.
 */
export function looseFacts(board: BoardFacts, isLargest: boolean, known: number, sheet: FactSheet): void {
  const { list, rails, model } = board;
  const share =
    (list.transformers === 1 ? TAKEN_FOR.only : isLargest ? TAKEN_FOR.largest : TAKEN_FOR.other) * (1 - known);
  if (share <= 0) return;
  for (const { part, from, to, isBody } of model.elements.rectifiers) {
    const [near, behind] = [rails[from], rails[to]];
    if (isBody || part.kind === 'bridge' || !near || !behind) continue;
    if (!hangsFree(near) || !mayGiveOutput(part, behind)) continue;
    rectifierFacts(board, part, to, behind, share, sheet);
  }
  for (const [rail, facts] of rails.entries()) {
    const upper = facts.upper.filter((element) => board.primary(element) > 0.5);
    const lower = facts.lower.filter((element) => board.primary(element) > 0.5);
    const parts = [...upper, ...lower].map(({ part }) => part);
    const isTotem = upper.some((one) => lower.some((other) => other.part !== one.part));
    if (isTotem && !facts.still && facts.windings.length + facts.chokes.length === 0)
      sheet.raise('totem pole, not traced on', share, ...parts);
    const hanging = upper.filter(({ part }) => part.kind === 'nmos' || part.kind === 'npn' || part.kind === 'igbt');
    if (facts.still && facts.side > 0 && isSupply(facts, rail, board))
      sheet.raise('switch hangs from the supply', hanging.length > 0 ? share : 0, ...hanging.map(({ part }) => part));
  }
}

const hangsFree = (rail: RailFacts): boolean =>
  !rail.still &&
  !rail.mains &&
  rail.windings.length + rail.chokes.length + rail.upper.length + rail.lower.length + rail.capacitors.length === 0;

/** Whether a diode may rectify an output: made for it, and nothing behind it says that it serves the primary. */
const mayGiveOutput = ({ kind, subtype }: BoardPart, behind: RailFacts): boolean =>
  (kind === 'dual-diode' || subtype === 'schottky' || behind.output) && behind.side <= 0 && !behind.mains;

/** A plus that is neither bridged to the mains' minus nor the minus of a store. */
const isSupply = (facts: RailFacts, rail: number, { model }: BoardFacts): boolean =>
  facts.stores.some(({ plus }) => plus) ||
  model.rails.on(rail).some(({ part, pin }) => part.kind === 'bridge' && pin === '+');

function rectifierFacts(
  board: BoardFacts,
  part: BoardPart,
  rail: number,
  behind: RailFacts,
  share: number,
  sheet: FactSheet,
): void {
  const stores = behind.stores.filter((store) => (store.part.value?.capacitance ?? 1e-3) >= OUTPUT_STORE_AT_LEAST);
  const chokes = behind.chokes
    .map((one) => one.part)
    .filter(({ value }) => (value?.inductance ?? 1) > SMOOTHING_CHOKE_ABOVE);
  const others = behind.in.filter(({ element }) => element.part !== part || part.kind === 'dual-diode');
  if (stores.length > 0 && chokes.length === 0)
    sheet.raise('rectifier to store', share, part, ...stores.map((store) => store.part));
  if (stores.length > 0 || chokes.length === 0) return;
  sheet.raise('rectifier to choke', share, part, ...chokes);
  if (others.length > 1) sheet.raise('freewheel, choke open', share, part);
  if (noStoreLeft(board, rail)) sheet.raise('no store at rectifier', share, part, ...chokes);
}
