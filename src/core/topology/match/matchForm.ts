import type { BoardPart } from '../../board';
import type { End, Form, FormRelation, RoleKind } from '../forms/form';
import type { Model } from '../model';
import { COUPLING_AT_LEAST } from '../model/parts';
import { reachOf, type Reach } from '../model/series';

/** A part in a role, one way round: rails and pins of its ends. */
export interface Binding {
  readonly part: BoardPart;
  readonly winding?: number;
  readonly rails: readonly [number, number];
  readonly pins: readonly [string, string];
  /** Whether current would flow from the first end to the second. */
  readonly forward?: boolean;
}

export interface FormMatch {
  readonly form: Form;
  readonly roles: Readonly<Record<string, Binding>>;
}

export type Candidates = Readonly<Partial<Record<RoleKind, readonly Binding[]>>>;

const END_INDEX: Readonly<Record<string, 0 | 1>> = { a: 0, near: 0, b: 1, far: 1 };

/** Role and side of an end, cut once: ends are looked at far more often than there are any. */
const CUT = new Map<End, readonly [role: string, side: 0 | 1]>();
export function cutEnd(end: End): readonly [role: string, side: 0 | 1] {
  const known = CUT.get(end);
  if (known) return known;
  const [role = '', side = 'a'] = end.split('.');
  const cut = [role, END_INDEX[side] ?? 0] as const;
  CUT.set(end, cut);
  return cut;
}

export function railOf(roles: Readonly<Record<string, Binding>>, end: End): number {
  const [role, side] = cutEnd(end);
  return roles[role]?.rails[side] ?? -1;
}

/**
 * Every way to fill the roles of a form so that all its relations hold: depth-first over the roles, each relation
 * tried as soon as its ends are bound. Gives up after `budget` bindings.
 */
export function matchForm(
  form: Form,
  candidates: Candidates,
  model: Model,
  budget: { left: number },
): readonly FormMatch[] {
  const names = Object.keys(form.roles);
  const due = names.map((_, index) =>
    form.relations.filter(({ ends }) => Math.max(...ends.map((end) => names.indexOf(cutEnd(end)[0]))) === index),
  );
  const holds = relationTest(model);
  const found: FormMatch[] = [];
  const roles: Record<string, Binding> = {};
  const fill = (index: number): void => {
    const name = names[index];
    if (name === undefined) {
      found.push({ form, roles: { ...roles } });
      return;
    }
    for (const binding of candidates[form.roles[name] ?? 'switch'] ?? []) {
      if (budget.left <= 0) return;
      budget.left -= 1;
      if (isTaken(roles, binding)) continue;
      roles[name] = binding;
      if ((due[index] ?? []).every((relation) => holds(relation, roles))) fill(index + 1);
      delete roles[name];
    }
  };
  fill(0);
  return found;
}

const isTaken = (roles: Readonly<Record<string, Binding>>, { part, winding, rails }: Binding) =>
  Object.values(roles).some(
    (other) =>
      other.part === part &&
      (winding === undefined ||
        other.winding === undefined ||
        (other.winding === winding && other.rails.includes(rails[0]) && other.rails.includes(rails[1]))),
  );

function relationTest({ rails, elements, held }: Model) {
  const reaches = new Map<string, readonly Reach[]>();
  const reach = (from: number, without: BoardPart | undefined) => {
    const key = `${from} ${without?.ref ?? ''}`;
    const known = reaches.get(key) ?? reachOf(from, elements, held, without ? { without } : {});
    reaches.set(key, known);
    return known;
  };
  return ({ is, ends }: FormRelation, roles: Readonly<Record<string, Binding>>): boolean => {
    const [first, second] = ends;
    const a = railOf(roles, first);
    const b = second ? railOf(roles, second) : -1;
    const own = roles[cutEnd(first)[0]]?.part;
    switch (is) {
      case 'joined':
        return a === b && a >= 0;
      case 'apart':
        return a !== b;
      case 'in-series':
        return a === b || reach(a, own).some(({ rail }) => rail === b);
      case 'coupled':
        return elements.capacitors.some(
          (capacitor) =>
            ((capacitor.a === a && capacitor.b === b) || (capacitor.a === b && capacitor.b === a)) &&
            (capacitor.part.value?.capacitance ?? 1) >= 47 * COUPLING_AT_LEAST,
        );
      case 'held':
        return held.isHeld(a);
      case 'swinging':
        return !held.isHeld(a);
      case 'returned':
        return held.isHeld(a) || reach(a, own).some(({ rail, hasCapacitor }) => hasCapacitor && held.isHeld(rail));
      case 'on-line':
        return held.mains.has(a);
      case 'stored':
        return (
          rails
            .on(a)
            .every(
              ({ part }) =>
                part === own ||
                part.kind === 'capacitor' ||
                part.kind === 'resistor' ||
                part.kind === 'varistor' ||
                part.kind === 'diode',
            ) && rails.on(a).some(({ part }) => part.kind === 'capacitor')
        );
    }
  };
}
