import type { Board } from '../board';
import { practice } from '../evidence';
import { CAUSE_NAMES, CAUSES, type Cause, type CauseCheck, type CauseName } from './causes';
import { isNothing, stateOf, type Seen, type State } from './readings';
import { byReading, has, RoleBook, type Described } from './roles';
import { SIGNS } from './signs';
import { ROLES, type CheckTest, type RoleName, type Symptom } from './words';

/** It stays an answer that the table does not know the cause. */
export const NONE = 'none of these';
/** Causes that are less likely are not listed. */
const LEAST = 0.002;

/** A unit with a complaint. */
export interface Complaint {
  readonly unit?: { readonly kind?: string; readonly power?: number };
  readonly board?: Board;
  /** Circuits it is known to have. */
  readonly topologies?: readonly string[];
  readonly symptom: Symptom;
  readonly observations: readonly Seen[];
  /** What references are, in words, where a person wrote it down. */
  readonly described?: Described;
}

export interface LikelyCause {
  readonly cause: CauseName | typeof NONE;
  readonly parts: readonly string[];
  readonly probability: number;
  readonly why: readonly string[];
}

export interface NextCheck {
  readonly check: string;
  readonly ref: string;
  readonly role: RoleName;
  readonly test: CheckTest;
  readonly pins?: string;
  readonly minutes: number;
  /** What it is expected to tell, bits. */
  readonly gain: number;
  readonly power: 'off' | 'on';
  readonly good: string;
  readonly bad: string;
}

export interface Diagnosis {
  readonly causes: readonly LikelyCause[];
  readonly next: readonly NextCheck[];
}

const RULE = practice({
  /** A complaint that a cause does not make, and a circuit that it is not in. */
  otherSymptom: 0.004,
  otherCircuit: 0.03,
  /** A bad reading at a guilty part, against one elsewhere; and a bad one that another cause must explain. */
  bad: 22,
  unexplained: 0.45,
  /** A good reading leaves so much of a cause whose check it was. */
  leaves: 0.04,
  /** “None of these”, against the commonest cause. */
  none: 0.15,
  /** What a good part shows badly by mistake. */
  mistaken: 0.03,
  /** A reading that was told without its test counts so much. */
  untested: 0.5,
  /** A place where nothing was seen counts so much of a good one; and is so little worth another look. */
  nothing: 0.3,
  absent: 0.12,
  /** The first of its kind is surely there, and only that reading was not told. */
  untold: 0.5,
  /** Further references of a role are worth so much less. */
  further: 0.75,
});

const MINUTES: Readonly<Record<CheckTest, number>> = {
  visual: 1,
  'diode-mode': 2,
  resistance: 2,
  continuity: 2,
  esr: 3,
  capacitance: 4,
  'voltage-dc': 6,
};
/** Minutes that a check costs besides: to find the part, and to see that it is empty. */
const OVERHEAD = 2;

/** Circuits that a unit of a kind usually has, where nobody knows them. */
const USUAL: readonly (readonly [RegExp, string])[] = practice([
  [/dimmer/u, 'phase-control'],
  [/ballast/u, 'resonant-ballast'],
  [/motion|sensor/u, 'capacitive-dropper'],
  [/ignit|fence|flash|strobe/u, 'pulse discharge'],
  [/\bcar\b/u, 'buck'],
  [/\bpc\b|server|tower/u, 'half-bridge forward flyback boost-pfc'],
  [/\btv\b|monitor/u, 'flyback llc boost-pfc'],
  [/led/u, 'flyback led'],
  [/.*/u, 'flyback'],
] as const);

/** Volts of a can that only stands behind the mains. */
const CHARGED = 120;

const BLOCKING: ReadonlySet<RoleName> = new Set([
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

const FIRES: ReadonlySet<RoleName> = new Set(['triac', 'trigger', 'pulseSwitch']);

/** How well a state of a guilty part fits a cause, by the last word of its name. */
function fits(cause: CauseName, state: State): number {
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

const causeOf = (name: CauseName): Cause => CAUSES[name];

/** Circuits of a unit in one line: what is known, or what such a unit usually has. */
function circuitsOf({ unit, topologies, symptom, observations }: Complaint): string {
  const hasStandby =
    symptom.startsWith('standby') ||
    observations.some(({ rail, ref, text }) => /stand.?by/iu.test(`${rail ?? ''} ${ref ?? ''} ${text ?? ''}`));
  const kind = (unit?.kind ?? '').toLowerCase();
  const known =
    topologies && topologies.length > 0
      ? topologies.join(' ')
      : (USUAL.find(([is]) => is.test(kind))?.[1] ?? 'flyback');
  const own = `${known} ${kind}`.trim();
  return hasStandby || /tv|pc-|monitor|recorder|console/u.test(kind) ? `${own} standby` : own;
}

/** References on a board by what they are there for, the surest first; only those that are likely. */
export function partsByRole(
  of: Pick<Complaint, 'unit' | 'board' | 'topologies' | 'described'>,
): (role: RoleName) => readonly string[] {
  const circuits = circuitsOf({ ...of, symptom: 'dead', observations: [] });
  const book = new RoleBook({ board: of.board, described: of.described ?? new Map(), circuits, seen: [] });
  return (role) => likelyRefs(book, role);
}

const LIKELY = practice(0.3);
const likelyRefs = (of: RoleBook, role: RoleName): readonly string[] =>
  of
    .refsOf(role)
    .filter(({ ref, sure }) => of.refs.has(ref) && sure >= LIKELY)
    .map(({ ref }) => ref);

/** Volts a rail should have by its name: “5V standby”, “12 V”. */
const nominalOf = (rail: string): number | undefined => {
  const found = /(?<volts>\d+(?:\.\d+)?)\s*v/iu.exec(rail)?.groups?.['volts'];
  return found === undefined ? undefined : Number(found);
};
const firstVolts = (text: string): number | undefined => {
  const found = /(?<volts>-?\d+(?:\.\d+)?)\s*(?<milli>m?)V\b/u.exec(text)?.groups;
  return found ? Number(found['volts']) * (found['milli'] ? 1e-3 : 1) : undefined;
};

/** Likely causes of a complaint with why, and the checks that would tell most. */
export function diagnose(complaint: Complaint): Diagnosis {
  const circuits = circuitsOf(complaint);
  const described = describedIn(complaint, circuits);
  const seen = complaint.observations.flatMap(({ ref }) => (ref === undefined || ref.startsWith('rail ') ? [] : [ref]));
  const of = new RoleBook({ board: complaint.board, described, circuits, seen });
  const odds = new Map<CauseName, number>();
  const why = new Map<CauseName, string[]>();
  const weigh = (name: CauseName, factor: number, reason: string) => {
    odds.set(name, (odds.get(name) ?? 0) + Math.log(Math.max(factor, 1e-6)));
    if (factor > 1.3 || factor < 0.5)
      why.set(name, [
        ...(why.get(name) ?? []),
        `${reason} (${factor > 1 ? `×${factor.toFixed(1)}` : `÷${(1 / factor).toFixed(1)}`})`,
      ]);
  };
  for (const name of CAUSE_NAMES) {
    const cause = causeOf(name);
    odds.set(name, Math.log(cause.common * symptomOf(cause, complaint.symptom, circuits)));
    const isElsewhere =
      (cause.needs !== undefined && !cause.needs.test(circuits)) || cause.never?.test(circuits) === true;
    if (isElsewhere) weigh(name, RULE.otherCircuit, 'not in a circuit like this');
  }
  const told = complaint.observations.map((seen) => wordsOf(seen, of)).join('\n');
  for (const { says, tells } of SIGNS) {
    const line = told.split('\n').find((one) => says.test(one));
    if (line === undefined) continue;
    for (const [name, factor] of Object.entries(tells)) weigh(name as CauseName, factor, `“${line}”`);
  }
  // Several readings of one part are of one fault: of each sign the strongest counts.
  const strongest = new Map<string, { readonly name: CauseName; readonly factor: number; readonly reason: string }>();
  for (const seen of complaint.observations)
    weighSeen(seen, complaint, of, (name, factor, reason) => {
      const key = `${name} ${seen.ref ?? seen.rail ?? ''} ${factor > 1 ? 'for' : 'against'}`;
      const before = strongest.get(key);
      if (!before || Math.abs(Math.log(factor)) > Math.abs(Math.log(before.factor)))
        strongest.set(key, { name, factor, reason });
    });
  for (const { name, factor, reason } of strongest.values()) weigh(name, factor, reason);
  const highest = Math.max(...odds.values());
  const none = Math.log(RULE.none) + Math.min(highest, 0);
  const sum = [...odds.values(), none].reduce((total, one) => total + Math.exp(one - highest), 0);
  const share = (one: number) => Math.exp(one - highest) / sum;
  const probabilities = new Map(CAUSE_NAMES.map((name) => [name, share(odds.get(name) ?? -Infinity)]));
  const causes: LikelyCause[] = CAUSE_NAMES.map((name) => ({
    cause: name,
    parts: partsOf(name, of),
    probability: probabilities.get(name) ?? 0,
    why: why.get(name) ?? [],
  }));
  causes.push({ cause: NONE, parts: [], probability: share(none), why: [] });
  return {
    causes: causes
      .filter(({ cause, probability }) => probability >= LEAST || cause === NONE)
      .toSorted((a, b) => b.probability - a.probability),
    next: nextChecks(probabilities, complaint, of),
  };
}

/** How often a cause makes a complaint, in the circuits of a unit. */
function symptomOf({ symptoms, alsoIn = [] }: Cause, symptom: Symptom, circuits: string): number {
  const here = alsoIn.find((one) => one.circuits.test(circuits) && one.symptoms[symptom] !== undefined);
  return here?.symptoms[symptom] ?? symptoms[symptom] ?? RULE.otherSymptom;
}

/** What references are, as a person wrote it down or told it among other things, and as what stands on them shows. */
function describedIn({ described, observations }: Complaint, circuits: string): Described {
  const found = new Map<string, string>(described ?? []);
  for (const { ref, test, value, volts, text } of observations) {
    if (ref?.startsWith('C') && test === 'voltage-dc' && (value ?? volts ?? 0) > CHARGED)
      found.set(ref, (has('store', circuits) ? ROLES.store : ROLES.bulk).label);
    for (const told of (ref === undefined ? (text ?? '') : '').matchAll(
      /\b(?<ref>[A-Z]{1,4}\d+) (?:is|was) (?:an? |the )(?<what>[^,;.]+)/gu,
    ))
      if (told.groups && !found.has(told.groups['ref'] ?? ''))
        found.set(told.groups['ref'] ?? '', (told.groups['what'] ?? '').toLowerCase());
  }
  return found;
}

/** An observation as a person would say it, in lower case: readings at a bulk capacitor, a fuse or an inlet are put into words. */
function wordsOf(seen: Seen, of: RoleBook): string {
  const { ref, rail, test, value, volts, text, condition } = seen;
  if (rail !== undefined) return '';
  const parts = [text ?? ''];
  if (ref !== undefined && !ref.startsWith('rail ')) {
    const roles = of.rolesOf(ref);
    const likely = [...roles].toSorted((a, b) => b[1] - a[1])[0]?.[0];
    const reading = value ?? volts ?? (text === undefined ? undefined : firstVolts(text));
    // A main can is told by what stands on it.
    if (test === 'voltage-dc' && reading !== undefined && ref.startsWith('C') && reading > CHARGED)
      parts.push('bulk charged');
    if (
      test === 'voltage-dc' &&
      reading !== undefined &&
      likely === 'bulk' &&
      /pfc/u.test(of.circuits) &&
      reading > 150 &&
      reading < 345
    )
      parts.push('pfc does not boost');
    if (test === 'voltage-dc' && reading !== undefined && likely === 'bulk' && reading < 20) parts.push('bulk 0 v');
    if (
      likely === 'fuse' &&
      (condition === 'good' || ((test === 'continuity' || test === 'resistance') && (value ?? 9) < 5))
    )
      parts.push('fuse good');
    // What is told of one part is no word on the whole unit.
    if (text !== undefined && test !== undefined && likely !== 'fuse' && likely !== 'fan')
      return parts.slice(1).join(' ').toLowerCase();
    if (likely === 'fuse' || likely === 'fan') parts[0] = `${likely} ${parts[0] ?? ''}`;
  }
  return parts.join(' ').toLowerCase().trim();
}

function weighSeen(
  seen: Seen,
  complaint: Complaint,
  of: RoleBook,
  weigh: (name: CauseName, factor: number, reason: string) => void,
): void {
  const rail = seen.rail ?? (seen.ref?.startsWith('rail ') ? seen.ref.slice(5) : undefined);
  if (rail !== undefined) {
    weighRail(rail, seen, complaint, weigh);
    return;
  }
  const { ref } = seen;
  if (ref === undefined) return;
  const roles = byReading(of.rolesOf(ref), seen);
  if (roles.size === 0) return;
  const likely = [...roles].toSorted((a, b) => b[1] - a[1])[0]?.[0];
  const seenState = stateOf(seen, likely !== undefined && BLOCKING.has(likely));
  // What fires blocks both ways until then.
  const state =
    seenState === 'open' && seen.test === 'diode-mode' && likely !== undefined && FIRES.has(likely)
      ? 'good'
      : seenState;
  if (state === 'unknown' || likely === 'fuse') return;
  for (const name of CAUSE_NAMES) {
    const cause = causeOf(name);
    // How sure this part would be the guilty one, and how well what was seen fits.
    const guilty = cause.roles.reduce((most, role) => Math.max(most, roles.get(role) ?? 0), 0);
    const reason = `${ref}: ${seen.text ?? seen.condition ?? state}`;
    if (state === 'good') {
      const asked = cause.checks.filter(({ test }) => seen.test === undefined || test === seen.test);
      const told = asked.reduce((most, { role, tells = 0.95 }) => Math.max(most, (roles.get(role) ?? 0) * tells), 0);
      const weight = isNothing(seen.text) ? RULE.nothing : seen.test === undefined ? RULE.untested : 1;
      if (told > 0) weigh(name, Math.max(RULE.leaves, 1 - weight * Math.min(0.97, 1.25 * told)), reason);
      continue;
    }
    const fit = guilty * fits(name, state);
    weigh(name, fit * RULE.bad + (1 - fit) * RULE.unexplained, reason);
  }
}

function weighRail(
  rail: string,
  seen: Seen,
  complaint: Complaint,
  weigh: (name: CauseName, factor: number, reason: string) => void,
): void {
  const nominal = nominalOf(rail);
  const volts = seen.volts ?? seen.value ?? (seen.text === undefined ? undefined : firstVolts(seen.text));
  if (nominal === undefined || volts === undefined || nominal === 0) return;
  const ratio = Math.abs(volts) / nominal;
  const isStandby = /stand/iu.test(rail);
  const shows: Symptom | undefined =
    ratio > 1.15
      ? isStandby
        ? 'standby-high'
        : 'rail-high'
      : ratio < 0.05
        ? isStandby
          ? 'standby-dead'
          : undefined
        : ratio < 0.93
          ? 'rail-low'
          : undefined;
  if (shows === undefined) {
    // A standby supply that is right has nothing wrong with it.
    if (isStandby && ratio > 0.95 && ratio < 1.06)
      for (const name of NOT_WITH_STANDBY) weigh(name, 0.12, `${rail} is right`);
    if (!isStandby && ratio > 0.95 && ratio < 1.06 && WOULD_FALL.has(complaint.symptom)) {
      weigh('overloaded-outside', 5, `${rail} is right by itself`);
      weigh('cable-broken', 2, `${rail} is right by itself`);
    }
    return;
  }
  if (shows === complaint.symptom) return;
  for (const name of CAUSE_NAMES) {
    const makes = causeOf(name).symptoms[shows] ?? 0;
    weigh(name, 0.6 + 3 * makes, `${rail} at ${volts} V`);
  }
}

/** The parts a cause is about on this unit, where some are known. */
function partsOf(name: CauseName, of: RoleBook): readonly string[] {
  return [...new Set(causeOf(name).roles.flatMap((role) => likelyRefs(of, role)))];
}

const entropy = (p: number) => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/** Checks by what they are expected to tell for each minute of work. */
function nextChecks(
  probabilities: ReadonlyMap<CauseName, number>,
  { observations }: Complaint,
  of: RoleBook,
): readonly NextCheck[] {
  const spoken = (ref: string) => observations.filter((one) => one.ref === ref);
  /** Where nothing at all was seen, nothing may be. */
  const isAbsent = (ref: string) => spoken(ref).length > 0 && spoken(ref).every(({ text }) => isNothing(text));
  const done = new Set(observations.map(({ ref, test }) => `${ref ?? ''} ${test ?? ''}`));
  const found = new Map<string, NextCheck & { readonly score: number }>();
  const asked = new Map<string, CauseCheck>();
  for (const name of CAUSE_NAMES) for (const one of causeOf(name).checks) asked.set(`${one.role} ${one.test}`, one);
  for (const { role, test, pins, good, bad } of asked.values()) {
    if (!has(role, of.circuits)) continue;
    let left = 1;
    for (const [place, { ref, sure: usual }] of of.refsOf(role).entries()) {
      const sure = isAbsent(ref) ? (place === 0 ? RULE.untold : RULE.absent) * usual : usual;
      if (done.has(`${ref} ${test}`)) {
        // Asked already: what is left of the role is elsewhere.
        left *= RULE.further;
        continue;
      }
      let [bads, noise] = [0, 0];
      for (const [name, p] of probabilities) {
        const tells = causeOf(name).checks.reduce(
          (most, one) => (one.role === role && one.test === test ? Math.max(most, one.tells ?? 0.95) : most),
          0,
        );
        const q = Math.max(RULE.mistaken, tells * sure * left);
        bads += p * q;
        noise += p * entropy(q);
      }
      const gain = Math.max(0, entropy(bads) - noise);
      const minutes = MINUTES[test];
      const one = {
        check: `${ROLES[role].label} ${ref}: ${test === 'visual' ? 'look at it' : test}`,
        ref,
        role,
        test,
        ...(pins ? { pins } : {}),
        minutes,
        gain: Number(gain.toFixed(4)),
        power: test === 'voltage-dc' ? ('on' as const) : ('off' as const),
        good,
        bad,
        score: gain / (minutes + OVERHEAD),
      };
      const before = found.get(`${ref} ${test}`);
      if (!before || before.score < one.score) found.set(`${ref} ${test}`, one);
    }
  }
  return [...found.values()]
    .toSorted((a, b) => b.score - a.score)
    .slice(0, 20)
    .map(({ score: _, ...one }) => one);
}
