import { practice } from '../../evidence';
import type { BoardPart } from '../../board';
import type { FoundStage } from '../match/stage';
import { isLamp, isOutlet, SERIES_RESISTOR_AT_MOST } from '../model/parts';
import { bridgeEnds, isAcrossBridge } from '../model/rails';
import type { BoardFacts } from './facts/boardFacts';
import type { RailFacts } from './facts/railFacts';

/** A stage without a magnetic anchor, as its joins show it or as the parts of a board suggest it. */
export interface SuggestedStage {
  readonly topology: string;
  readonly probability: number;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  readonly evidence: readonly string[];
  /** Further parts whose joins tell whether it is so. */
  readonly beside?: readonly BoardPart[];
}

/** Whether stages without an anchor explain a board already. */
export const explains = (stages: readonly SuggestedStage[]): boolean =>
  stages.some(({ probability }) => probability >= EXPLAINS_FROM);
const EXPLAINS_FROM = 0.9;

/** How sure it is: found whole; by the parts that make it up; by some of them. Set on reference boards. */
const SURE = practice({
  found: 0.9,
  parts: 0.85,
  mayDrop: 0.75,
  mayDropBesideChip: 0.4,
  lowStore: 0.8,
  triac: 0.6,
  triacBesideTransformer: 0.3,
  thyristors: 0.7,
});
/**
 * What a join adds to a stage that its parts suggest, in nats: an end on the mains, the other where it belongs, the
 * gate at its timing; and what ends on both lines take away, which make it a filter capacitor.
 */
const JOINED = practice({ line: 1, load: 1.5, timing: 1.5, acrossTheLines: -3 });
/** Joins make no stage surer than one that was found whole by all but a little. */
const SUREST = 0.97;
/** Capacitors that drop the mains are of this size and more; without a zener beside them of the other. */
const DROPPER_AT_LEAST = practice({ withZener: 100e-9, alone: 150e-9 });

/** Stores rated for no more than this cannot stand rectified mains. */
const LOW_STORE_VOLTS = practice(100);

/** Stages that stand on the mains without a magnetic part, each topology once. */
export function anchorlessStages(facts: BoardFacts, found: readonly FoundStage[]): readonly SuggestedStage[] {
  const whole = found
    .filter(({ magnetics }) => magnetics.length === 0)
    .map(({ topology, switches, rectifiers, magnetics, evidence }) => ({
      topology,
      probability: SURE.found,
      switches,
      rectifiers,
      magnetics,
      evidence,
    }));
  const suggested = facts.isMains ? [...phaseControl(facts), ...dropper(facts)] : [];
  return [...whole, ...suggested.filter(({ topology }) => !whole.some((stage) => stage.topology === topology))];
}

/** A probability with what joins add to it. */
const withJoins = (probability: number, nats: number): number =>
  nats === 0 ? probability : Math.min(SUREST, 1 / (1 + Math.exp(-nats) * (1 / probability - 1)));

/** Whether a rail is a line of the mains, or is behind a resistor against surges from one. */
const isLine = (facts: RailFacts | undefined, rails: BoardFacts['rails']): boolean =>
  facts !== undefined &&
  (facts.mains ||
    facts.resistors.some(
      ({ part, far }) => (part.value?.resistance ?? Infinity) <= SERIES_RESISTOR_AT_MOST && rails[far]?.mains,
    ));

/** What the joins of a triac say for its controlling the phase of a load. */
function triacJoins({ model, rails }: BoardFacts, triac: BoardPart): number {
  const at = (pin: string) => rails[model.rails.at(triac, pin)];
  const ends = ['MT1', 'MT2'].map(at);
  const isLoaded = ends.some((facts) => facts && (facts.output || facts.lamp || facts.chokes.length > 0));
  const gate = model.rails.at(triac, 'G');
  const isTimed = model.rails.on(gate).some(({ part }) => part.kind === 'diac');
  return (
    (ends.some((facts) => facts?.mains) ? JOINED.line : 0) +
    (isLoaded ? JOINED.load : 0) +
    (isTimed ? JOINED.timing : 0)
  );
}

/** What the joins of a thyristor say for its controlling the phase: one end on the line, the other at a load. */
function thyristorJoins({ model, rails }: BoardFacts, part: BoardPart): number {
  const ends = ['A', 'K'].map((pin) => rails[model.rails.at(part, pin)]);
  return (
    (ends.some((facts) => facts?.mains) ? JOINED.line : 0) +
    (ends.some((facts) => facts && !facts.mains && facts.output) ? JOINED.load : 0)
  );
}

/** What the joins of a capacitor say for its dropping the mains. */
function dropperJoins({ board, model, rails }: BoardFacts, capacitor: BoardPart): number {
  const at = Object.keys(capacitor.pins).map((pin) => model.rails.at(capacitor, pin));
  const ends = at.map((rail) => rails[rail]);
  const onLine = ends.filter((facts) => isLine(facts, rails)).length;
  if (onLine > 1 || board.parts.some((part) => isAcrossBridge(part, at, model.rails))) return JOINED.acrossTheLines;
  const isRectified = ends.some(
    (facts) => facts && !facts.mains && (facts.bridgeAc || facts.out.length + facts.in.length > 0),
  );
  return (onLine > 0 ? JOINED.line : 0) + (isRectified ? JOINED.load : 0);
}

/** A store that is rated for less than any rectified mains, on a line or behind what rectifies it. */
function lowStoreOnLine({ model, rails }: BoardFacts): BoardPart | undefined {
  const behind = model.elements.rectifiers.flatMap(({ from, to }) =>
    rails[from]?.mains ? [to] : rails[to]?.mains ? [from] : [],
  );
  const near = new Set([...behind, ...[...rails.keys()].filter((rail) => rails[rail]?.mains)]);
  return [...near]
    .flatMap((rail) => rails[rail]?.stores ?? [])
    .find(({ part: { value } }) => (value?.voltage ?? Infinity) <= LOW_STORE_VOLTS)?.part;
}

/** Whether a capacitor lies at one end of a bridge that has a line of the mains at its other, and not at that line itself. */
function isInSeriesWithBridge({ board, model, rails }: BoardFacts, capacitor: BoardPart): boolean {
  const ends = Object.keys(capacitor.pins).map((pin) => model.rails.at(capacitor, pin));
  return board.parts
    .filter(({ kind }) => kind === 'bridge')
    .some((bridge) => {
      const atEnds = bridgeEnds(bridge, model.rails);
      const apart = atEnds.filter((rail) => !ends.includes(rail));
      return apart.length === 1 && atEnds.length === 2 && apart.every((rail) => rails[rail]?.mains);
    });
}

/** The same across a bridge that has the mains at one of its ends: no converter's own supply lies there. */
function lowStoreOfBridge({ board, model, rails }: BoardFacts): BoardPart | undefined {
  return board.parts
    .filter(({ kind }) => kind === 'bridge')
    .filter((bridge) => bridgeEnds(bridge, model.rails).some((rail) => rails[rail]?.mains))
    .flatMap((bridge) => {
      const minus = model.rails.at(bridge, '-');
      return (rails[model.rails.at(bridge, '+')]?.stores ?? []).filter(({ far }) => far === minus);
    })
    .find(({ part: { value } }) => (value?.voltage ?? Infinity) <= LOW_STORE_VOLTS)?.part;
}

const fittedParts = ({ board }: BoardFacts) => board.parts.filter(({ fitted }) => fitted !== false);

function phaseControl(facts: BoardFacts): readonly SuggestedStage[] {
  const parts = fittedParts(facts);
  const triacs = parts.filter(({ kind }) => kind === 'triac');
  const thyristors = parts.filter(({ kind }) => kind === 'scr');
  const timing = parts.find(({ kind }) => kind === 'diac' || kind === 'potentiometer');
  const beside = parts.filter((part) => part.kind === 'diac' || isLamp(part) || isOutlet(part));
  const stage = (probability: number, switches: readonly BoardPart[], evidence: string): readonly SuggestedStage[] => [
    { topology: 'phase-control', probability, switches, rectifiers: [], magnetics: [], evidence: [evidence], beside },
  ];
  if (triacs.length > 0 && timing)
    return stage(
      withJoins(SURE.parts, Math.max(...triacs.map((triac) => triacJoins(facts, triac)))),
      triacs,
      `${triacs[0]?.ref ?? ''} and ${timing.ref} are what a phase control is made of.`,
    );
  if (thyristors.length >= 2)
    return stage(
      withJoins(SURE.thyristors, Math.max(...thyristors.map((part) => thyristorJoins(facts, part)))),
      thyristors,
      `${thyristors.map(({ ref }) => ref).join(' and ')} may control the phase of the mains.`,
    );
  const [only] = thyristors;
  if (only && timing && facts.list.transformers === 0)
    return stage(
      withJoins(SURE.parts, thyristorJoins(facts, only)),
      thyristors,
      `${only.ref} and ${timing.ref} are what a phase control is made of.`,
    );
  if (triacs.length === 0) return [];
  return stage(
    facts.list.transformers > 0 ? SURE.triacBesideTransformer : SURE.triac,
    triacs,
    `${triacs[0]?.ref ?? ''} may control the phase of the mains, or only switch it.`,
  );
}

function dropper(facts: BoardFacts): readonly SuggestedStage[] {
  const parts = fittedParts(facts);
  const { list } = facts;
  const judged = parts
    .filter(({ kind, pins }) => kind === 'capacitor' && !('+' in pins))
    .map((part) => ({ part, joins: dropperJoins(facts, part) }))
    .toSorted((a, b) => b.joins - a.joins);
  const capacitorFrom = (least: number) =>
    judged.find(
      ({ part: { subtype, value } }) => (subtype === 'x' || subtype === 'film') && (value?.capacitance ?? 0) >= least,
    );
  const stage = (
    probability: number,
    capacitor: BoardPart,
    rectifiers: readonly BoardPart[],
    evidence: string,
  ): readonly SuggestedStage[] => [
    {
      topology: 'capacitive-dropper',
      probability,
      switches: [],
      rectifiers,
      magnetics: [],
      evidence: [evidence],
      beside: [capacitor],
    },
  ];
  const slow = parts.filter(
    ({ kind, subtype }) => kind === 'bridge' || (kind === 'diode' && (subtype ?? 'rectifier') === 'rectifier'),
  );
  // Shown by its joins it is one, whatever else lies in the list; a store for the whole mains speaks against it.
  const inSeries = judged.find(
    ({ part, part: { subtype, value }, joins }) =>
      list.lacksMainsStore &&
      // With its other end open it may be a filter's, before a transformer that is not traced yet.
      joins >= (list.transformers > 0 ? JOINED.line + JOINED.load : JOINED.load) &&
      isInSeriesWithBridge(facts, part) &&
      (subtype === undefined || subtype === 'x' || subtype === 'film') &&
      (value?.capacitance ?? DROPPER_AT_LEAST.withZener) >= DROPPER_AT_LEAST.withZener,
  );
  if (inSeries)
    return stage(
      inSeries.joins > JOINED.load ? withJoins(SURE.parts, inSeries.joins) : SURE.parts,
      inSeries.part,
      slow.length > 0 ? slow : parts.filter(({ kind }) => kind === 'diode'),
      inSeries.joins > JOINED.load
        ? `${inSeries.part.ref} lies between a line of the mains and the rectifier: it drops the mains.`
        : `${inSeries.part.ref} lies at one end of the bridge and the mains at the other, and no store here stands the mains.`,
    );
  const converts = parts.some(({ kind }) => ['transformer', 'inductor', 'nmos', 'pmos', 'igbt'].includes(kind));
  const zener = parts.find(({ kind, subtype }) => kind === 'diode' && subtype === 'zener');
  const small = capacitorFrom(DROPPER_AT_LEAST.withZener);
  if (!converts && zener && small && slow.length > 0)
    return stage(
      withJoins(SURE.parts, small.joins),
      small.part,
      slow,
      `${small.part.ref} can drop the mains for ${zener.ref}, and nothing else here could lower it.`,
    );
  const low = converts ? lowStoreOfBridge(facts) : lowStoreOnLine(facts);
  if (low)
    return stage(
      SURE.lowStore,
      low,
      slow,
      `${low.ref} stands ${low.value?.voltage ?? ''} V only and lies behind the mains with no transformer between: something must lower it.`,
    );
  const large = capacitorFrom(DROPPER_AT_LEAST.alone);
  const rectifiers = parts.filter(({ kind }) => kind === 'bridge' || kind === 'diode');
  if (
    list.transformers + list.largeChokes > 0 ||
    list.hasTriac ||
    list.thyristors > 0 ||
    !large ||
    rectifiers.length === 0
  )
    return [];
  const isBesideChip = list.controllers + list.switchers + list.powerSwitches > 0;
  return stage(
    withJoins(isBesideChip ? SURE.mayDropBesideChip : SURE.mayDrop, large.joins),
    large.part,
    rectifiers,
    `${large.part.ref} can drop the mains; nothing else here could lower it.`,
  );
}
