import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { InductiveElement } from '../../model/elements';
import type { BoardFacts } from './boardFacts';
import { chokeEnd, partsOf, type ChokeEnd } from './chokeEnd';
import { coupledWindingFacts, couplingFacts, openCouplingFacts } from './coupling';
import { isBaseWinding, seriesOf } from './near';
import { mayFloat, type FarRectifier, type RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** A store behind a power-factor front end stands at least so much. */
const PFC_VOLTS = practice(400);

/** Grade of ends that look held and may swing all the same. */
const MAY_SWING = 0.6;

const hasPlus = ({ stores }: RailFacts) => stores.some(({ plus }) => plus);
const isMinus = ({ stores }: RailFacts) => stores.length > 0 && stores.every(({ plus }) => !plus);

/** Collects the facts of a choke, or of a winding taken for one, as the choke of a switching cell. */
export function cellFacts(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const { model, rails } = board;
  const isChoke = anchor.kind === 'inductor';
  const givesOutput =
    !isChoke &&
    (sheet.grade('rectifier to store and back') >= 0.65 ||
      sheet.grade('freewheel before choke') >= 0.65 ||
      sheet.grade('rectifier to choke') >= 0.65 ||
      sheet.grade('rectifier to store') >= 0.9);
  const basePins = new Set(
    isChoke
      ? []
      : model.elements.windings
          .filter((winding) => winding.part === anchor && isBaseWinding(board, winding))
          .flatMap(({ pins }) => pins),
  );
  if (!isChoke) {
    coupledWindingFacts(board, anchor, sheet);
    openCouplingFacts(board, anchor, sheet);
  }
  for (const piece of model.elements.inductive) {
    if (piece.part !== anchor || (basePins.has(piece.aPin) && basePins.has(piece.bPin))) continue;
    for (const [a, b] of [
      [piece.a, piece.b],
      [piece.b, piece.a],
    ] as const) {
      const [here, there] = [rails[a], rails[b]];
      if (!here || !there) continue;
      if (here.still && there.still) {
        const isSure = here.known && there.known && !mayFloat(here) && !mayFloat(there);
        sheet.raise('both ends held', isSure ? 1 : MAY_SWING);
        continue;
      }
      const end = chokeEnd(board, anchor, a, b, here, there);
      placeFacts(end, sheet);
      if (here.still || !neighbourFacts(end, givesOutput, sheet)) continue;
      if (givesOutput || end.atWinding) continue;
      lowSideFacts(end, sheet);
      if (end.in.length > 0 || !isOtherRectified(board, piece)) highSideFacts(end, sheet);
      togetherFacts(end, sheet);
      couplingFacts(end, sheet);
    }
  }
}

/** Whether another winding of the same part has a rectifier at an end that swings: power leaves there, and not by this one. */
const isOtherRectified = ({ model, rails }: BoardFacts, piece: InductiveElement): boolean =>
  model.elements.windings.some(
    ({ part, winding, rails: at }) =>
      part === piece.part &&
      winding !== piece.winding &&
      at.some((rail) => {
        const facts = rails[rail];
        return facts !== undefined && !facts.still && facts.in.length + facts.out.length > 0;
      }),
  );

/** What the ends lie on, whatever switches them. */
function placeFacts({ board, anchor, a, here, there }: ChokeEnd, sheet: FactSheet): void {
  if (here.mains || there.mains || here.bridgeAc || there.bridgeAc) sheet.raise('choke on mains', 1);
  if (there.bridgeDc && board.isMains) sheet.raise('end at the bridge', 1);
  if (here.lamp) sheet.raise('lamp at end', 1);
  if (seriesOf(board, a, anchor).some(({ rail, depth }) => depth > 0 && board.rails[rail]?.lamp))
    sheet.raise('lamp near end', 1);
}

const diodesOf = (list: readonly FarRectifier[]) => list.map(({ element }) => element.part);

/** Where a choke comes from the input: nothing on the rail is an output. */
const isInputSide = ({ input, output, stores }: RailFacts): boolean =>
  input && !output && !stores.some(({ plus }) => !plus);

/** What meets this end; whether it may be the end of a cell at all. */
function neighbourFacts(end: ChokeEnd, givesOutput: boolean, sheet: FactSheet): boolean {
  const { isChoke, here, there, upper, lower, chips, out, atWinding, fromWinding } = end;
  const switches = [...upper, ...lower, ...chips];
  if (atWinding && isChoke) sheet.raise('winding at choke', 1, ...partsOf(here.windings));
  if (fromWinding && isChoke)
    sheet.raise('behind a rectifier', switches.length === 0 ? 1 : 0.5, ...diodesOf([...out, ...end.in]));
  if (!isChoke && fromWinding && switches.length === 0 && (there.still || !there.known)) {
    const isOneWay = here.out.length === 0 || here.in.length === 0;
    const legs = Math.max(here.out.length, here.in.length);
    if (isOneWay) sheet.raise('winding used as output choke', legs >= 2 ? (there.still ? 1 : 0.6) : 0.25);
  }
  if (givesOutput) return false;
  if (switches.length > 0) {
    if (!atWinding || isChoke)
      sheet.raise(
        atWinding ? 'switch and winding at choke' : 'switch at choke',
        upper.length + lower.length > 0 ? 1 : Math.max(0.3, ...chips.map(({ share }) => share)),
        ...partsOf(switches),
      );
  } else if (out.length + end.in.length > 0 && !fromWinding)
    sheet.raise('rectifier at choke', 1, ...diodesOf([...out, ...end.in]));
  if (upper.length > 0 && lower.length > 0 && isChoke && !atWinding)
    sheet.raise(
      isInputSide(there) ? 'totem pole at choke from the input' : 'totem pole at choke',
      1,
      ...partsOf([...upper, ...lower]),
    );
  return true;
}

/** A switch below this end, or a diode from it to a store: it steps up. */
function lowSideFacts(end: ChokeEnd, sheet: FactSheet): void {
  const { board, isChoke, there, upper, lower, chips, out, fromWinding, isFed } = end;
  const { rails, isMains } = board;
  const behind = out.flatMap(({ far }) => rails[far] ?? []);
  const reachesPlus = behind.some(hasPlus);
  const givesOutput = isFed && behind.some(({ output }) => output);
  const feedsHighStore = behind.some(({ stores }) =>
    stores.some(({ part }) => (part.value?.voltage ?? 0) >= PFC_VOLTS),
  );
  const isPlus = hasPlus(there) || (there.input && !there.stores.some(({ plus }) => !plus)) || there.bridgeDc;
  const parts = [...partsOf([...upper, ...chips]), ...diodesOf(out)];
  const switches = upper.length + lower.length + chips.length;
  const isGrounded = isMinus(there) || (there.input && !isPlus);
  const mayGive = behind.some((rail) => hasPlus(rail) || rail.output || !rail.known);
  if (isChoke && switches === 0 && out.length > 0 && !fromWinding && isGrounded && mayGive)
    sheet.raise('diode from grounded choke', reachesPlus ? 1 : 0.6, ...parts);
  if (out.length > 0 && (upper.length > 0 || chips.length > 0)) {
    const kOut = out.map(({ far }) => far);
    if (isMinus(there) && there.stores.some(({ far }) => kOut.includes(far))) sheet.raise('buck cell', 1, ...parts);
    else if (isPlus || isFed) {
      sheet.raise('boost cell', 1, ...parts);
      if (!there.bridgeDc && (!isFed || !isMains || there.side < 0))
        sheet.raise('boost cell not at the bridge', 1, ...parts);
      if (isMains && isFed && (there.bridgeDc || there.side > 0))
        sheet.raise('boost cell behind the bridge', 1, ...parts);
    } else sheet.raise('boost cell, input not known', 1, ...parts);
    if (feedsHighStore && reachesPlus && isMains) sheet.raise('diode to a store for 400 V or more', 1, ...parts);
  } else if (out.length > 0 && (reachesPlus || givesOutput) && end.in.length === 0 && !fromWinding) {
    sheet.raise('diode to a store', 1, ...parts);
    if (feedsHighStore && isMains) sheet.raise('diode to a store for 400 V or more', 1, ...parts);
  } else if (upper.length > 0 && lower.length === 0 && (isPlus || isFed))
    sheet.raise('low side and input', isFed ? 1 : 0.6, ...parts);
}

/** A switch above this end, or a diode to it: it steps down, or turns over. */
function highSideFacts(end: ChokeEnd, sheet: FactSheet): void {
  const { isChoke, there, upper, lower, chips, out, fromWinding } = end;
  const into = end.in;
  const switches = upper.length + lower.length + chips.length;
  const plus = hasPlus(there) || (there.input && !there.stores.some((store) => !store.plus)) || there.bridgeDc;
  const minus = isMinus(there);
  const parts = [...partsOf([...lower, ...chips]), ...diodesOf(into)];
  if (into.length > 0 && (lower.length > 0 || (chips.length > 0 && into.length > 0)))
    closedHighSide(end, plus, minus, parts, sheet);
  else if (into.length > 0 && out.length === 0 && upper.length === 0 && !fromWinding && isChoke && isShared(there))
    sheet.raise('inverting cell', 0.8, ...parts);
  else if (lower.length > 0 && out.length === 0 && upper.length === 0) {
    if (plus) sheet.raise('buck cell, ground not known', 0.8, ...parts);
    else if (minus) sheet.raise('inverting cell, input not known', 0.7, ...parts);
  } else if (into.length > 0 && out.length === 0 && !fromWinding && isChoke && switches === 0) {
    if (plus) sheet.raise('buck cell, ground not known', 0.7, ...parts);
    else if (minus) sheet.raise('inverting cell, input not known', 0.6, ...parts);
  }
}

/** A rail where the store of the input ends and that of the output begins, or where both have a pin. */
const isShared = ({ stores, input, output }: RailFacts): boolean =>
  (input && output) || (stores.some(({ plus }) => plus) && stores.some(({ plus }) => !plus));

/** Switch and diode are both there: whether the input returns to the diode (buck) or to the far end (inverting). */
function closedHighSide(
  { board, a, b, there, lower, chips, ...end }: ChokeEnd,
  plus: boolean,
  minus: boolean,
  parts: readonly BoardPart[],
  sheet: FactSheet,
): void {
  const { rails, model } = board;
  const diodeFar = end.in.map(({ far }) => far);
  const inputs = [
    ...lower.map(({ far }) => far),
    ...chips.flatMap(({ part }) => Object.keys(part.pins).map((pin) => model.rails.at(part, pin))),
  ].filter((rail) => rail >= 0 && rail !== a && rail !== b && !diodeFar.includes(rail) && rails[rail]?.still);
  const spans = (rail: number, far: readonly number[]) =>
    [...(rails[rail]?.stores ?? []), ...(rails[rail]?.capacitors ?? [])].some((one) => far.includes(one.far));
  const returnsToEnd = inputs.some((rail) => spans(rail, [b]));
  const returnsToDiode = inputs.some((rail) => spans(rail, diodeFar));
  const storeToDiode = there.stores.some((store) => store.plus && diodeFar.includes(store.far));
  const diodeOnInput = diodeFar.some((rail) => rails[rail]?.input || rails[rail]?.bridgeDc);
  if (there.input && storeToDiode) sheet.raise('inverting cell', 1, ...parts);
  else if (diodeOnInput && plus) sheet.raise('buck cell', 1, ...parts);
  else if ((returnsToEnd && !returnsToDiode) || (there.input && (minus || (there.bridgeDc && !plus))))
    sheet.raise('inverting cell', 1, ...parts);
  else if (returnsToDiode && !returnsToEnd && plus) sheet.raise('buck cell', chips.length > 0 ? 0.6 : 1, ...parts);
  else if (isShared(there)) sheet.raise('inverting cell', 0.8, ...parts);
  else if (plus) sheet.raise('buck cell, ground not known', 1, ...parts);
  else if (minus) sheet.raise('inverting cell, input not known', 1, ...parts);
  else sheet.raise('buck cell, ground not known', 1, ...parts);
}

/** Two switches that take turns at this end, and chips with both inside. */
function togetherFacts(
  { board, isChoke, there, upper, lower, chips, out, isFed, ...end }: ChokeEnd,
  sheet: FactSheet,
): void {
  const plus = hasPlus(there) || (there.input && !there.stores.some((store) => !store.plus)) || there.bridgeDc;
  if (!isChoke) return;
  if (upper.length > 0 && lower.length > 0) {
    const parts = partsOf([...upper, ...lower]);
    if (plus && (there.output || !isFed)) sheet.raise('buck cell', 0.8, ...parts);
    const isUnderOutput = lower.some(({ far }) => board.rails[far]?.output && !board.rails[far].input);
    if (isFed && isUnderOutput) sheet.raise('boost cell', 0.8, ...parts);
    if (isUnderOutput && !there.output) sheet.raise('totem pole under the output', 1, ...parts);
  }
  if (chips.length > 0 && out.length + end.in.length === 0) {
    const parts = partsOf(chips);
    if (there.output || (plus && !isFed)) sheet.raise('chip switches towards an output', 1, ...parts);
    else sheet.raise(isFed ? 'chip switches from the input' : 'chip at choke', 1, ...parts);
  }
}
