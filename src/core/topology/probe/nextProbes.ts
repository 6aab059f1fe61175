import { practice } from '../../evidence';
import { pinName, splitPin, type Board, type BoardPart, type NetPin } from '../../board';
import { candidatesOf } from '../match/candidates';
import type { Model } from '../model';
import { judgeBoard, type Judgement } from '../partial/judge';
import type { Sizes } from '../partial/score';
import { recognise, type Recognition } from '../recognise';
import { askedJoins, besideJoins, information, ROLE_WORTH, rolesAsked, wantedBy } from './asked';
import { keyOf, pinNamed, plausibility, reach, type Candidate } from './candidate';
import { explore, fieldOf, type Field } from './explore';
import { pinClass } from './pinClass';
import { sweepOf, type Sweep } from './sweep';
import { joinQuestion } from './words';

export interface Probe {
  readonly a: string;
  readonly b: string;
  /** Expected information in bits. */
  readonly gain: number;
  readonly question: string;
  readonly sweep: Sweep;
}

export interface ProbeAdvice {
  /** What is still open about the topologies, in bits. */
  readonly entropy: number;
  /** Best first. */
  readonly probes: readonly Probe[];
}

/**
 * The pin pairs whose continuity answer would tell most about the topology. The readings of every slot, and what leads on
 * from what is known, name the pairs; of the best, either answer is thought through, and what it is worth is how far it
 * would move the readings of the whole board, as likely as it is. Pairs that are known, or implied, are skipped, and those
 * that a person could not tell of.
 */
export const nextProbes = (board: Board, count = 5, sizes?: Sizes): ProbeAdvice =>
  probesFrom(recognise(board), count, sizes);

/** The same for a board that was recognised already. */
export function probesFrom({ model, stages }: Recognition, count: number, sizes?: Sizes): ProbeAdvice {
  const judged = judgeBoard(model, stages, sizes);
  const field = fieldOf(model, judged);
  const telling = withoutUnsure(tellingJoins(model, judged, field), model);
  const best = weighed([...telling.values()], model, judged.toldBy).filter(({ gain }) => gain >= LEAST_GAIN);
  const others = best.length > 0 ? telling : withoutUnsure(wayJoins(model, field), model);
  const all = [...others.values()].toSorted((one, other) => other.gain - one.gain);
  const ranked = (best.length > 0 ? best.toSorted((one, other) => other.gain - one.gain) : all)
    .flatMap((candidate) => openPair(candidate, model) ?? [])
    .slice(0, Math.max(count, 1))
    .map(({ a, b, gain }) => ({ a: handyPin(a, b, model), b: handyPin(b, a, model), gain }));
  return {
    entropy: judged.open,
    probes: ranked.map(({ a, b, gain }) => ({
      a: pinName(a),
      b: pinName(b),
      gain,
      question: joinQuestion(a, b),
      sweep: sweepOf(a, b, all, model),
    })),
  };
}

/** Joins by pair of rails, with what they may tell of the circuit. */
type Joins = Map<string, Candidate>;

/** Joins that readings ask for, or that lead on from what is known. */
function tellingJoins(model: Model, judged: Judgement, field: Field): Joins {
  const joins: Joins = new Map();
  const add = ({ a, b, asked, share }: Omit<Candidate, 'gain'>) => {
    const key = keyOf(a, b, model);
    const known = joins.get(key);
    if (known) {
      known.gain += asked;
      known.asked += asked;
      known.share = Math.max(known.share, share);
    } else joins.set(key, { a, b, gain: asked, asked, share: Math.max(share, field.share(a, b)) });
  };
  const pool = candidatesOf(model);
  const primary = new Map(model.elements.switches.map((element) => [element.part, judged.facts.primary(element)]));
  const mayDrive = (part: BoardPart) => Math.max(LEAST_DRIVING, primary.get(part) ?? 1);
  for (const slot of judged.slots) {
    const casting = rolesAsked(slot, pool, model, mayDrive);
    for (const [key, { a, b, likelihood }] of askedJoins(slot, pool, model, mayDrive)) {
      const told = information(slot.probabilities, likelihood) + ROLE_WORTH * (casting.get(key) ?? 0);
      const asked = told * reach(a.part) * reach(b.part) * plausibility(a, b, model);
      add({ a, b, asked, share: wantedBy(slot.probabilities, likelihood) });
    }
  }
  explore(model, judged, field, joins);
  for (const { a, b, gain } of besideJoins(judged.anchorless, model)) add({ a, b, asked: gain, share: 0 });
  return joins;
}

/** Joins of pins that lead nowhere yet, once the circuit is known: they make the way of the power whole. */
function wayJoins(model: Model, { pins, share }: Field): Joins {
  const { rails } = model;
  const railOf = ({ part, pin }: NetPin) => rails.at(part, pin);
  const isAlone = (pin: NetPin) =>
    pin.part.kind !== 'ic' && rails.on(railOf(pin)).length === 1 && !rails.closed(railOf(pin));
  const joins: Joins = new Map();
  for (const a of pins.filter(isAlone))
    for (const b of pins) {
      const key = keyOf(a, b, model);
      if (b.part === a.part || joins.has(key) || rails.relation(railOf(a), railOf(b)) !== 'unknown') continue;
      const likely = share(a, b);
      if (likely > 0) joins.set(key, { a, b, gain: WAY_WORTH * likely, asked: 0, share: likely });
    }
  return joins;
}

/** What a join tells that only makes the way of the power whole, in bits: less than any that tells of the circuit. */
const WAY_WORTH = 1e-3;

/** Without the pairs that a person could not tell of. */
function withoutUnsure(joins: Joins, model: Model): Joins {
  for (const pair of model.board.unsure ?? []) {
    const [a, b] = pair.map((name) => pinNamed(name, model.board));
    if (a && b) joins.delete(keyOf(a, b, model));
  }
  return joins;
}

/** A transistor that is no power switch by its looks may be one all the same. */
const LEAST_DRIVING = practice(0.1);

/** An answer that tells less, in bits, is not worth the probe. */
const LEAST_GAIN = 1e-3;

/**
 * Two rails hang on several nets where a fuse or a shunt lies between: the pair of pins on them that is not known yet, the
 * ones that were thought of first.
 */
function openPair(candidate: Candidate, { rails, nets }: Model): Candidate | undefined {
  const { a, b } = candidate;
  const isOpen = (one: NetPin, other: NetPin) =>
    nets.relation(nets.of(pinName(one)), nets.of(pinName(other))) === 'unknown';
  if (isOpen(a, b)) return candidate;
  for (const one of rails.on(rails.at(a.part, a.pin)))
    for (const other of rails.on(rails.at(b.part, b.pin)))
      if (one.part !== other.part && isOpen(one, other)) return { ...candidate, a: one, b: other };
  return undefined;
}

/**
 * So many of the best candidates are joined in thought, and of those that some form asks for: links that would lead on are
 * many, and crowd out the one join that settles it. So many of the best are kept apart as well.
 */
const THOUGHT_THROUGH = { joined: 16, asked: 16, apart: 6 } as const;
/** What a bit of a single form, or a link that leads on, is worth beside one of whole readings. Set on drawn boards. */
const FORM_WORTH = 0.3;

/** No join is surer than this, or less likely. */
const LIKELY = { least: 0.004, most: 0.95 } as const;

/** The best candidates by how far either answer would move the readings of the whole board, as likely as it is. */
function weighed(
  candidates: readonly Candidate[],
  model: Model,
  toldBy: (board: Board) => number,
): readonly Candidate[] {
  const told = ({ a, b }: Candidate, isJoined: boolean) =>
    toldBy(withAnswer(model.board, pinName(a), pinName(b), isJoined));
  const best = new Set([
    ...unlike(candidates, model, ({ gain }) => gain, THOUGHT_THROUGH.joined),
    ...unlike(candidates, model, ({ asked }) => asked, THOUGHT_THROUGH.asked),
  ]);
  const joined = [...best].map((candidate) => {
    const share = Math.min(LIKELY.most, Math.max(LIKELY.least, candidate.share));
    const near = reach(candidate.a.part) * reach(candidate.b.part);
    return { candidate, share, near, gain: share * told(candidate, true) * near + FORM_WORTH * candidate.gain };
  });
  return joined
    .toSorted((one, other) => other.gain - one.gain)
    .map(({ candidate, share, near, gain }, place) => ({
      ...candidate,
      gain: place < THOUGHT_THROUGH.apart ? gain + (1 - share) * told(candidate, false) * near : gain,
    }));
}

/** The best candidates of which no two ask the same of parts that look alike: one stands for all of its kind. */
function unlike(
  candidates: readonly Candidate[],
  model: Model,
  worth: (candidate: Candidate) => number,
  most: number,
): readonly Candidate[] {
  const best = new Map<string, Candidate>();
  for (const candidate of candidates.toSorted((one, other) => worth(other) - worth(one))) {
    const key = [candidate.a, candidate.b]
      .map((pin) => lookOf(pin, model))
      .toSorted()
      .join('|');
    if (!best.has(key)) best.set(key, candidate);
    if (best.size === most) break;
  }
  return [...best.values()];
}

/** What a person sees of a pin: the net it is on, or what pin of what kind of part it is while it leads nowhere. */
function lookOf({ part, pin }: NetPin, { rails }: Model): string {
  const rail = rails.at(part, pin);
  return rails.on(rail).length > 1 ? `rail ${rail}` : pinClass(part, pin);
}

/** The pin of a net that a person knows it by and reaches best: that of its store, where it has one. */
function handyPin(pin: NetPin, other: NetPin, { nets }: Model): NetPin {
  const on = nets.pins[nets.of(pinName(pin))] ?? [];
  const store = on.find(({ part, pin: name }) => part.kind === 'capacitor' && (name === '+' || name === '-'));
  return store && on.length > 2 && store.part !== other.part ? store : pin;
}

/** A board with the answer to a probe added. */
export const withAnswer = (board: Board, a: string, b: string, isJoined: boolean): Board =>
  isJoined
    ? { ...board, joined: [...(board.joined ?? []), [a, b]] }
    : { ...board, separate: [...(board.separate ?? []), [a, b]] };

/** Whether two pins are on one net of a wholly traced board: what a meter would say. */
export function areJoined(board: Board, a: string, b: string): boolean {
  const netOf = (name: string) => {
    const [ref, pin] = splitPin(name);
    return board.parts.find((part) => part.ref === ref)?.pins[pin];
  };
  const net = netOf(a);
  return typeof net === 'string' && net === netOf(b);
}
