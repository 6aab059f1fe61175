import { CAUSE_NAMES, type CauseName } from './causes';
import type { Complaint } from './complaint';
import {
  firstVolts,
  isNothing,
  isStandbyRail,
  nominalOf,
  outputCanOf,
  stateOf,
  type Seen,
  type State,
} from './readings';
import type { RoleBook } from './roles';
import { causeOf, RULE } from './rule';
import { withTold } from './sentences';
import { KILLED_BEFORE } from './signs';
import type { RoleName, Symptom } from './words';

/** Makes a cause so many times likelier, with the reason. */
export type Weigh = (name: CauseName, factor: number, reason: string) => void;

/** Parts that block when they are good, so that few ohms are a short. */
export const BLOCKING: ReadonlySet<RoleName> = new Set([
  'bridge',
  'bulk',
  'inputCapacitor',
  'mainSwitch',
  'pfcSwitch',
  'pfcDiode',
  'varistor',
  'xCapacitor',
  'outputRectifier',
  'syncFet',
  'outputCapacitor',
  'clamp',
  'standbySwitch',
  'standbyCapacitor',
  'resonant',
  'triac',
  'dropper',
  'regulator',
  'store',
  'pulseSwitch',
  'charging',
  'vccCapacitor',
  'auxiliary',
  'controller',
  'zener',
  'timing',
  'optocoupler',
  'reference',
]);

/** Whether ohms were read at a small film capacitor, which should read none. */
const leaks = ({ test, text }: Seen): boolean =>
  test === 'resistance' && /^\d+(?:\.\d+)? ?(?:k|m)?(?:ohm|Ω)/iu.test(text?.trim() ?? '');

const BAD: ReadonlySet<State> = new Set(['shorted', 'open', 'off', 'damaged']);

const FIRES: ReadonlySet<RoleName> = new Set(['triac', 'trigger', 'pulseSwitch']);

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

/** Complaints that a rail which is right by itself speaks against: the fault is behind it. */
const WOULD_FALL: ReadonlySet<Symptom> = new Set(['dead', 'hiccup', 'rail-low']);

/** What a standby supply that is right rules out: what feeds it, and what it starts. */
const NOT_WITH_STANDBY: readonly CauseName[] = [
  'standby-capacitor-dry',
  'standby-switch-shorted',
  'standby-unprotected',
  'startup-resistor-open',
  'ntc-open',
  'fuse-aged',
  'bridge-shorted',
  'bulk-shorted',
  'switch-shorted',
  'cable-broken',
];

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

/** A mains selector that stands at the lower mains; a name such as 115/230 says nothing. */
const SET_LOW = /(?:stands|set|points|reads|switched|is)\s(?:to |at |on )?1(?:00|10|15|17|20|27)\b(?!\s*\/)/u;
/** One that stands at the higher mains. */
const SET_HIGH = /(?:^|stands|set|points|reads|switched|is)\s?(?:to |at |on )?2[234]0\b/;
/** Mains up to which that is right. */
const LOW_MAINS = 140;

/** Whether a unit is fed with the lower mains, by its nameplate. */
const isLowMains = ({ board }: Complaint): boolean => (board?.nameplate?.input?.vMax ?? Infinity) <= LOW_MAINS;

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
  const likely = [...roles].toSorted((a, b) => b[1] - a[1])[0]?.[0];
  const isBlocking = likely !== undefined && BLOCKING.has(likely);
  const byItself = stateOf(seen, isBlocking);
  const read = likely === 'outputCapacitor' ? outputCanOf(seen, byItself, of.mostAmps) : byItself;
  const seenState = likely === 'timing' && read === 'good' && leaks(seen) ? 'off' : read;
  const isSetLow = SET_LOW.test(seen.text ?? '');
  if (likely === 'lineSelector' && (isSetLow || SET_HIGH.test(seen.text?.trim() ?? ''))) {
    const factor = isSetLow === isLowMains(complaint) ? RULE.leaves : RULE.setWrong;
    weigh('line-selector-wrong', factor, `${ref}: ${seen.text ?? ''}`);
    return;
  }
  // What fires blocks both ways until then.
  const state =
    seenState === 'open' && seen.test === 'diode-mode' && likely !== undefined && FIRES.has(likely)
      ? 'good'
      : seenState;
  // A fuse is what a fault leaves behind, and so is a fusible resistor.
  if (state === 'unknown' || likely === 'fuse' || (likely === 'fusible' && state === 'open')) return;
  const isBad = (other: Seen) => other !== seen && other.ref === ref && BAD.has(stateOf(other, isBlocking));
  // What was found bad by one test is not cleared by another.
  if (state === 'good' && complaint.observations.some(isBad)) return;
  const isRepeated = complaint.observations.some(({ text }) => KILLED_BEFORE.test(text?.toLowerCase() ?? ''));
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
      if (told > 0) weigh(name, Math.max(RULE.leaves, 1 - weight * Math.min(0.97, 1.25 * told)), reason);
      continue;
    }
    const fit = guilty * fits(name, state);
    const sure = (of: readonly RoleName[] = []) => of.reduce((most, role) => Math.max(most, roles.get(role) ?? 0), 0);
    const along = state === 'stained' ? 0 : sure(cause.wake);
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
  const states = withTold(observations)
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
    const [role] = [...of.rolesOf(ref)].toSorted((a, b) => b[1] - a[1])[0] ?? [];
    const state = foundAt(observations, ref, role);
    // A fuse is what a fault leaves behind.
    if (role === undefined || role === 'fuse' || !BAD.has(state) || explained.has(role)) return [];
    const [cause] = CAUSE_NAMES.filter((name) => causeOf(name).roles.includes(role)).toSorted(
      (a, b) => fits(b, state) * causeOf(b).common - fits(a, state) * causeOf(a).common,
    );
    return cause === undefined ? [] : [{ ref, state, cause }];
  });
}

/** The share of its nominal volts at which a rail was read; the last reading counts. */
function railShare(seen: Seen): { readonly name: string; readonly share: number } | undefined {
  const name = seen.rail ?? (seen.ref?.startsWith('rail ') ? seen.ref.slice(5) : undefined);
  const nominal = name === undefined ? undefined : nominalOf(name);
  const volts = seen.volts ?? seen.value ?? (seen.text === undefined ? undefined : firstVolts(seen.text));
  if (name === undefined || volts === undefined || !nominal) return undefined;
  return { name, share: Math.abs(volts) / nominal };
}

/** Circuits that give nothing while what feeds them is gone or shorted. */
const STARTED = /flyback|forward|bridge|push|llc|pfc|linear|line-transformer/u;
/** What a unit that gives its rail cannot have. */
const NOT_ALIVE: readonly CauseName[] = [
  'switch-shorted',
  'bridge-shorted',
  'bulk-shorted',
  'varistor-shorted',
  'fuse-aged',
  'ntc-open',
  'startup-resistor-open',
];

/** Causes by which no rail is held any more. */
const HOLDS: readonly CauseName[] = ['feedback-open', 'optocoupler-dead', 'reference-dead'];

/** Circuits in which every rail has its own rectifier and bulk can. */
const OWN_BULK = /line-transformer|linear/u;

/** Rails that sag together are short of what feeds them all; the cans of one output pull down one. */
export function weighTogether(observations: readonly Seen[], circuits: string, weigh: Weigh): void {
  const { low, gone: least, alike, bulk, cans } = RULE.together;
  const rails = new Map(
    observations.flatMap((seen) => {
      const rail = railShare(seen);
      return rail && !isStandbyRail(rail.name) ? [[rail.name, rail.share] as const] : [];
    }),
  );
  const shares = [...rails.values()];
  const [there] = [...rails].filter(([, share]) => share > RULE.alive.from);
  // Said once, however many rails there are.
  if (there && STARTED.test(circuits))
    for (const name of NOT_ALIVE) weigh(name, RULE.alive.leaves, `${there[0]} is there`);
  const gone = [...rails].filter(([, share]) => share < RULE.oneGone.under);
  const right = [...rails].filter(([, share]) => share > RULE.rail.rightFrom && share < RULE.rail.rightTo);
  if (gone.length > 0 && right.length > 0) {
    const reason = `${gone.map(([name]) => name).join(' and ')} gone, ${right.map(([name]) => name).join(' and ')} right`;
    for (const name of CAUSE_NAMES) weigh(name, RULE.oneGone.behind[name] ?? RULE.oneGone.others, reason);
  }
  const over = [...rails].filter(([, share]) => share > RULE.rail.high);
  // What holds the rails holds one of them; the other is high because nothing loads it, or for a reason of its own.
  if (over.length > 0 && right.length > 0)
    for (const name of HOLDS)
      weigh(name, RULE.held, `${right.map(([rail]) => rail).join(' and ')} right: the rails are held`);
  const lower = [...rails].filter(([, share]) => share >= RULE.oneGone.under && share < RULE.rail.low);
  if (lower.length > 0 && right.length > 0) {
    const reason = `${lower.map(([name]) => name).join(' and ')} low, ${right.map(([name]) => name).join(' and ')} right`;
    // Behind a mains transformer each rail has a bulk can of its own.
    const others = (name: CauseName) => (name === 'bulk-dry' && OWN_BULK.test(circuits) ? 2 : RULE.oneLow.others);
    for (const name of CAUSE_NAMES) weigh(name, RULE.oneLow.behind[name] ?? others(name), reason);
  }
  const { selector, rectifier } = RULE.halved;
  if (
    shares.length > 1 &&
    shares.every((share) => share > RULE.halved.from && share < RULE.halved.to) &&
    Math.max(...shares) - Math.min(...shares) < 2 * alike
  ) {
    const halves = `${[...rails.keys()].join(' and ')} are all near half`;
    weigh('line-selector-wrong', selector, halves);
    weigh('output-rectifier-open', rectifier ** -rails.size / rectifier, halves);
    return;
  }
  if (shares.length < 2 || shares.some((share) => share >= low || share < least)) return;
  if (Math.max(...shares) - Math.min(...shares) > alike) return;
  const reason = `${[...rails.keys()].join(' and ')} sag together`;
  weigh('bulk-dry', bulk, reason);
  weigh('output-capacitors-dry', cans, reason);
}

/** Circuits whose output is fed by both halves of a period: one rectifier open leaves the half. With one way it leaves nothing. */
const BOTH_WAYS = /forward|bridge|push|llc|line-transformer|linear/u;

function weighRail(rail: string, seen: Seen, complaint: Complaint, circuits: string, weigh: Weigh): void {
  const ratio = railShare(seen)?.share;
  if (ratio === undefined) return;
  const isStandby = isStandbyRail(rail);
  const isRight = ratio > RULE.rail.rightFrom && ratio < RULE.rail.rightTo;
  const shows: Symptom | undefined =
    ratio > RULE.rail.high
      ? isStandby
        ? 'standby-high'
        : 'rail-high'
      : ratio < RULE.rail.gone
        ? isStandby
          ? 'standby-dead'
          : undefined
        : ratio < RULE.rail.low
          ? 'rail-low'
          : undefined;
  if (shows === undefined) {
    // A standby supply that is right has nothing wrong with it.
    if (isStandby && isRight) for (const name of NOT_WITH_STANDBY) weigh(name, RULE.standbyRight, `${rail} is right`);
    const isAlone = complaint.observations.every((other) => (railShare(other)?.share ?? 1) > RULE.rail.rightFrom);
    if (!isStandby && isRight && isAlone && WOULD_FALL.has(complaint.symptom)) {
      weigh('overloaded-outside', RULE.outside, `${rail} is right by itself`);
      weigh('cable-broken', RULE.cable, `${rail} is right by itself`);
    }
    return;
  }
  const reading = `${rail} at ${Math.round(100 * ratio)} % of its volts`;
  if (ratio > RULE.halved.from && ratio < RULE.halved.to && BOTH_WAYS.test(circuits)) {
    weigh('output-rectifier-open', RULE.halved.rectifier, reading);
    weigh('output-capacitors-dry', RULE.halved.cans, reading);
  }
  if (isStandby && shows === 'rail-low') {
    for (const name of CAUSE_NAMES)
      weigh(name, name === 'standby-capacitor-dry' ? RULE.standbyLow.cans : RULE.standbyLow.others, reading);
    return;
  }
  if (shows === complaint.symptom) return;
  // Too high a rail is hardly made by anything but a lost hold of it; too low a one is made by much.
  const { others, makes: weight } = shows.endsWith('high') ? RULE.railHigh : { others: 0.6, makes: 3 };
  for (const name of CAUSE_NAMES) weigh(name, others + weight * (causeOf(name).symptoms[shows] ?? 0), reading);
}
