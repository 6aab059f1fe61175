import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import { mayCouple } from '../../match/candidates';
import type { BoardFacts } from './boardFacts';
import { isBaseWinding, seriesOf, switchesAt, type EndSwitch } from './near';
import type { FarPart, FarRectifier, RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** A store behind a power-factor front end stands at least so much. */
const PFC_VOLTS = practice(400);
/** A capacitor that couples two chokes. */
const COUPLING = practice({ farads: 2.2e-7, certain: 4e-7 });
/** Film capacitors of an input behind a bridge. */
const INPUT_FILM = practice({ farads: 2e-7, volts: 400 });

const hasPlus = ({ stores }: RailFacts) => stores.some(({ plus }) => plus);
const isMinus = ({ stores }: RailFacts) => stores.length > 0 && stores.every(({ plus }) => !plus);

/** A choke, or a piece of a winding, seen from the end that may swing. */
interface ChokeEnd {
  readonly board: BoardFacts;
  readonly anchor: BoardPart;
  readonly isChoke: boolean;
  readonly a: number;
  readonly b: number;
  readonly here: RailFacts;
  readonly there: RailFacts;
  readonly upper: readonly EndSwitch[];
  readonly lower: readonly EndSwitch[];
  readonly chips: readonly EndSwitch[];
  /** Diodes from this end, and to it, that clamp nothing. */
  readonly out: readonly FarRectifier[];
  readonly in: readonly FarRectifier[];
  /** Whether a winding of a transformer lies behind such a diode. */
  readonly fromWinding: boolean;
  /** Whether a winding of another part meets this end. */
  readonly atWinding: boolean;
  /** Whether the other end is where power comes in. */
  readonly isFed: boolean;
}

/** Collects the facts of a choke, or of a winding taken for one, as the choke of a switching cell. */
export function cellFacts(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const { model, rails } = board;
  const isChoke = anchor.kind === 'inductor';
  const givesOutput =
    !isChoke &&
    (sheet.grade('rectifier to store and back') >= 0.65 ||
      sheet.grade('freewheel before choke') >= 0.65 ||
      sheet.grade('rectifier to store') >= 0.9);
  const basePins = new Set(
    isChoke
      ? []
      : model.elements.windings
          .filter((winding) => winding.part === anchor && isBaseWinding(board, winding))
          .flatMap(({ pins }) => pins),
  );
  if (!isChoke) coupledWindingFacts(board, anchor, sheet);
  for (const piece of model.elements.inductive) {
    if (piece.part !== anchor || (basePins.has(piece.aPin) && basePins.has(piece.bPin))) continue;
    for (const [a, b] of [
      [piece.a, piece.b],
      [piece.b, piece.a],
    ] as const) {
      const [here, there] = [rails[a], rails[b]];
      if (!here || !there) continue;
      if (here.still && there.still) {
        sheet.raise('both ends held', here.known && there.known ? 1 : 0.6);
        continue;
      }
      const end = chokeEnd(board, anchor, a, b, here, there);
      placeFacts(end, sheet);
      if (here.still || !neighbourFacts(end, givesOutput, sheet)) continue;
      if (givesOutput || end.atWinding) continue;
      lowSideFacts(end, sheet);
      highSideFacts(end, sheet);
      togetherFacts(end, sheet);
      couplingFacts(end, sheet);
    }
  }
}

function chokeEnd(
  board: BoardFacts,
  anchor: BoardPart,
  a: number,
  b: number,
  here: RailFacts,
  there: RailFacts,
): ChokeEnd {
  const { rails } = board;
  const isChoke = anchor.kind === 'inductor';
  const at = switchesAt(board, a, anchor);
  const ends = (parts: readonly FarPart[]) => parts.some(({ far }) => far === b);
  const clamps = ({ far }: FarRectifier) => {
    const behind = rails[far];
    if (!behind) return true;
    if (behind.still) return false;
    return ends(behind.capacitors) || ends(behind.resistors) || (!isChoke && behind.resistors.length > 0);
  };
  const counts = (one: FarRectifier) => one.far !== b && !clamps(one);
  const out = here.out.filter(counts);
  const into = here.in.filter(counts);
  return {
    board,
    anchor,
    isChoke,
    a,
    b,
    here,
    there,
    upper: at.filter(({ end }) => end === 'upper'),
    lower: at.filter(({ end }) => end === 'lower'),
    chips: at.filter(({ end, share }) => end === 'chip' && share > 0.2),
    out,
    in: into,
    fromWinding: [...out, ...into].some(({ far }) =>
      rails[far]?.windings.some(({ part }) => part !== anchor && part.kind === 'transformer'),
    ),
    atWinding: here.windings.some(({ part }) => part !== anchor),
    isFed:
      there.input ||
      there.bridgeDc ||
      there.side > 0 ||
      there.in.some(({ far }) => (rails[far]?.windings.length ?? 0) > 0) ||
      there.capacitors.some(
        ({ part: { subtype, value } }) =>
          subtype === 'film' &&
          (value?.capacitance ?? 0) >= INPUT_FILM.farads &&
          (value?.voltage ?? 0) >= INPUT_FILM.volts,
      ),
  };
}

/** What the ends lie on, whatever switches them. */
function placeFacts({ board, anchor, a, here, there }: ChokeEnd, sheet: FactSheet): void {
  if (here.mains || there.mains || here.bridgeAc || there.bridgeAc) sheet.raise('choke on mains', 1);
  if (there.bridgeDc && board.isMains) sheet.raise('end at the bridge', 1);
  if (here.lamp) sheet.raise('lamp at end', 1);
  if (seriesOf(board, a, anchor).some(({ rail, depth }) => depth > 0 && board.rails[rail]?.lamp))
    sheet.raise('lamp near end', 1);
}

const partsOf = (list: readonly { readonly part: BoardPart }[]) => list.map(({ part }) => part);
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
  else if (storeToDiode && isShared(there)) sheet.raise('inverting cell', 0.8, ...parts);
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
    if (isFed && lower.some(({ far }) => board.rails[far]?.output)) sheet.raise('boost cell', 0.8, ...parts);
  }
  if (chips.length > 0 && out.length + end.in.length === 0) {
    const parts = partsOf(chips);
    if (there.output || (plus && !isFed)) sheet.raise('chip switches towards an output', 1, ...parts);
    else sheet.raise(isFed ? 'chip switches from the input' : 'chip at choke', 1, ...parts);
  }
}

/** A capacitor from this end to a second choke. */
function couplingFacts(end: ChokeEnd, sheet: FactSheet): void {
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
function coupledWindingFacts(board: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
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
