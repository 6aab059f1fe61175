import { practice } from '../../evidence';
import { pinName, splitPin, type Board, type BoardPart, type NetPin } from '../../board';
import type { End, Form } from '../forms/form';
import { candidatesOf } from '../match/candidates';
import type { Binding } from '../match/matchForm';
import type { Model } from '../model';
import type { BoardFacts } from '../partial/facts/boardFacts';
import { SLOT_CLASSES } from '../partial/classes';
import { binaryEntropy, entropyOf } from '../partial/entropy';
import { judgeBoard, type JudgedSlot, type Judgement } from '../partial/judge';
import type { Sizes } from '../partial/score';
import { recognise, type Recognition } from '../recognise';
import { affinityOf, pinClass } from './pinClass';
import { pinWords } from './words';

export interface Probe {
  readonly a: string;
  readonly b: string;
  /** Expected information in bits. */
  readonly gain: number;
  readonly question: string;
}

export interface ProbeAdvice {
  /** What is still open about the topologies, in bits. */
  readonly entropy: number;
  /** Best first. */
  readonly probes: readonly Probe[];
}

/** How likely a join is when a hypothesis asks for it, and when none does. Measured on composed boards. */
const JOIN = { asked: 0.85, background: 0.05 } as const;
/** Hypotheses below this decide nothing worth a probe. */
const LEAST = 0.01;
/** At most this many candidates of one kind are considered for an open role. */
const MOST_OPEN = 8;
/** Weight of the chance that none of those who could play an open role does. */
const NOBODY = 0.1;
/** Where a probe slips or the pins stand close. */
const REACH: Partial<Record<BoardPart['kind'], number>> = practice({
  ic: 0.8,
  optocoupler: 0.9,
  'shunt-reference': 0.85,
});

/**
 * The pin pairs whose continuity answer would tell most about the topology. Every reading of a slot says how likely
 * each pair is joined; the gain is the mutual information between that answer and the readings, summed over the slots
 * (a pair is worth asking when the leading readings differ on it). Pairs that are known, or implied, are skipped, and those that
 * a person could not tell of.
 */
export const nextProbes = (board: Board, count = 5, sizes?: Sizes): ProbeAdvice =>
  probesFrom(recognise(board), count, sizes);

/** The same for a board that was recognised already. */
export function probesFrom({ model, stages }: Recognition, count: number, sizes?: Sizes): ProbeAdvice {
  const judged = judgeBoard(model, stages, sizes);
  const { slots, open: entropy, openWith } = judged;
  const gains = new Map<string, Candidate>();
  const pool = candidatesOf(model);
  for (const slot of slots) {
    const asked = askedJoins(slot, pool, model);
    const casting = rolesAsked(slot, pool, model);
    for (const [key, { a, b, likelihood }] of asked) {
      const told = information(slot.probabilities, likelihood) + ROLE_WORTH * (casting.get(key) ?? 0);
      const gain = told * reach(a.part) * reach(b.part) * plausibility(a, b, model);
      const share = slot.probabilities.reduce((sum, p, index) => sum + p * (likelihood[index] ?? 0), 0);
      const known = gains.get(key);
      if (known) {
        known.gain += gain;
        known.share = Math.max(known.share, share);
      } else gains.set(key, { a, b, gain, share });
    }
  }
  explore(model, judged, gains);
  for (const pair of model.board.unsure ?? []) {
    const [a, b] = pair.map((name) => pinNamed(name, model.board));
    if (a && b) gains.delete(keyOf(a, b, model));
  }
  const ranked = weighed([...gains.values()], model.board, entropy, openWith)
    .toSorted((one, other) => other.gain - one.gain)
    .slice(0, Math.max(count, 1))
    .map(({ a, b, gain }) => ({ a: handyPin(a, b, model), b: handyPin(b, a, model), gain }));
  return {
    entropy,
    probes: ranked.map(({ a, b, gain }) => ({
      a: pinName(a),
      b: pinName(b),
      gain,
      question: questionOf(a, b, ranked),
    })),
  };
}

interface Candidate {
  readonly a: NetPin;
  readonly b: NetPin;
  /** What the answer is worth, in bits, reach and plausibility counted in. */
  gain: number;
  /** How likely the pins are joined. */
  share: number;
}

/** So many of the best candidates are joined in thought. */
const THOUGHT_THROUGH = 16;
/** What a bit about roles and forms is worth beside one that whole readings lose. Set on drawn boards. */
const FORM_WORTH = 0.3;

/** The best candidates by how much less would be open about the whole board if they beeped, as likely as they do. */
function weighed(
  candidates: readonly Candidate[],
  board: Board,
  open: number,
  left: (board: Board) => number,
): readonly Candidate[] {
  return candidates
    .toSorted((one, other) => other.gain - one.gain)
    .slice(0, THOUGHT_THROUGH)
    .map((candidate) => {
      const [a, b] = [pinName(candidate.a), pinName(candidate.b)];
      const share = Math.min(0.95, Math.max(0.02, candidate.share));
      const told =
        share *
        Math.max(0, open - left(withAnswer(board, a, b, true))) *
        reach(candidate.a.part) *
        reach(candidate.b.part);
      return { ...candidate, gain: told + FORM_WORTH * candidate.gain };
    });
}

/** The pin of a net that a person knows it by and reaches best: that of its store, where it has one. */
function handyPin(pin: NetPin, other: NetPin, { nets }: Model): NetPin {
  const on = nets.pins[nets.of(pinName(pin))] ?? [];
  const store = on.find(({ part, pin: name }) => part.kind === 'capacitor' && (name === '+' || name === '-'));
  return store && on.length > 2 && store.part !== other.part ? store : pin;
}

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
function explore(
  model: Model,
  { facts, slots, anchorless, open: left }: Judgement,
  gains: Map<string, Candidate>,
): void {
  const { board, rails } = model;
  const open = new Map<BoardPart, number>(slots.map(({ anchor, probabilities }) => [anchor, entropyOf(probabilities)]));
  for (const { probability, switches, rectifiers, beside = [] } of anchorless)
    for (const part of [...switches, ...rectifiers, ...beside]) open.set(part, binaryEntropy(probability));
  const near = relevances(open, model);
  const far = Math.min(1, left) * FADING ** FURTHEST;
  const pins = tellingPins(board, new Set(open.keys()), anchorless.length > 0);
  for (const from of pins) {
    const rail = rails.at(from.part, from.pin);
    if (rails.on(rail).length > 1 || from.part.kind === 'ic') continue;
    const options = new Map<number, { readonly to: NetPin; readonly weight: number }>();
    for (const to of pins) {
      const other = rails.at(to.part, to.pin);
      if (to.part === from.part || rails.relation(rail, other) !== 'unknown') continue;
      const weight = affinity(from, to);
      if (weight > (options.get(other)?.weight ?? 0)) options.set(other, { to, weight });
    }
    const total = [...options.values()].reduce((sum, { weight }) => sum + weight, NOBODY);
    const told = tells(from, facts);
    const relevance = Math.max(near.get(from.part) ?? 0, far);
    for (const { to, weight } of options.values()) {
      // A pin leads to one net, which may hold many of the others.
      const share = Math.min(0.98, weight / Math.min(1, total));
      const merges = open.has(from.part) || open.has(to.part) ? 0 : MERGE_WORTH * share * share * Math.min(1, left);
      const gain =
        (binaryEntropy(share) * relevance * told * tells(to, facts) + merges) *
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

/** What is open at every part, or at a part that joins lead to from there, in bits. */
function relevances(open: ReadonlyMap<BoardPart, number>, { rails }: Model): ReadonlyMap<BoardPart, number> {
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

/** Pins of the parts that carry power, and of those that are open; with the inlet where a stage may hang on it. */
const tellingPins = ({ parts }: Board, open: ReadonlySet<BoardPart>, isInletOpen: boolean): readonly NetPin[] =>
  pinsOf(
    parts.filter(
      (part) =>
        part.fitted !== false &&
        (part.role === 'mains-inlet'
          ? isInletOpen
          : open.has(part) ||
            POWER.has(part.kind) ||
            (part.kind === 'capacitor' && ('+' in part.pins || part.subtype === 'film'))),
    ),
  ).filter((pin) => !isCommand(pin) || open.has(pin.part));

const affinity = (a: NetPin, b: NetPin) => affinityOf(pinClass(a.part, a.pin), pinClass(b.part, b.pin));
const reach = ({ kind }: BoardPart) => REACH[kind] ?? 1;

/** A bit about who plays a role is worth this share of one about the topology. Set on composed boards. */
const ROLE_WORTH = 0.1;

/** Information about the roles of the leading topology of a slot, by pair of rails. */
function rolesAsked(
  { slot, probabilities }: JudgedSlot,
  pool: ReturnType<typeof candidatesOf>,
  model: Model,
): ReadonlyMap<string, number> {
  const most = Math.max(...probabilities);
  const topology = SLOT_CLASSES[probabilities.indexOf(most)] ?? 'none';
  const gains = new Map<string, number>();
  for (const { form, roles } of slot.fitsOf(topology))
    for (const { a, b, share } of unknownJoins(form, roles, pool, model)) {
      const gain = most * information([share, 1 - share], [JOIN.asked, JOIN.background]);
      const key = keyOf(a, b, model);
      gains.set(key, Math.max(gains.get(key) ?? 0, gain));
    }
  return gains;
}

const keyOf = (a: NetPin, b: NetPin, { rails }: Model) =>
  [rails.at(a.part, a.pin), rails.at(b.part, b.pin)].toSorted((x, y) => x - y).join(' ');

function pinNamed(name: string, { parts }: Board): NetPin | undefined {
  const [ref, pin] = splitPin(name);
  const part = parts.find((entry) => entry.ref === ref);
  return part && pin in part.pins ? { part, pin } : undefined;
}

/** A join against the sense of both parts: a cathode on a minus, an anode on a plus. */
const AGAINST_SENSE = 0.2;
const MAY_SHARE_A_NET: ReadonlySet<BoardPart['kind']> = new Set(['ic', 'transformer', 'connector']);
/** A join that would bridge a part: a drain with its source. */
const BRIDGES_A_PART = practice(0.1);
/** Two nets that were traced to some length would mostly have been found to be one. */
const BOTH_TRACED = practice(0.5);

/** How likely a join is that no hypothesis looks at: by the sense of the parts, and by what was traced already. */
function plausibility(a: NetPin, b: NetPin, { rails }: Model): number {
  const isAgainst = (one: NetPin, other: NetPin) =>
    (/^K\d?$/.test(one.pin) && other.pin === '-') || (/^A\d?$/.test(one.pin) && other.pin === '+');
  const isTraced = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).length > 2;
  const on = ({ part, pin }: NetPin) => rails.on(rails.at(part, pin)).map((other) => other.part);
  const isBridging = on(a).some((part) => !MAY_SHARE_A_NET.has(part.kind) && on(b).includes(part));
  return (
    (isBridging ? BRIDGES_A_PART : 1) *
    (isAgainst(a, b) || isAgainst(b, a) ? AGAINST_SENSE : 1) *
    (isTraced(a) && isTraced(b) ? BOTH_TRACED : 1)
  );
}

interface AskedJoin {
  readonly a: NetPin;
  readonly b: NetPin;
  /** Probability of the join under each class of `SLOT_CLASSES`. */
  readonly likelihood: number[];
}

/** Every pair that some reading of a slot asks for and that is not known, with its likelihood under all readings. */
function askedJoins(
  { slot, probabilities }: JudgedSlot,
  pool: ReturnType<typeof candidatesOf>,
  model: Model,
): Map<string, AskedJoin> {
  const asked = new Map<string, AskedJoin>();
  SLOT_CLASSES.forEach((topology, index) => {
    if ((probabilities[index] ?? 0) < LEAST || topology === 'none') return;
    for (const { form, roles } of slot.fitsOf(topology))
      for (const { a, b, share } of unknownJoins(form, roles, pool, model)) {
        const key = keyOf(a, b, model);
        const entry = asked.get(key) ?? { a, b, likelihood: SLOT_CLASSES.map(() => JOIN.background) };
        entry.likelihood[index] = Math.max(
          entry.likelihood[index] ?? 0,
          JOIN.background + (JOIN.asked - JOIN.background) * share,
        );
        asked.set(key, entry);
      }
  });
  return asked;
}

function unknownJoins(
  form: Form,
  roles: Readonly<Record<string, Binding>>,
  pool: ReturnType<typeof candidatesOf>,
  { rails }: Model,
) {
  const found: { a: NetPin; b: NetPin; share: number }[] = [];
  const pinAt = (binding: Binding, end: End): NetPin => ({
    part: binding.part,
    pin: binding.pins[end.endsWith('.b') || end.endsWith('.far') ? 1 : 0],
  });
  const add = (a: NetPin, b: NetPin, share: number) => {
    if (a.part === b.part) return;
    if (rails.relation(rails.at(a.part, a.pin), rails.at(b.part, b.pin)) === 'unknown') found.push({ a, b, share });
  };
  for (const { is, ends } of form.relations) {
    const [first, second] = ends;
    if (is !== 'joined' || !second) continue;
    const [one, other] = [roles[first.split('.')[0] ?? ''], roles[second.split('.')[0] ?? '']];
    if (one && other) add(pinAt(one, first), pinAt(other, second), 1);
    else if (one ?? other) {
      const [bound, boundEnd, openEnd] = one ? [one, first, second] : [other as Binding, second, first];
      const kind = form.roles[openEnd.split('.')[0] ?? ''];
      const options = (kind ? pool[kind] : []).filter(
        ({ part }) => part !== bound.part && !Object.values(roles).some((role) => role.part === part),
      );
      const from = pinAt(bound, boundEnd);
      const likely = options
        .map((option) => pinAt(option, openEnd))
        .map((pin) => ({ pin, weight: affinity(from, pin) }))
        .toSorted((one, next) => next.weight - one.weight);
      const whole = likely.reduce((sum, { weight }) => sum + weight, 0);
      for (const { pin, weight } of likely.slice(0, MOST_OPEN)) add(from, pin, weight / (whole + NOBODY));
    }
  }
  return found;
}

/** Mutual information between readings and the answer, in bits. */
function information(probabilities: readonly number[], likelihood: readonly number[]): number {
  const joined = probabilities.reduce((sum, p, index) => sum + p * (likelihood[index] ?? 0), 0);
  const given = probabilities.reduce((sum, p, index) => sum + p * binaryEntropy(likelihood[index] ?? 0), 0);
  return Math.max(0, binaryEntropy(joined) - given);
}

/** The question as a person would ask it; with the runner-up from the same pin where there is one. */
function questionOf(a: NetPin, b: NetPin, all: readonly { a: NetPin; b: NetPin }[]): string {
  const other = all.find((entry) => entry.a.part === a.part && entry.a.pin === a.pin && entry.b.part !== b.part);
  const start = `Does ${pinWords(a.part, a.pin)} go straight to ${pinWords(b.part, b.pin)}`;
  return other ? `${start}, or to ${other.b.part.ref}?` : `${start}?`;
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
