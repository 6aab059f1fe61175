import { CAUSE_NAMES, type CauseName } from './causes';
import type { Complaint } from './complaint';
import { isNothing, stateOf, type Seen, type State } from './readings';
import type { RoleBook } from './roles';
import { causeOf, RULE, type Weigh } from './rule';
import { withTold } from './sentences';
import { KILLED_BEFORE } from './signs';
import { BLOCKING, likeliestOf, stateAs } from './stateByRole';
import { weighElsewhere } from './weighElsewhere';
import { weighRail } from './weighRails';
import type { RoleName } from './words';

const BAD: ReadonlySet<State> = new Set(['shorted', 'open', 'off', 'damaged']);

/** How well a state of a guilty part fits a cause, by the last word of its name. */
export function fits(cause: CauseName, state: State): number {
  const kind = cause.split('-').at(-1) ?? '';
  const table: Readonly<Record<string, Partial<Record<State, number>>>> = {
    shorted: { shorted: 1, damaged: 0.6, off: 0.25, open: 0.08 },
    open: { open: 1, off: 0.9, damaged: 0.6, shorted: 0.05 },
    dry: { off: 1, damaged: 0.9, open: 0.7, shorted: 0.1 },
    faded: { off: 1, damaged: 0.8, open: 0.7, shorted: 0.1 },
    leaky: { off: 1, shorted: 0.6, damaged: 0.6, open: 0.5 },
    broken: { open: 1, off: 1, damaged: 0.8 },
    fault: { open: 1, off: 1, damaged: 0.8, shorted: 0.7 },
    aged: { damaged: 0.1, open: 0.3 },
    turns: { off: 1, damaged: 0.8, shorted: 0.5, open: 0.3 },
    cracked: { damaged: 1, open: 0.8, off: 0.5 },
    stuck: { damaged: 1, off: 1 },
    wrong: { damaged: 1, off: 1 },
  };
  if (state === 'stained') return 0.12;
  // A switch that has burnt open was shorted first.
  if (state === 'open' && cause.endsWith('switch-shorted')) return 0.5;
  return (table[kind] ?? { shorted: 0.9, open: 0.9, off: 0.9, damaged: 0.9 })[state] ?? 0;
}

/** Said with one reading of its fellows too. */
const ALIKE = /alike|\ball (?:two|three|four|six|of them|the others)\b|the others? (?:too|as well|the same)/iu;

/**
 * How much a good part clears its role, where several do one work: of two bulk cans the first clears half, the second the rest.
 * As a share of what a single one would.
 */
function shareLeft(seen: Seen, role: RoleName, { observations }: Complaint, of: RoleBook): number {
  const count = of.countOf(role);
  if (count < 2 || ALIKE.test(seen.text ?? '')) return 1;
  const before = observations.slice(0, observations.indexOf(seen));
  const isAlike = ({ ref, test, text, condition }: Seen) =>
    ref !== undefined &&
    ref !== seen.ref &&
    test === seen.test &&
    !isNothing(text) &&
    (text !== undefined || condition === 'good') &&
    (of.rolesOf(ref).get(role) ?? 0) >= 0.2;
  const looked = new Set(before.filter(isAlike).map(({ ref }) => ref)).size;
  return looked + 1 >= count ? 1 : 1 / (count - looked);
}

/** Parts that kill others again and again while they are bad. */
const KILLING: ReadonlySet<RoleName> = new Set(
  CAUSE_NAMES.flatMap((name) => (causeOf(name).kills === undefined ? [] : causeOf(name).roles)),
);

/** What a reading of a part, or of a rail, says of every cause. */
export function weighSeen(seen: Seen, complaint: Complaint, of: RoleBook, weigh: Weigh): void {
  const rail = seen.rail ?? (seen.ref?.startsWith('rail ') ? seen.ref.slice(5) : undefined);
  if (rail !== undefined) {
    weighRail(rail, seen, complaint, of.circuits, weigh);
    return;
  }
  const { ref } = seen;
  if (ref === undefined) return;
  const roles = of.rolesOf(ref);
  if (roles.size === 0) return;
  const likely = likeliestOf(roles);
  if (likely !== undefined && weighElsewhere(seen, likely, complaint, weigh)) return;
  const isBlocking = likely !== undefined && BLOCKING.has(likely);
  const state = stateAs(seen, roles, of.mostAmps);
  // A fuse is what a fault leaves behind, and so is a fusible resistor.
  if (state === 'unknown' || likely === 'fuse' || (likely === 'fusible' && state === 'open')) return;
  const isBad = (other: Seen) => other !== seen && other.ref === ref && BAD.has(stateOf(other, isBlocking));
  // What was found bad by one test is not cleared by another.
  if (state === 'good' && complaint.observations.some(isBad)) return;
  const isRepeated = complaint.observations.some(({ text }) => KILLED_BEFORE.test(text?.toLowerCase() ?? ''));
  // A good part does not clear a cause by which another was found bad.
  const others = state === 'good' ? complaint.observations.filter((one) => one.ref !== ref) : [];
  const badRefs = others.flatMap((one) =>
    one.ref !== undefined && BAD.has(stateOf(one, true)) ? [of.rolesOf(one.ref)] : [],
  );
  const isBadElsewhere = (guilty: readonly RoleName[]) =>
    badRefs.some((found) => guilty.some((role) => (found.get(role) ?? 0) >= RULE.foundAt));
  for (const name of CAUSE_NAMES) {
    const cause = causeOf(name);
    // How sure this part would be the guilty one, and how well what was seen fits.
    const guilty = cause.roles.reduce((most, role) => Math.max(most, roles.get(role) ?? 0), 0);
    const reason = `${ref}: ${seen.text ?? seen.condition ?? state}`;
    if (state === 'good') {
      const asked = cause.checks.filter(({ test }) => seen.test === undefined || test === seen.test);
      const told = asked.reduce(
        (most, { role, tells = 0.95 }) =>
          Math.max(most, (roles.get(role) ?? 0) * tells * shareLeft(seen, role, complaint, of)),
        0,
      );
      const weight = isNothing(seen.text) ? RULE.nothing : seen.test === undefined ? RULE.untested : 1;
      const left = Math.max(RULE.leaves, 1 - weight * Math.min(0.97, 1.25 * told));
      if (told > 0) weigh(name, isBadElsewhere(cause.roles) ? Math.sqrt(left) : left, reason);
      continue;
    }
    const fit = guilty * fits(name, state);
    const sure = (of: readonly RoleName[] = []) => of.reduce((most, role) => Math.max(most, roles.get(role) ?? 0), 0);
    // What kills again and again was bad before the part that was renewed.
    const wake = isRepeated ? cause.wake?.filter((role) => !KILLING.has(role)) : cause.wake;
    const along = state === 'stained' ? 0 : sure(wake);
    const killed = state === 'shorted' && isRepeated ? sure(cause.kills) : 0;
    const other = Math.max(
      RULE.unexplained,
      along * RULE.inWake + (1 - along) * RULE.unexplained,
      killed * RULE.killed + (1 - killed) * RULE.unexplained,
    );
    weigh(name, fit * RULE.bad + (1 - fit) * other, reason);
  }
}

/** How a part was found to be, by the latest that was told of it. @param role what it is, where that is known */
export function foundAt(observations: readonly Seen[], ref: string, role?: RoleName): State {
  return lastState(withTold(observations), ref, role);
}

/** The same, of observations whose words were read already. */
export function lastState(observations: readonly Seen[], ref: string, role?: RoleName): State {
  const states = observations
    .filter((seen) => seen.ref === ref)
    .map((seen) => stateOf(seen, role !== undefined && BLOCKING.has(role)));
  return states.findLast((state) => state !== 'unknown') ?? 'unknown';
}

/** A fault at a part that the first cause does not account for. */
export interface Beside {
  readonly ref: string;
  readonly state: State;
  readonly cause: CauseName;
}

/** Parts that were found bad and are none of a cause: a second fault may be there at once. Each with the cause that fits it best. */
export function faultsBeside(
  observations: readonly Seen[],
  of: RoleBook,
  first: CauseName | undefined,
): readonly Beside[] {
  const explained = new Set(first === undefined ? [] : causeOf(first).roles);
  const refs = new Set(observations.flatMap(({ ref }) => (ref === undefined || ref.startsWith('rail ') ? [] : [ref])));
  return [...refs].flatMap((ref): readonly Beside[] => {
    const role = likeliestOf(of.rolesOf(ref));
    const state = lastState(observations, ref, role);
    // A fuse is what a fault leaves behind.
    if (role === undefined || role === 'fuse' || !BAD.has(state) || explained.has(role)) return [];
    const [cause] = CAUSE_NAMES.filter((name) => causeOf(name).roles.includes(role)).toSorted(
      (a, b) => fits(b, state) * causeOf(b).common - fits(a, state) * causeOf(a).common,
    );
    return cause === undefined ? [] : [{ ref, state, cause }];
  });
}
