import { practice } from '../../evidence';
import type { Board, BoardPart, NetPin } from '../../board';
import type { Model } from '../model';
import { mayHoldSwitch, TRANSISTOR_TERMINALS } from '../model/parts';
import { SLOT_CLASSES } from '../partial/classes';
import { binaryEntropy, entropyOf } from '../partial/entropy';
import type { BoardFacts } from '../partial/facts/boardFacts';
import type { Judgement } from '../partial/judge';
import { keyOf, reach, type Candidate } from './candidate';
import { JoinOdds } from './joinOdds';
import { lineAffinity, pinClass } from './pinClass';

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

/** The pins of a board that may be asked about, and how likely any two of them are joined. */
export interface Field {
  readonly pins: readonly NetPin[];
  /** What is open at a part, in bits. */
  readonly open: ReadonlyMap<BoardPart, number>;
  readonly share: (a: NetPin, b: NetPin) => number;
}

export function fieldOf(model: Model, { slots, anchorless }: Judgement): Field {
  const open = new Map<BoardPart, number>(slots.map(({ anchor, probabilities }) => [anchor, entropyOf(probabilities)]));
  for (const { probability, switches, rectifiers, beside = [] } of anchorless)
    for (const part of [...switches, ...rectifiers, ...beside]) open.set(part, binaryEntropy(probability));
  for (const { sheet } of slots)
    for (const part of sheet.partsOf('capacitor that may couple its windings'))
      open.set(part, Math.max(COUPLING_OPEN, open.get(part) ?? 0));
  const atLine = new Map(slots.map(({ anchor, probabilities }) => [anchor, probabilities[AT_LINE] ?? 0]));
  const isLineOpen = anchorless.length > 0 || Math.max(0, ...atLine.values()) > LEAST_AT_LINE;
  const pins = tellingPins(model.board, new Set(open.keys()), isLineOpen);
  const odds = new JoinOdds(model, pins);
  return {
    pins,
    open,
    share(a, b) {
      const atMains = Math.max(atLine.get(a.part) ?? 0, atLine.get(b.part) ?? 0);
      const usual = odds.share(model.rails.at(a.part, a.pin), model.rails.at(b.part, b.pin));
      return atMains === 0
        ? usual
        : (1 - atMains) * usual + atMains * lineAffinity(pinClass(a.part, a.pin), pinClass(b.part, b.pin));
    },
  };
}

/**
 * Links that would lead on: of pins that lead nowhere yet, or to no switch yet, to the nets they may lead to. What such a
 * link is worth is how likely it is there, by what is open at the part and near it.
 */
export function explore(
  model: Model,
  { facts, open: left }: Judgement,
  { pins, open, share }: Field,
  gains: Map<string, Candidate>,
): void {
  const { rails } = model;
  const near = relevances(open, model);
  for (const element of model.elements.switches) {
    const own = SWITCH_RELEVANCE * facts.primary(element) * Math.min(1, left);
    near.set(element.part, Math.max(near.get(element.part) ?? 0, own));
  }
  const far = Math.min(1, left) * FADING ** FURTHEST;
  const known = pins.map((pin) => ({ ...pin, rail: rails.at(pin.part, pin.pin), told: tells(pin, facts) }));
  for (const from of known) {
    const isAlone = rails.on(from.rail).length === 1 && from.part.kind !== 'ic';
    // The end of a choke or winding that leads somewhere, but to no switch yet.
    const seeksSwitch = !isAlone && open.has(from.part) && lacksSwitch(from, facts);
    if (!isAlone && !seeksSwitch) continue;
    const relevance = Math.max(near.get(from.part) ?? 0, far);
    const met = new Set<number>();
    for (const to of known) {
      if (to.part === from.part || met.has(to.rail) || rails.relation(from.rail, to.rail) !== 'unknown') continue;
      if (seeksSwitch && (!maySwitch(to) || rails.on(to.rail).length > 1)) continue;
      met.add(to.rail);
      const likely = share(from, to);
      if (likely === 0) continue;
      const gain = likely * relevance * from.told * to.told * reach(to.part);
      const key = keyOf(from, to, model);
      const before = gains.get(key);
      if (before) before.gain += gain;
      else gains.set(key, { a: from, b: to, gain, asked: 0, share: likely });
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

/** What is open at a capacitor that may make two chokes of a transformer, in bits. */
const COUPLING_OPEN = 0.5;

/** A transformer that may lie across the mains from here on is asked for there too. */
const LEAST_AT_LINE = 0.1;
const AT_LINE = SLOT_CLASSES.indexOf('line-transformer');
/** What stands between the inlet and a transformer across the mains. */
const ON_LINE: ReadonlySet<BoardPart['kind']> = new Set(['fuse', 'switch']);

/** What a join at such a pin tells of the circuit beside one at another: switches carry it, returns are shared by all. */
const TELLS = { switch: 2, foot: 0.5, smallTransistor: 0.5, return: 0.3 } as const;

function tells({ part, pin }: NetPin, { model: { elements }, primary }: BoardFacts): number {
  const own = elements.switches.find((element) => element.part === part);
  if (own) return Math.max(TELLS.smallTransistor, (pin === own.hiPin ? TELLS.switch : TELLS.foot) * primary(own));
  return pin === '-' ? TELLS.return : 1;
}

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

/** A resistor up to this senses a current on the way of the power. */
const SHUNT_OHMS = practice(2);

/** A diode that only holds a voltage down says little of the circuit round it. */
const isClamp = ({ kind, subtype }: BoardPart) => kind === 'diode' && (subtype === 'zener' || subtype === 'tvs');

/** Pins of the parts that carry power, and of those that are open; with the inlet, and what stands behind it, where a stage may hang on it. */
export function tellingPins({ parts }: Board, open: ReadonlySet<BoardPart>, isLineOpen: boolean): readonly NetPin[] {
  const isDcFed = parts.some(({ role }) => role === 'dc-input');
  return pinsOf(
    parts.filter(
      (part) =>
        part.fitted !== false &&
        !isClamp(part) &&
        (part.role === 'mains-inlet'
          ? isLineOpen
          : open.has(part) ||
            POWER.has(part.kind) ||
            ((isLineOpen || isDcFed) && ON_LINE.has(part.kind)) ||
            (part.kind === 'resistor' && (part.value?.resistance ?? Infinity) <= SHUNT_OHMS) ||
            (part.kind === 'capacitor' && ('+' in part.pins || part.subtype === 'film'))),
    ),
  ).filter((pin) => !isCommand(pin) || open.has(pin.part));
}
