import type { Board, BoardPart, NetPin } from '../../board';
import type { Model } from '../model';
import { mayHoldSwitch, TRANSISTOR_TERMINALS } from '../model/parts';
import { SLOT_CLASSES } from '../partial/classes';
import { binaryEntropy, entropyOf } from '../partial/entropy';
import type { BoardFacts } from '../partial/facts/boardFacts';
import type { Judgement } from '../partial/judge';
import { keyOf, NOBODY, plausibility, reach, type Candidate } from './candidate';
import { affinityOf, lineAffinity, pinClass } from './pinClass';

const POWER: ReadonlySet<BoardPart['kind']> = new Set([
  'nmos',
  'pmos',
  'npn',
  'igbt',
  'scr',
  'diode',
  'dual-diode',
  'bridge',
  'inductor',
  'transformer',
  'connector',
  'ic',
]);

/**
 * Pins that lead nowhere yet, each with the nets it may lead to, likeliest by how often such pins are joined: the fewer
 * there are, the more an answer tells of how the board hangs together.
 */
export function explore(
  model: Model,
  { facts, slots, anchorless, open: left }: Judgement,
  gains: Map<string, Candidate>,
): void {
  const { board, rails } = model;
  const open = new Map<BoardPart, number>(slots.map(({ anchor, probabilities }) => [anchor, entropyOf(probabilities)]));
  for (const { probability, switches, rectifiers, beside = [] } of anchorless)
    for (const part of [...switches, ...rectifiers, ...beside]) open.set(part, binaryEntropy(probability));
  const near = relevances(open, model);
  for (const element of model.elements.switches) {
    const own = SWITCH_RELEVANCE * facts.primary(element) * Math.min(1, left);
    near.set(element.part, Math.max(near.get(element.part) ?? 0, own));
  }
  const far = Math.min(1, left) * FADING ** FURTHEST;
  const atLine = new Map(slots.map(({ anchor, probabilities }) => [anchor, probabilities[AT_LINE] ?? 0]));
  const isLineOpen = anchorless.length > 0 || Math.max(0, ...atLine.values()) > LEAST_AT_LINE;
  const pins = tellingPins(board, new Set(open.keys()), isLineOpen).map((pin) => ({
    ...pin,
    rail: rails.at(pin.part, pin.pin),
    className: pinClass(pin.part, pin.pin),
    told: tells(pin, facts),
  }));
  for (const from of pins) {
    const isAlone = rails.on(from.rail).length === 1 && from.part.kind !== 'ic';
    // The end of a choke or winding that leads somewhere, but to no switch yet.
    const seeksSwitch = !isAlone && open.has(from.part) && lacksSwitch(from, facts);
    if (!isAlone && !seeksSwitch) continue;
    const options = new Map<number, { readonly to: (typeof pins)[number]; readonly weight: number }>();
    for (const to of pins) {
      if (to.part === from.part || rails.relation(from.rail, to.rail) !== 'unknown') continue;
      if (seeksSwitch && (!maySwitch(to) || rails.on(to.rail).length > 1)) continue;
      const share = Math.max(atLine.get(from.part) ?? 0, atLine.get(to.part) ?? 0);
      const weight =
        (1 - share) * affinityOf(from.className, to.className) + share * lineAffinity(from.className, to.className);
      if (weight > (options.get(to.rail)?.weight ?? 0)) options.set(to.rail, { to, weight });
    }
    const total = [...options.values()].reduce((sum, { weight }) => sum + weight, NOBODY);
    const relevance = Math.max(near.get(from.part) ?? 0, far);
    for (const { to, weight } of options.values()) {
      // A pin leads to one net, which may hold many of the others.
      const share = Math.min(0.98, weight / Math.min(1, total));
      const merges = open.has(from.part) || open.has(to.part) ? 0 : MERGE_WORTH * share * share * Math.min(1, left);
      const gain =
        (binaryEntropy(share) * relevance * from.told * to.told + merges) *
        reach(to.part) *
        plausibility(from, to, model);
      const key = keyOf(from, to, model);
      const known = gains.get(key);
      if (!known) gains.set(key, { a: from, b: to, gain, share });
      else {
        known.gain = Math.max(known.gain, gain);
        known.share = Math.max(known.share, share);
      }
    }
  }
}

/** A pin by which a switch carries power: a drain, a collector, a source; of a chip with a switch inside any. */
const maySwitch = ({ part, pin }: NetPin): boolean => {
  const terminals = TRANSISTOR_TERMINALS[part.kind];
  return terminals ? pin !== terminals.gate : mayHoldSwitch(part);
};

/** Whether an end that leads somewhere swings, by what is known, and still wants its switch; a rectified winding end does not. */
function lacksSwitch({ part, pin }: NetPin, { model, rails }: BoardFacts): boolean {
  const rail = model.rails.at(part, pin);
  const facts = rails[rail];
  if (!facts || facts.still || facts.mains || model.rails.on(rail).some(maySwitch)) return false;
  return part.kind === 'inductor' || facts.in.length + facts.out.length === 0;
}

/** A transformer that may lie across the mains from here on is asked for there too. */
const LEAST_AT_LINE = 0.1;
const AT_LINE = SLOT_CLASSES.indexOf('line-transformer');
/** What stands between the inlet and a transformer across the mains. */
const ON_LINE: ReadonlySet<BoardPart['kind']> = new Set(['fuse', 'switch']);

/** What a join at such a pin tells of the circuit beside one at another: switches carry it, returns are shared by all. */
const TELLS = { switch: 2, smallTransistor: 0.5, return: 0.3 } as const;

function tells({ part, pin }: NetPin, { model: { elements }, primary }: BoardFacts): number {
  const own = elements.switches.find((element) => element.part === part);
  if (own && pin === own.hiPin) return Math.max(TELLS.smallTransistor, TELLS.switch * primary(own));
  return pin === '-' ? TELLS.return : 1;
}

/** What it is worth that two nets become one: each later question about them is asked once. Set on drawn boards. */
const MERGE_WORTH = 3;

/** What is open at a part is so much less open at its neighbour, for so many neighbours. Set on drawn boards. */
const FADING = 0.35;
const FURTHEST = 3;
/** The same at a switch that may be one of the primary, whose anchor is not known yet. */
const SWITCH_RELEVANCE = 1;

/** What is open at every part, or at a part that joins lead to from there, in bits. */
function relevances(open: ReadonlyMap<BoardPart, number>, { rails }: Model): Map<BoardPart, number> {
  const found = new Map<BoardPart, number>();
  for (const [start, bits] of open) {
    let reached = [start];
    for (let step = 0; step <= FURTHEST && reached.length > 0; step += 1) {
      const worth = bits * FADING ** step;
      const next = reached.filter((part) => worth > (found.get(part) ?? 0));
      for (const part of next) found.set(part, worth);
      reached = next.flatMap((part) =>
        Object.keys(part.pins).flatMap((pin) => rails.on(rails.at(part, pin)).map((other) => other.part)),
      );
    }
  }
  return found;
}

const pinsOf = (parts: readonly BoardPart[]): readonly NetPin[] =>
  parts.flatMap((part) => Object.keys(part.pins).map((pin) => ({ part, pin })));
const isCommand = ({ pin }: NetPin) => pin === 'G' || pin === 'B';

/** A diode that only holds a voltage down says little of the circuit round it. */
const isClamp = ({ kind, subtype }: BoardPart) => kind === 'diode' && (subtype === 'zener' || subtype === 'tvs');

/** Pins of the parts that carry power, and of those that are open; with the inlet, and what stands behind it, where a stage may hang on it. */
const tellingPins = ({ parts }: Board, open: ReadonlySet<BoardPart>, isLineOpen: boolean): readonly NetPin[] =>
  pinsOf(
    parts.filter(
      (part) =>
        part.fitted !== false &&
        !isClamp(part) &&
        (part.role === 'mains-inlet'
          ? isLineOpen
          : open.has(part) ||
            POWER.has(part.kind) ||
            (isLineOpen && ON_LINE.has(part.kind)) ||
            (part.kind === 'capacitor' && ('+' in part.pins || part.subtype === 'film'))),
    ),
  ).filter((pin) => !isCommand(pin) || open.has(pin.part));
