import type { End, Form, FormRelation } from '../forms/form';
import { cutEnd, railOf, type Binding, type Candidates } from '../match/matchForm';
import type { Model } from '../model';

/** A form filled as far as what is known goes; roles may be open. */
export interface PartialMatch {
  readonly form: Form;
  readonly roles: Readonly<Record<string, Binding>>;
  /** Log-odds that what is known gives for it. */
  readonly score: number;
}

/**
 * What a relation's state weighs, in nats. A join that a form asks for is rarely there by chance; one that has not
 * been found yet says little; one that is known not to be there says no. Tuned on composed boards.
 */
export const STATE_WEIGHT = {
  joined: 2.4,
  bothBoundUnknown: -0.7,
  separate: -6,
  closedWithout: -3.5,
  heldAsAsked: 0.4,
  heldAgainst: -2.5,
  nothingLeft: -4,
} as const;
const BEAM = 10;

/** Candidates by kind of role and by the rails their ends are on, so that growing looks only at what a join reaches. */
export interface CandidateIndex {
  readonly all: Candidates;
  /** Number of different parts of each kind. */
  readonly counts: ReadonlyMap<string, number>;
  at(kind: string, rail: number): readonly Binding[];
}

export function indexCandidates(all: Candidates): CandidateIndex {
  const byRail = new Map<string, Map<number, Binding[]>>();
  const counts = new Map<string, number>();
  for (const [kind, bindings] of Object.entries(all)) {
    const rails = new Map<number, Binding[]>();
    for (const binding of bindings)
      for (const rail of new Set(binding.rails)) {
        const list = rails.get(rail);
        if (list) list.push(binding);
        else rails.set(rail, [binding]);
      }
    byRail.set(kind, rails);
    counts.set(kind, new Set(bindings.map(({ part }) => part)).size);
  }
  return { all, counts, at: (kind, rail) => byRail.get(kind)?.get(rail) ?? [] };
}

/** The best ways to fill a form's open roles from some filled ones, along joins that are known. */
export function growForm(
  form: Form,
  start: Readonly<Record<string, Binding>>,
  candidates: CandidateIndex,
  model: Model,
): readonly PartialMatch[] {
  let beam: PartialMatch[] = [scored(form, start, candidates, model)];
  for (const name of Object.keys(form.roles)) {
    if (name in start) continue;
    const kind = form.roles[name] ?? 'switch';
    const relations = form.relations.filter(
      ({ is, ends }) => (is === 'joined' || is === 'in-series') && ends.some((end) => roleOf(end) === name),
    );
    const next: PartialMatch[] = [...beam];
    for (const state of beam) {
      const reached = new Set<Binding>();
      for (const { ends } of relations) {
        const other = roleOf(ends[0]) === name ? ends[1] : ends[0];
        if (!other || roleOf(other) === name || !(roleOf(other) in state.roles)) continue;
        const rail = railOf(state.roles, other);
        const own = roleOf(ends[0]) === name ? ends[0] : ends[1];
        for (const binding of candidates.at(kind, rail))
          if (own && railOf({ [name]: binding }, own) === rail) reached.add(binding);
      }
      for (const binding of reached)
        if (!isTaken(state.roles, binding))
          next.push(scored(form, { ...state.roles, [name]: binding }, candidates, model));
    }
    beam = next.toSorted((a, b) => b.score - a.score).slice(0, BEAM);
  }
  return beam;
}

const roleOf = (end: End) => cutEnd(end)[0];

const isTaken = (roles: Readonly<Record<string, Binding>>, { part, winding, rails }: Binding) =>
  Object.values(roles).some(
    (other) =>
      other.part === part &&
      (winding === undefined ||
        other.winding === undefined ||
        (other.winding === winding &&
          other.rails.some((rail) => rails.includes(rail)) &&
          other.rails.every((rail) => rails.includes(rail)))),
  );

function scored(
  form: Form,
  roles: Readonly<Record<string, Binding>>,
  candidates: CandidateIndex,
  model: Model,
): PartialMatch {
  let score = fitOf(form, roles, model);
  const wanted = new Map<string, number>();
  for (const kind of Object.values(form.roles)) if (kind !== 'piece') wanted.set(kind, (wanted.get(kind) ?? 0) + 1);
  for (const [kind, count] of wanted) if ((candidates.counts.get(kind) ?? 0) < count) score += STATE_WEIGHT.nothingLeft;
  return { form, roles, score };
}

/** What the relations of a form come to with some of its roles filled, in nats. */
export const fitOf = (form: Form, roles: Readonly<Record<string, Binding>>, model: Model): number =>
  form.relations.reduce((sum, relation) => sum + weigh(relation, roles, model), 0);

function weigh({ is, ends }: FormRelation, roles: Readonly<Record<string, Binding>>, { rails, held }: Model): number {
  const [first, second] = ends;
  const isBound = (end: End) => roleOf(end) in roles;
  if (!second) {
    if (!isBound(first)) return 0;
    const isHeld = held.isHeld(railOf(roles, first));
    if (is === 'held' || is === 'returned') return isHeld ? STATE_WEIGHT.heldAsAsked : 0;
    if (is === 'swinging') return isHeld ? STATE_WEIGHT.heldAgainst : 0;
    return 0;
  }
  if (!isBound(first) || !isBound(second)) {
    const bound = isBound(first) ? first : isBound(second) ? second : undefined;
    if (is !== 'joined' || !bound) return 0;
    return rails.closed(railOf(roles, bound)) ? STATE_WEIGHT.closedWithout : 0;
  }
  const relation = rails.relation(railOf(roles, first), railOf(roles, second));
  if (is === 'apart') return relation === 'joined' ? STATE_WEIGHT.separate : 0;
  if (is === 'coupled') return relation === 'joined' ? STATE_WEIGHT.separate : 0;
  if (relation === 'joined') return STATE_WEIGHT.joined;
  if (is === 'in-series') return relation === 'unknown' ? STATE_WEIGHT.bothBoundUnknown / 2 : -1;
  return relation === 'separate' ? STATE_WEIGHT.separate : STATE_WEIGHT.bothBoundUnknown;
}
