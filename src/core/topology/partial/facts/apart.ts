import type { BoardPart, Relation } from '../../../board';
import type { BoardFacts } from './boardFacts';
import { endsOf } from './near';
import { PRIMARY_STORE, type FarPart } from './railFacts';
import type { FactSheet } from './sheet';

/** Transistors less likely a power switch than this are not asked about. */
const LEAST_SHARE = 0.2;
/** From this share of the pairs on a kind of join is ruled out as a whole. */
const ALL = 0.999;

/** How much of something is ruled out: of weighted pairs, those known not to be joined. */
class Tally {
  private apart = 0;
  private whole = 0;
  private isThere = false;
  add(weight: number, relation: Relation): void {
    this.whole += weight;
    if (relation === 'separate') this.apart += weight;
    else if (relation === 'joined') this.isThere = true;
  }
  get isRuledOut(): boolean {
    return !this.isThere && this.whole > 0 && this.apart >= ALL * this.whole;
  }
  /** What it says against a join by one of the ways, from 0 to 1: half of them ruled out says little, all but a few much. */
  get grade(): number {
    if (this.isThere || this.whole === 0) return 0;
    return Math.min(1, -Math.log(Math.max(1e-9, 1 - this.apart / this.whole)) / NATS_AT_MOST);
  }
}

/** So many nats against a join are as good as any more. */
const NATS_AT_MOST = 3;

/**
 * Collects what is known not to be joined: by an answer that said so, or since both nets are known. Each fact is graded
 * by the share of the ways that are ruled out; what was not asked counts for nothing.
 */
export function apartFacts(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const { model, rails } = board;
  const ends = [...new Set(Object.keys(anchor.pins).map((pin) => model.rails.at(anchor, pin)))].filter(
    (rail) => !rails[rail]?.mains,
  );
  const { hanging, rows, returns } = wholeApart(board);
  raise(sheet, 'switches ruled out at the supply', hanging);
  raise(sheet, 'two switches in a row ruled out', rows);
  switchesApart(board, ends, sheet);
  partnersApart(board, anchor, sheet);
  outputsApart(board, anchor, ends, sheet);
  returnsApart(board, anchor, returns, sheet);
}

const relationOf = ({ model }: BoardFacts, a: number, b: number): Relation => model.rails.relation(a, b);

const likelySwitches = ({ model, primary }: BoardFacts) =>
  model.elements.switches
    .filter(({ part }) => part.kind !== 'scr')
    .map((element) => ({ ...element, share: primary(element) }))
    .filter(({ share }) => share >= LEAST_SHARE);

/** What is ruled out for a board as a whole, the same for all its anchors; kept once found. */
interface WholeApart {
  readonly hanging: Tally;
  readonly rows: Tally;
  readonly returns: readonly number[];
}
const WHOLE = new WeakMap<BoardFacts, WholeApart>();

/** Switches that cannot hang from the supply, pairs of them that cannot stand in a row, and the rails where the input returns. */
function wholeApart(board: BoardFacts): WholeApart {
  const before = WHOLE.get(board);
  if (before) return before;
  const [hanging, rows] = [new Tally(), new Tally()];
  const rails = [...board.rails.keys()];
  const supplies = rails.filter((rail) => isSupply(board, rail));
  const likely = likelySwitches(board);
  if (likely.length > 1)
    for (const one of likely) {
      for (const rail of supplies) hanging.add(one.share, relationOf(board, one.hi, rail));
      for (const other of likely)
        if (other !== one) rows.add(Math.min(one.share, other.share), relationOf(board, one.lo, other.hi));
    }
  const whole = { hanging, rows, returns: rails.filter((rail) => isReturn(board, rail)) };
  WHOLE.set(board, whole);
  return whole;
}

/** Switches that cannot be at any end. */
function switchesApart(board: BoardFacts, ends: readonly number[], sheet: FactSheet): void {
  const { model, list } = board;
  const [upper, lower] = [new Tally(), new Tally()];
  for (const { part, hi, lo, share } of likelySwitches(board))
    for (const end of ends) {
      upper.add(share, relationOf(board, hi, end));
      lower.add(share, relationOf(board, lo, end));
      // Above a winding it does what the others do below one.
      if (part.kind === 'pmos' || part.kind === 'pnp') upper.add(share, relationOf(board, lo, end));
    }
  // A chip that is not known may hold the switch as well as one that is known to.
  const mayBeInside = model.elements.switches.length === 0 || list.switchers + list.unknownChips > 0;
  for (const part of mayBeInside ? model.elements.chips : [])
    for (const pin of Object.keys(part.pins))
      for (const end of ends) {
        const relation = relationOf(board, model.rails.at(part, pin), end);
        upper.add(1 / Object.keys(part.pins).length, relation);
        lower.add(1 / Object.keys(part.pins).length, relation);
      }
  raise(sheet, 'upper ends of switches ruled out at it', upper);
  raise(sheet, 'lower ends of switches ruled out at it', lower);
  sheet.note('no switch can be at it', upper.isRuledOut && lower.isRuledOut);
}

/** Facts that show two switches in a row. */
const IN_A_ROW = [
  'totem pole at winding',
  'totem pole in series',
  'two totem poles',
  'upper switch to a clamp capacitor',
];

/** Switches that cannot stand in a row with the one at a winding, nor at the winding's other end. */
function partnersApart(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const { model } = board;
  const likely = likelySwitches(board);
  for (const winding of model.elements.windings) {
    if (winding.part !== anchor) continue;
    const [one, two] = endsOf(winding);
    for (const [here, there] of [
      [one, two],
      [two, one],
    ] as const)
      for (const own of likely) {
        if (own.hi !== here && own.lo !== here) continue;
        const [row, opposite] = [new Tally(), new Tally()];
        for (const other of likely) {
          if (other === own) continue;
          row.add(other.share, relationOf(board, own.hi === here ? other.lo : other.hi, here));
          opposite.add(other.share, relationOf(board, own.hi === here ? other.lo : other.hi, there));
        }
        if (!IN_A_ROW.some((name) => sheet.grade(name) > 0))
          raise(sheet, 'second switch in a row with it ruled out', row);
        if (sheet.grade('switches at both ends of a winding') === 0)
          raise(sheet, 'second switch at its other end ruled out', opposite);
      }
  }
}

const raise = (sheet: FactSheet, name: string, tally: Tally) => sheet.raise(name, tally.grade);

/** The plus of a store on rectified mains, or of the input. */
const isSupply = (board: BoardFacts, rail: number): boolean => {
  const { rails, isMains } = board;
  const facts = rails[rail];
  if (!facts || facts.mains) return false;
  return isMains
    ? facts.stores.some(({ part, plus }) => plus && (part.value?.voltage ?? 0) >= PRIMARY_STORE.from)
    : facts.input && !isReturnPin(board, rail) && !facts.stores.some(({ plus }) => !plus);
};

/** Where the rectifiers that are at an end cannot lead. */
function outputsApart(board: BoardFacts, anchor: BoardPart, ends: readonly number[], sheet: FactSheet): void {
  const { model, rails } = board;
  const [stores, chokes] = [new Tally(), new Tally()];
  for (const { part, from, to, isBody } of model.elements.rectifiers) {
    if (isBody || part.kind === 'bridge') continue;
    const here = ends.find((end) => end === from || end === to);
    if (here === undefined || rails[here]?.still) continue;
    const far = here === from ? to : from;
    if (rails[far]?.side === 1) continue;
    for (const { part: store, polarised } of model.elements.capacitors)
      if (polarised && '+' in store.pins)
        stores.add(1, relationOf(board, far, model.rails.at(store, here === from ? '+' : '-')));
    for (const { part: choke, a, b } of model.elements.inductive)
      if (choke.kind === 'inductor' && choke !== anchor)
        for (const end of [a, b]) chokes.add(1, relationOf(board, far, end));
  }
  raise(sheet, 'stores ruled out behind its rectifier', stores);
  raise(sheet, 'chokes ruled out behind its rectifier', chokes);
}

/** A choke with a diode to its switched end: where the input cannot return. */
function returnsApart(board: BoardFacts, anchor: BoardPart, returns: readonly number[], sheet: FactSheet): void {
  const { model, rails } = board;
  if (returns.length === 0) return;
  const [diode, end] = [new Tally(), new Tally()];
  for (const piece of model.elements.inductive) {
    if (piece.part !== anchor) continue;
    for (const [a, b] of [
      [piece.a, piece.b],
      [piece.b, piece.a],
    ] as const) {
      const into = rails[a]?.still ? [] : (rails[a]?.in ?? []).filter(({ far }) => far !== b);
      if (into.length === 0) continue;
      for (const rail of returns) {
        for (const { far } of into) diode.add(1, relationOf(board, far, rail));
        end.add(1, relationOf(board, b, rail));
      }
    }
  }
  raise(sheet, 'input return ruled out at the diode', diode);
  raise(sheet, 'input return ruled out at the far end', end);
  sheet.note('input return cannot be at the diode', diode.isRuledOut);
  sheet.note('input return cannot be at the far end', end.isRuledOut);
}

/** Whether the minus of an input is on a rail, by the name of its pin. */
const isReturnPin = ({ model }: BoardFacts, rail: number): boolean =>
  model.rails.on(rail).some(({ part, pin }) => part.role === 'dc-input' && /^(-|GND|0V)/i.test(pin));

/** The minus of the input, or of a store on rectified mains; the output of an inverting converter begins there too. */
const isReturn = (board: BoardFacts, rail: number): boolean => {
  const { rails, isMains } = board;
  const facts = rails[rail];
  if (!facts || facts.mains) return false;
  const isMainsStore = ({ part }: FarPart) => (part.value?.voltage ?? 0) >= PRIMARY_STORE.from;
  const minus = facts.stores.filter(({ plus }) => !plus);
  const plus = facts.stores.filter((store) => store.plus);
  if (isMains) return minus.some(isMainsStore) && !plus.some(isMainsStore);
  return isReturnPin(board, rail) || (facts.input && minus.length > 0 && plus.length === 0);
};
