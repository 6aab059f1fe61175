import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { FoundStage } from '../../match/stage';
import type { BoardFacts } from './boardFacts';
import { apartFacts } from './apart';
import { cellFacts } from './cell';
import { driveFacts } from './drive';
import { looseFacts } from './loose';
import { endsOf, isBaseWinding } from './near';
import { outputFacts } from './output';
import { SMOOTHING_CHOKE_ABOVE } from './partsList';
import { FactSheet } from './sheet';

/** Stages of which every choke counts as the anchor. */
const SHARED_ANCHOR: ReadonlySet<string> = new Set(['sepic', 'cuk', 'buck', 'boost', 'boost-pfc']);
/** From this share of joined pins on a stage that was found whole counts, fully from the other on. */
const FOUND_COUNTS = { from: 0.25, to: 0.75, least: 0.15 } as const;
/** From here on it means something that no stage was found with a part. */
const MISSING_COUNTS = { from: 0.6, to: 0.9 } as const;
/** And that nothing of a part is joined: it may lie beside the board, or serve a stage that is traced last. */
const IDLE_COUNTS = { from: 0.2, to: 0.7 } as const;
/** Chokes by inductance. */
const CHOKE = practice({ large: { from: 1.2e-4, to: 2e-3 }, pointOfLoad: 3e-6 });
/** Resistance from a winding's end to a gate it drives. */
const GATE_OHMS_BELOW = practice(2e3);
/** Output power classes of mains supplies, in watts. */
const WATTS = practice({ small: 12, middle: 75, large: 200 });

/**
 * Everything known of one part that may be the anchor of a stage, by name. `found` are stages that were found whole;
 * `isExplained` says that a stage without an anchor explains the board already, so that none is missed.
 */
export function anchorFacts(
  board: BoardFacts,
  anchor: BoardPart,
  found: readonly FoundStage[],
  isExplained: boolean,
): FactSheet {
  const sheet = new FactSheet();
  const known = shareKnown(board, anchor);
  foundFacts(board, anchor, found, known, sheet);
  if (known === 0) sheet.raise('nothing of it is joined', ramp(board.traced, IDLE_COUNTS.from, IDLE_COUNTS.to));
  if (anchor.kind === 'transformer') transformerFacts(board, anchor, known, sheet);
  else chokeKindFacts(anchor, sheet);
  cellFacts(board, anchor, sheet);
  if (NO_CHOKE_WINDING.some((name) => sheet.grade(name) > 0.5)) sheet.withdraw('winding used as output choke');
  apartFacts(board, anchor, sheet);
  listFacts(board, anchor, sheet);
  sheet.note('another stage explains the board', isExplained);
  if (isExplained) for (const name of MISSED) sheet.withdraw(name);
  return sheet;
}

/** What speaks for an anchor only since the board would have none without it. */
const MISSED = ['only transformer', 'only magnetic part'];

/** What shows that a winding is none of an output choke's. */
const NO_CHOKE_WINDING = [
  'full-wave',
  'switches at both ends of a winding',
  'switch to winding to store',
  'totem pole at winding',
  'totem pole in series',
  'end between two stores in series',
  'end on primary store',
];

/** Share of the pins of a part that are joined to anything. */
export function shareKnown({ rails, model }: BoardFacts, part: BoardPart): number {
  const names = Object.keys(part.pins);
  const joined = names.filter((pin) => rails[model.rails.at(part, pin)]?.known);
  return joined.length / Math.max(1, names.length);
}

const ramp = (value: number, from: number, to: number) => Math.min(1, Math.max(0, (value - from) / (to - from)));

function foundFacts(
  { traced }: BoardFacts,
  anchor: BoardPart,
  found: readonly FoundStage[],
  known: number,
  sheet: FactSheet,
): void {
  const trust = Math.max(FOUND_COUNTS.least, ramp(traced, FOUND_COUNTS.from, FOUND_COUNTS.to));
  for (const { topology, magnetics, switches, rectifiers } of found) {
    if (magnetics[0] === anchor || (SHARED_ANCHOR.has(topology) && magnetics.includes(anchor)))
      sheet.raise(`found ${topology}`, trust, ...switches, ...rectifiers);
    else if (magnetics.includes(anchor)) sheet.raise('beside a stage that was found whole', trust);
  }
  const isFound = found.some(({ magnetics }) => magnetics.includes(anchor));
  if (!isFound && found.length > 0)
    sheet.raise('in no stage that was found whole', ramp(traced, MISSING_COUNTS.from, MISSING_COUNTS.to) * known);
}

function transformerFacts(board: BoardFacts, anchor: BoardPart, known: number, sheet: FactSheet): void {
  const { model, rails, list } = board;
  const own = model.elements.windings.filter(({ part }) => part === anchor);
  const base = own.filter((winding) => isBaseWinding(board, winding));
  const rest = own.filter((winding) => !base.includes(winding));
  const driven = driveFacts(board, anchor, rest, sheet);
  outputFacts(board, anchor, rest, driven, sheet);
  const gateEnds = rest.filter(({ rails: at }) => at.some((rail) => drivesGate(board, rail))).length + base.length;
  sheet.note('two windings at one totem pole', driven.totemEnds >= 2 && sheet.grade('two totem poles') === 0);
  sheet.note('winding drives the base', base.length === 1);
  sheet.note('windings drive several bases', base.length >= 2);
  sheet.note('drives one gate', gateEnds === 1);
  sheet.note('drives several gates', gateEnds >= 2);
  const thyristors = own.flatMap(({ rails: at }) => at.flatMap((rail) => thyristorsBehind(board, rail)));
  sheet.note('drives thyristor', thyristors.length > 0, ...thyristors);
  const held = own.flatMap((winding) => endsOf(winding).flatMap((rail) => cathodesOn(board, rail)));
  sheet.note('winding at the cathodes of thyristors', held.length > 0, ...held);
  const isRectified = sheet.grade('winding rectified') > 0;
  sheet.note(
    'drives gates and nothing else',
    gateEnds >= 1 && !isRectified && sheet.grade('switch to winding to store') === 0,
  );
  const carriesSignal = own.some(
    ({ rails: at }) =>
      at.some((rail) =>
        rails[rail]?.chips.some(({ part: { subtype } }) => subtype === 'gate-driver' || subtype === 'controller'),
      ) && !at.some((rail) => rails[rail]?.still && (rails[rail]?.out.length ?? 0) + (rails[rail]?.in.length ?? 0) > 0),
  );
  sheet.note('signal at winding', carriesSignal && !isRectified);
  const drivenByChip = own.flatMap((winding) => chipsAcross(board, endsOf(winding)));
  sheet.note('winding between two pins of a chip', drivenByChip.length > 0, ...drivenByChip);
  const tapped = own.filter(({ pins }) => pins.length > 2).length;
  sheet.note('two windings', own.length === 2);
  sheet.note('three windings', own.length === 3);
  sheet.note('many windings', own.length >= 4);
  sheet.note('tapped winding', tapped >= 1);
  sheet.note('two tapped windings', tapped >= 2);
  const pins = Object.keys(anchor.pins).length;
  const isLargest = board.board.parts
    .filter(({ kind }) => kind === 'transformer')
    .every((other) => Object.keys(other.pins).length <= pins);
  looseFacts(board, isLargest, known, sheet);
  sheet.note('largest transformer', isLargest);
  sheet.note('not the largest transformer', !isLargest);
  sheet.note('only transformer', list.transformers === 1);
  sheet.note('it is a transformer', true);
  sheet.note(
    'small transformer with two windings',
    own.length === 2 && board.isMains && list.transformers >= 2 && !isLargest,
  );
  sheet.note('few pins, not the largest', pins <= 4 && !isLargest);
}

/**
 * Whether a rail drives the gate of a likely power switch, straight or over a small part. What leads to the gate from the
 * foot of its own switch holds it off.
 */
function drivesGate({ rails, primary }: BoardFacts, rail: number): boolean {
  const facts = rails[rail];
  if (!facts) return false;
  const hasGate = (far: number) => rails[far]?.gates.some(({ lo }) => lo !== rail) ?? false;
  return (
    facts.gates.some((element) => primary(element) > 0.3) ||
    facts.resistors.some(({ part, far }) => (part.value?.resistance ?? 100) < GATE_OHMS_BELOW && hasGate(far)) ||
    facts.capacitors.some(({ far }) => hasGate(far))
  );
}

/** Chips that have a pin at each of two rails that swing: they drive what lies between. */
function chipsAcross({ rails }: BoardFacts, [a, b]: readonly [number, number]): readonly BoardPart[] {
  const [here, there] = [rails[a], rails[b]];
  if (!here || !there || a === b || here.still || there.still) return [];
  return here.chips.flatMap(({ part }) =>
    part.subtype !== 'switcher' && there.chips.some((other) => other.part === part) ? [part] : [],
  );
}

/** Thyristors and triacs whose gate is on a rail, or behind a resistor or diode from it. */
function thyristorsBehind({ model, rails }: BoardFacts, rail: number): readonly BoardPart[] {
  const facts = rails[rail];
  if (!facts || facts.still) return [];
  const near = [rail, ...[...facts.resistors, ...facts.out, ...facts.in].map(({ far }) => far)];
  // A diode and a resistor in series before the gate.
  for (const { far } of [...facts.out, ...facts.in])
    if (!rails[far]?.still) near.push(...(rails[far]?.resistors ?? []).map((one) => one.far));
  return near.flatMap((at) =>
    model.rails
      .on(at)
      .flatMap(({ part, pin }) => (pin === 'G' && (part.kind === 'scr' || part.kind === 'triac') ? [part] : [])),
  );
}

/** Thyristors of which two or more have their cathode on a rail: what drives them all refers to it. */
function cathodesOn({ model }: BoardFacts, rail: number): readonly BoardPart[] {
  const held = model.rails.on(rail).flatMap(({ part, pin }) => (part.kind === 'scr' && pin === 'K' ? [part] : []));
  return held.length >= 2 ? held : [];
}

function chokeKindFacts({ value }: BoardPart, sheet: FactSheet): void {
  sheet.note('it is a choke', true);
  const henries = value?.inductance;
  if (henries === undefined) return;
  sheet.note('small choke', henries <= SMOOTHING_CHOKE_ABOVE);
  sheet.note('middle choke', henries > SMOOTHING_CHOKE_ABOVE && henries < CHOKE.large.from);
  sheet.note('large choke', henries >= CHOKE.large.from && henries < CHOKE.large.to);
}

/** What the parts list and the nameplate say, the same for every anchor of a board. */
function listFacts({ list, isMains, isDcFed }: BoardFacts, anchor: BoardPart, sheet: FactSheet): void {
  const note = (name: string, holds: boolean) => sheet.note(name, holds);
  const isTransformer = anchor.kind === 'transformer';
  note('switch at choke, no transformer', sheet.grade('switch at choke') >= 0.9 && list.transformers === 0);
  note(
    'point of load',
    isDcFed &&
      list.transformers === 0 &&
      list.outputVolts > 0 &&
      list.outputVolts <= 3.4 &&
      !isTransformer &&
      (anchor.value?.inductance ?? 0) < CHOKE.pointOfLoad &&
      sheet.grade('both ends held') === 0,
  );
  note('input below 18 V', isDcFed && list.inputVolts > 0 && list.inputVolts <= 18);
  note('fed with direct voltage', isDcFed);
  note('fed from the mains', isMains);
  note('no transformer on the board', list.transformers === 0);
  note('transformer on the board', list.transformers > 0);
  note('one choke on the board', list.chokes === 1);
  // A second transformer may be two chokes on one core.
  const mayLackChoke = list.transformers < 2;
  note('no choke on the board', mayLackChoke && list.chokes === 0);
  note('no choke that can smooth an output', mayLackChoke && list.largeChokes === 0);
  note('choke that can smooth an output', list.largeChokes > 0);
  const switches = list.powerSwitches + list.switchers;
  note('no power switch', switches + list.weakSwitches + list.unknownChips === 0 && list.parts > 8);
  note('one power switch', switches === 1);
  note('two power switches', switches === 2);
  note('three power switches', switches === 3);
  note('four power switches or more', switches >= 4);
  note('bipolar power switches', list.hasBipolarPower);
  note('switcher on the board', list.switchers > 0);
  const hasChip = list.switchers + list.controllers + list.unknownChips + list.drivers > 0;
  note('no chip on the board', !hasChip && list.parts > 10);
  note('bipolars and no chip on the board', !hasChip && list.smallBipolars > 0);
  note('gate driver on the board', list.drivers > 0);
  note('optocoupler on the board', list.optocouplers > 0);
  note('no optocoupler on the board', list.optocouplers === 0 && list.parts > 10);
  note('P-channel FET on the board', list.pChannels > 0);
  const { outputVolts: out, inputVolts: fed } = list;
  note('output above the input', isDcFed && out > fed);
  note('output below the input', isDcFed && out > 0 && out < 0.75 * fed);
  note('output within the input range', isDcFed && out > 0 && out >= 0.75 * fed && out <= fed);
  note('only outputs above the ground of the input', isDcFed && list.outputs > 0 && list.negativeOutputs === 0);
  note('negative output', list.negativeOutputs > 0);
  note('only negative outputs', list.negativeOutputs > 0 && list.negativeOutputs === list.outputs);
  note('two stores for half the mains', list.hasHalfStores);
  note('store for 420 V or more', list.hasPfcStore);
  note('no store for rectified mains', isMains && list.lacksMainsStore && !list.hasInputFilm);
  note('film capacitor of resonant size', list.resonantFilms > 0);
  note('film capacitor of blocking size', list.blockingFilms > 0);
  note('film capacitor behind the bridge', list.hasInputFilm);
  note('large ceramic capacitors', list.couplingCeramics >= 2);
  note('lamp connector on the board', list.hasLamp);
  note('no lamp connector on the board', !list.hasLamp);
  note('thyristor on the board', list.thyristors > 0);
  note('no thyristor on the board', list.thyristors === 0);
  const { watts } = list;
  note('output up to 12 W', isMains && watts > 0 && watts <= WATTS.small);
  note('output of 12 to 75 W', isMains && watts > WATTS.small && watts <= WATTS.middle);
  note('output of 75 to 200 W', isMains && watts > WATTS.middle && watts <= WATTS.large);
  note('output above 200 W', watts > WATTS.large);
  const isFor = (...topologies: string[]) => topologies.some((topology) => list.chipsFor.has(topology));
  note('chip made for single switches', isFor('flyback', 'forward'));
  note('chip made for bridges and push-pull', isFor('push-pull', 'half-bridge') && !isFor('llc-half-bridge'));
  note('chip made for resonant half bridges', isFor('llc-half-bridge'));
  note('chip made for power-factor stages', isFor('boost-pfc'));
  note('chip made for step-down converters', isFor('buck') && !isTransformer);
  note('triac on the board', list.hasTriac);
  note('dual diodes on the board', list.dualDiodes > 0);
  note('only magnetic part', list.transformers + list.chokes === 1);
}
