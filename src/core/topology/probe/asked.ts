import type { BoardPart, NetPin } from '../../board';
import type { End, Form } from '../forms/form';
import type { candidatesOf } from '../match/candidates';
import type { Binding } from '../match/matchForm';
import type { Model } from '../model';
import { SLOT_CLASSES } from '../partial/classes';
import { binaryEntropy } from '../partial/entropy';
import { fitOf } from '../partial/grow';
import type { JudgedSlot, Judgement } from '../partial/judge';
import { affinity, keyOf, NOBODY } from './candidate';

/** How likely a join is when a hypothesis asks for it, and when none does. Measured on composed boards. */
const JOIN = { asked: 0.85, background: 0.05 } as const;
/** Hypotheses below this decide nothing worth a probe. */
const LEAST = 0.01;
/** At most this many candidates of one kind are considered for an open role. */
const MOST_OPEN = 8;

/** What fits the other relations of a form is likelier to play an open role: so much of their nats counts. Set on drawn boards. */
const FIT = 0.5;

/** A bit about who plays a role is worth this share of one about the topology. Set on composed boards. */
export const ROLE_WORTH = 0.1;

/** Information about the roles of the leading topology of a slot, by pair of rails. */
export function rolesAsked(
  { slot, probabilities }: JudgedSlot,
  pool: ReturnType<typeof candidatesOf>,
  model: Model,
  mayDrive: (part: BoardPart) => number,
): ReadonlyMap<string, number> {
  const most = Math.max(...probabilities);
  const topology = SLOT_CLASSES[probabilities.indexOf(most)] ?? 'none';
  const gains = new Map<string, number>();
  for (const { form, roles } of slot.fitsOf(topology))
    for (const { a, b, share } of unknownJoins(form, roles, pool, model, mayDrive)) {
      const gain = most * information([share, 1 - share], [JOIN.asked, JOIN.background]);
      const key = keyOf(a, b, model);
      gains.set(key, Math.max(gains.get(key) ?? 0, gain));
    }
  return gains;
}

interface AskedJoin {
  readonly a: NetPin;
  readonly b: NetPin;
  /** Probability of the join under each class of `SLOT_CLASSES`. */
  readonly likelihood: number[];
}

/** Every pair that some reading of a slot asks for and that is not known, with its likelihood under all readings. */
export function askedJoins(
  { slot, probabilities }: JudgedSlot,
  pool: ReturnType<typeof candidatesOf>,
  model: Model,
  mayDrive: (part: BoardPart) => number,
): Map<string, AskedJoin> {
  const asked = new Map<string, AskedJoin>();
  SLOT_CLASSES.forEach((topology, index) => {
    if ((probabilities[index] ?? 0) < LEAST || topology === 'none') return;
    for (const { form, roles } of slot.fitsOf(topology))
      for (const { a, b, share } of unknownJoins(form, roles, pool, model, mayDrive)) {
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
  model: Model,
  mayDrive: (part: BoardPart) => number,
) {
  const { rails } = model;
  const fit = fitOf(form, roles, model);
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
      const role = openEnd.split('.')[0] ?? '';
      const kind = form.roles[role];
      const options = (kind ? pool[kind] : []).filter(
        ({ part }) => part !== bound.part && !Object.values(roles).some((role) => role.part === part),
      );
      const from = pinAt(bound, boundEnd);
      const likely = options
        .map((option) => ({ option, pin: pinAt(option, openEnd) }))
        .filter(({ pin }) => rails.relation(rails.at(from.part, from.pin), rails.at(pin.part, pin.pin)) !== 'separate')
        .map(({ option, pin }) => ({
          pin,
          weight:
            (kind === 'switch' ? mayDrive(option.part) : 1) *
            affinity(from, pin) *
            Math.exp(FIT * (fitOf(form, { ...roles, [role]: option }, model) - fit)),
        }))
        .toSorted((one, next) => next.weight - one.weight);
      const whole = likely.reduce((sum, { weight }) => sum + weight, 0);
      for (const { pin, weight } of likely.slice(0, MOST_OPEN)) add(from, pin, (1 - NOBODY) * (weight / whole));
    }
  }
  return found;
}

/** How likely a join is there because a reading asks for it. */
export const wantedBy = (probabilities: readonly number[], likelihood: readonly number[]): number =>
  likelihood.reduce((sum, joined, index) => sum + (probabilities[index] ?? 0) * (joined - JOIN.background), 0);

/** Mutual information between readings and the answer, in bits. */
export function information(probabilities: readonly number[], likelihood: readonly number[]): number {
  const joined = probabilities.reduce((sum, p, index) => sum + p * (likelihood[index] ?? 0), 0);
  const given = probabilities.reduce((sum, p, index) => sum + p * binaryEntropy(likelihood[index] ?? 0), 0);
  return Math.max(0, binaryEntropy(joined) - given);
}

/** What a bit about a stage without a magnetic part is worth, shared among the joins that would tell of it. */
const BESIDE_WORTH = 1.5;

/** Joins of the parts that tell of a stage without a magnetic part with its rectifiers, each with what it is worth in bits. */
export function besideJoins(
  stages: Judgement['anchorless'],
  { rails }: Model,
): readonly { readonly a: NetPin; readonly b: NetPin; readonly gain: number }[] {
  const pinsOf = (parts: readonly BoardPart[], wanted: RegExp) =>
    parts.flatMap((part) => Object.keys(part.pins).flatMap((pin) => (wanted.test(pin) ? [{ part, pin }] : [])));
  return stages.flatMap(({ probability, rectifiers, beside = [] }) => {
    const pairs = pinsOf(beside, /./).flatMap((a) => pinsOf(rectifiers, /^(AC|A|K)/).map((b) => ({ a, b })));
    const open = pairs.filter(
      ({ a, b }) => rails.relation(rails.at(a.part, a.pin), rails.at(b.part, b.pin)) === 'unknown',
    );
    return open.map((pair) => ({ ...pair, gain: (BESIDE_WORTH * binaryEntropy(probability)) / open.length }));
  });
}
