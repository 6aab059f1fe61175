import { practice } from '../evidence';
import { CAUSE_NAMES, type Cause, type CauseName } from './causes';
import { circuitsOf, describedIn, symptomOf, wordsOf, type Complaint } from './complaint';
import { weighWords } from './lexicon';
import { nextChecks, type NextCheck } from './nextChecks';
import { isMissing, isNothing, type Seen } from './readings';
import { RoleBook } from './roles';
import { causeOf, RULE } from './rule';
import { withTold } from './sentences';
import { SIGNS } from './signs';
import { weighSpoken } from './spoken';
import { faultsBeside, lastState, weighSeen, type Beside } from './weigh';
import { weighTogether } from './weighRails';
import type { RoleName, Symptom } from './words';

/** It stays an answer that the table does not know the cause. */
export const NONE = 'none of these';
/** Causes that are less likely are not listed. */
const LEAST = 0.002;

export interface LikelyCause {
  readonly cause: CauseName | typeof NONE;
  readonly parts: readonly string[];
  readonly probability: number;
  readonly why: readonly string[];
}

export interface Diagnosis {
  readonly causes: readonly LikelyCause[];
  /** Parts that were found bad beside those of the first cause: two faults at once are common. */
  readonly beside: readonly Beside[];
  readonly next: readonly NextCheck[];
}

/** References on a board by what they are there for, the surest first; only those that are likely. */
export function partsByRole(
  of: Pick<Complaint, 'unit' | 'board' | 'topologies' | 'described'> & Partial<Pick<Complaint, 'observations'>>,
): (role: RoleName) => readonly string[] {
  const complaint = { ...of, symptom: 'dead', observations: of.observations ?? [] } as const;
  const circuits = circuitsOf(complaint);
  const described = describedIn(complaint, circuits);
  const book = new RoleBook({ board: of.board, described, circuits, seen: [] });
  return (role) => likelyRefs(book, role);
}

const outputsOf = ({ board }: Complaint): readonly number[] =>
  (board?.nameplate?.outputs ?? []).map(({ v }) => Math.abs(v));

/** Watts up to which a unit has one converter, where nobody knows its circuits. */
const SMALL = practice(40);

const LIKELY = practice(0.3);
const likelyRefs = (of: RoleBook, role: RoleName): readonly string[] =>
  of
    .refsOf(role)
    .filter(({ ref, sure }) => of.refs.has(ref) && sure >= LIKELY)
    .map(({ ref }) => ref);

/** Likely causes of a complaint with why, and the checks that would tell most. */
export function diagnose(given: Complaint): Diagnosis {
  const complaint = { ...given, observations: withTold(given.observations, outputsOf(given)) };
  const circuits = circuitsOf(complaint);
  const described = describedIn(complaint, circuits);
  const seen = complaint.observations.flatMap(({ ref, text }) =>
    ref === undefined || ref.startsWith('rail ') || isNothing(text) || isMissing(text) ? [] : [ref],
  );
  const of = new RoleBook({
    board: complaint.board,
    described,
    circuits,
    seen,
    observations: complaint.observations,
    ...(complaint.unit?.power === undefined ? {} : { watts: complaint.unit.power }),
  });
  const symptom = symptomOf(complaint, of);
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
  const { topologies = [], unit } = complaint;
  const isSingle = topologies.length === 1 || (topologies.length === 0 && (unit?.power ?? Infinity) <= SMALL);
  for (const name of CAUSE_NAMES) {
    const cause = causeOf(name);
    odds.set(name, Math.log(cause.common * makes(cause, symptom, circuits, isSingle)));
    const isElsewhere =
      (cause.needs !== undefined && !cause.needs.test(circuits)) ||
      cause.never?.test(circuits) === true ||
      (cause.roles.length > 0 && !cause.roles.some((role) => of.canHave(role)));
    if (isElsewhere) weigh(name, RULE.otherCircuit, 'not in a circuit like this');
  }
  const told = complaint.observations.map((seen) => wordsOf(seen, of));
  const lines = told.flatMap((one) => one.split('\n'));
  const heard = new Set<string>();
  for (const { says, tells } of SIGNS) {
    const line = lines.find((one) => says.test(one));
    if (line === undefined) continue;
    for (const [name, factor] of Object.entries(tells)) {
      // One line says one thing, in however many words.
      const key = `${name} ${factor > 1 ? 'for' : 'against'} ${line}`;
      weigh(name as CauseName, heard.has(key) ? factor ** RULE.saidAgain : factor, `“${line}”`);
      heard.add(key);
    }
  }
  const isRead = weighSpoken(told, circuits, weigh);
  // Where a part was read, single words say no more.
  for (const [index, { ref, rail, text }] of complaint.observations.entries())
    if (ref === undefined && rail === undefined && text !== undefined && !isRead[index]) weighWords(text, weigh);
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
  weighTogether(complaint.observations, circuits, weigh);
  const { amps, volts, watts, anyAmps, sync, diode } = RULE.syncFrom;
  const outputs = complaint.board?.nameplate?.outputs ?? [];
  const isStrong = outputs.some(({ v, i }) => Math.abs(v) <= volts && (i ?? 0) >= amps);
  const isStrongUnread = outputs.length === 0 && (complaint.unit?.power ?? 0) >= watts;
  const isVeryStrong = outputs.some(({ v, i }) => Math.abs(v) <= volts && (i ?? 0) >= anyAmps);
  if (isVeryStrong || (/llc|active-clamp|sync/u.test(circuits) && (isStrong || isStrongUnread))) {
    weigh('sync-fet-shorted', sync, 'so strong an output is usually rectified by FETs');
    weigh('output-rectifier-shorted', diode, 'so strong an output is usually rectified by FETs');
  }
  const highest = Math.max(...odds.values());
  const none = Math.log(RULE.none) + Math.min(highest, 0);
  const weightOf = (one: number) => Math.exp(RULE.tempered * (one - highest));
  const sum = [...odds.values(), none].reduce((total, one) => total + weightOf(one), 0);
  const share = (one: number) => weightOf(one) / sum;
  const probabilities = new Map(CAUSE_NAMES.map((name) => [name, share(odds.get(name) ?? -Infinity)]));
  const causes: LikelyCause[] = CAUSE_NAMES.filter((name) => (probabilities.get(name) ?? 0) >= LEAST).map((name) => ({
    cause: name,
    parts: partsOf(name, of, complaint.observations),
    probability: probabilities.get(name) ?? 0,
    why: why.get(name) ?? [],
  }));
  causes.push({ cause: NONE, parts: [], probability: share(none), why: [] });
  const sorted = causes.toSorted((a, b) => b.probability - a.probability);
  const first = sorted[0]?.cause;
  return {
    causes: sorted,
    beside: faultsBeside(complaint.observations, of, first === NONE ? undefined : first),
    next: nextChecks(probabilities, complaint, of),
  };
}

/** The only converter of a unit is its standby supply too: what does the one to it does the other. */
const AS_ONLY_CONVERTER: Partial<Record<Symptom, Symptom>> = { 'standby-dead': 'dead', 'standby-high': 'rail-high' };

/** How often a cause makes a complaint, in the circuits of a unit. */
function makes({ symptoms, alsoIn = [] }: Cause, symptom: Symptom, circuits: string, isSingle: boolean): number {
  const here = alsoIn.find((one) => one.circuits.test(circuits) && one.symptoms[symptom] !== undefined);
  const share = here?.symptoms[symptom] ?? symptoms[symptom] ?? RULE.otherSymptom;
  const alone = isSingle ? AS_ONLY_CONVERTER[symptom] : undefined;
  return alone ? Math.max(share, RULE.onlyConverter * (symptoms[alone] ?? 0)) : share;
}

/** The parts a cause is about on this unit, where some are known: those that were found bad, else those that were not found good. */
function partsOf(name: CauseName, of: RoleBook, observations: readonly Seen[]): readonly string[] {
  const states = new Map(
    causeOf(name).roles.flatMap((role) =>
      likelyRefs(of, role).map((ref) => [ref, lastState(observations, ref, role)] as const),
    ),
  );
  const all = [...states.keys()];
  const bad = all.filter((ref) => !['good', 'unknown'].includes(states.get(ref) ?? 'unknown'));
  const open = all.filter((ref) => states.get(ref) !== 'good');
  return bad.length > 0 ? bad : open.length > 0 ? open : all;
}
