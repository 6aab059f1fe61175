import type { Board } from '../board';
import { practice } from '../evidence';
import { has } from './circuitRoles';
import { faradsIn, isMissing, isNothing, type Seen } from './readings';
import { byPart } from './roleByPart';
import { BY_PLACE, byReading, ELSEWHERE, RESERVOIR, SURELY } from './roleByReading';
import { RULE } from './rule';
import { ROLE_NAMES, ROLES, type CheckTest, type RoleName } from './words';

/** As sure as a description, or a part on the board, makes it. */
const TOLD = 0.95;
/** How parts are numbered where something stands ahead of them: a PFC stage has the first numbers, a low-side switch the second. */
const NUMBERED: readonly { readonly in: RegExp; readonly role: RoleName; readonly usual: readonly string[] }[] =
  practice([
    { in: /rcc|wall|ballast|dropper/u, role: 'bridge', usual: ['D1', 'D2', 'D3', 'D4', 'BR1'] },
    { in: /rcc|wall|ballast/u, role: 'bulk', usual: ['C1', 'C3', 'C2'] },
    // No controller has the first number where two transistors do its work.
    { in: /rcc/u, role: 'optocoupler', usual: ['U1', 'PC1', 'IC1', 'U2'] },
    { in: /ballast/u, role: 'resonant', usual: ['C6', 'C5', 'C12'] },
    { in: /pfc/u, role: 'bridge', usual: ['BR1', 'DB1'] },
    { in: /^(?:offline )?(?:(?:buck|boost|sepic|cuk)(?!-)|inverting)/u, role: 'mainSwitch', usual: ['Q1', 'Q6', 'Q3'] },
    { in: /pfc/u, role: 'mainSwitch', usual: ['Q2', 'Q3', 'Q4', 'Q1'] },
    { in: /pfc/u, role: 'feedback', usual: ['R5', 'R2', 'R6', 'R7'] },
    { in: /pfc/u, role: 'controller', usual: ['U1', 'U5', 'U2', 'IC1'] },
    { in: /half-bridge(?!.*pfc)/u, role: 'bulk', usual: ['C1', 'C2', 'C5', 'C6', 'C3'] },
    { in: /pfc/u, role: 'bulk', usual: ['C9', 'C5', 'C3', 'C1'] },
    { in: /^(?:offline )?(?:(?:buck|boost|sepic|cuk)(?!-)|inverting)/u, role: 'syncFet', usual: ['Q2', 'Q3'] },
    {
      in: /dropper|pulse|ignit|^(?:offline )?(?:(?:buck|boost|sepic|cuk)(?!-)|inverting)/u,
      role: 'outputCapacitor',
      usual: ['C2', 'C4', 'C3', 'C5', 'C10'],
    },
    { in: /dropper|line-transformer|linear/u, role: 'bulk', usual: ['C2', 'C1', 'C3', 'C5'] },
    { in: /line-transformer/u, role: 'outputRectifier', usual: ['BR1', 'D1', 'D2'] },
    {
      in: /^(?:offline )?(?:(?:buck|boost|sepic|cuk)(?!-)|inverting)/u,
      role: 'outputRectifier',
      usual: ['D1', 'D2', 'D6'],
    },
  ] as const);
const usualOf = (role: RoleName, circuits: string): readonly string[] =>
  NUMBERED.find((one) => one.role === role && one.in.test(circuits))?.usual ?? ROLES[role].usual;

/** Switches that a circuit has. */
const SWITCHES: readonly { readonly in: RegExp; readonly count: number }[] = [
  { in: /full-bridge/u, count: 4 },
  { in: /half-bridge|push|two-switch/u, count: 2 },
];
/** Roles that several parts share: cans of a doubler, a rectifier with its freewheel diode, resistors in a row for their volts. */
const IN_SERIES: readonly { readonly role: RoleName; readonly in: RegExp; readonly count: number }[] = [
  { role: 'bulk', in: /half-bridge(?!.*pfc)/u, count: 2 },
  { role: 'outputRectifier', in: /forward/u, count: 2 },
  { role: 'startUp', in: /./u, count: 2 },
];
/** Roles of which each output has one. */
const PER_OUTPUT: ReadonlySet<RoleName> = new Set(['outputRectifier', 'outputCapacitor']);

/** Parts that do one work are numbered in a row: how sure the next is to be what the one before it is. */
const IN_A_ROW = practice(0.35);
const beforeOf = (ref: string): string | undefined => {
  const { letters, number } = /^(?<letters>[A-Za-z]+)(?<number>\d+)$/u.exec(ref)?.groups ?? {};
  return letters === undefined ? undefined : `${letters}${Number(number) - 1}`;
};
const afterOf = (ref: string): string => ref.replace(/\d+$/u, (number) => String(Number(number) + 1));

/** Tests at which a part that is there often shows nothing. */
const LOOKED: ReadonlySet<CheckTest> = new Set(['visual', 'continuity', 'voltage-dc', 'capacitance']);
/** What is at none of the usual references, in the measure of how sure they are. */
const AT_NONE = practice(0.6);
/** As sure as a reference is at most by what others of its kind are not. */
const SUREST = 0.9;

/** Amperes that one phase of a step-down converter carries: what gives more has several. */
const PHASE = practice(30);

/** How sure a part is one of several for its neighbour to be asked about. */
const FOUND = practice(0.5);
/** As sure as what stands last in a row of usual references. */
const LAST = 0.1;

const LETTERS = new Map(ROLE_NAMES.map((role) => [role, new Set(ROLES[role].letters.split('|'))]));
const lettersOf = (ref: string) => /^[A-Za-z]+/u.exec(ref)?.[0]?.toUpperCase() ?? '';

/** Said of a part that is none of the supply's own. */
const OF_ANOTHER_BOARD = /\b(?:audio|display|logic|video|tuner|mother|other)\s?board\b|\bin the (?:device|load|set)\b/u;

/** Words by which a person described a reference. */
export type Described = ReadonlyMap<string, string>;

/** Which part is what in a unit; each answer is worked out once. */
export class RoleBook {
  private readonly known = new Map<string, ReadonlyMap<RoleName, number>>();
  private readonly found = new Map<RoleName, readonly { readonly ref: string; readonly sure: number }[]>();
  /** Roles that the circuits of the unit have, with how their parts are usually numbered: worked out once, asked of every part. */
  private readonly usual: ReadonlyMap<RoleName, readonly string[]>;
  private readonly heard: ReadonlyMap<string, readonly Seen[]>;
  /** References of the board, and those that were spoken of. */
  readonly refs: ReadonlySet<string>;

  /** @param of.circuits topologies of the unit and its kind, in one line; `of.seen` references that were spoken of;
   * `of.observations` what was measured, by which a part may be none of what its number says */
  constructor(
    private readonly of: {
      readonly board: Board | undefined;
      readonly described: Described;
      readonly circuits: string;
      readonly seen: readonly string[];
      readonly observations?: readonly Seen[];
      /** Rated power, W. */
      readonly watts?: number;
    },
  ) {
    const { circuits } = of;
    const heard = new Map<string, Seen[]>();
    for (const seen of of.observations ?? [])
      if (seen.ref !== undefined) heard.set(seen.ref, [...(heard.get(seen.ref) ?? []), seen]);
    this.heard = heard;
    this.usual = new Map(
      ROLE_NAMES.filter((role) => has(role, circuits)).map((role) => [role, usualOf(role, circuits)]),
    );
    this.refs = new Set([...(of.board?.parts.map(({ ref }) => ref) ?? []), ...of.described.keys(), ...of.seen]);
  }

  /** What the outputs should give by the nameplate, without a sign. */
  get outputVolts(): readonly number[] {
    return (this.of.board?.nameplate?.outputs ?? []).map(({ v }) => Math.abs(v));
  }

  /** The most amperes that an output gives by the nameplate; none where it says nothing. */
  get mostAmps(): number | undefined {
    const amps = (this.of.board?.nameplate?.outputs ?? []).flatMap(({ i }) => i ?? []);
    return amps.length > 0 ? Math.max(...amps) : undefined;
  }

  get circuits(): string {
    return this.of.circuits;
  }

  /** Whether the circuits of the unit can have a part of a role. */
  canHave(role: RoleName): boolean {
    return this.usual.has(role);
  }

  /**
   * How sure a reference is to be each role: by what was written of it, by the part on the board, else by how such parts are usually
   * numbered.
   */
  rolesOf(ref: string): ReadonlyMap<RoleName, number> {
    const known = this.known.get(ref) ?? this.asRead(ref, this.workOut(ref));
    this.known.set(ref, known);
    return known;
  }

  /** How sure it is that no part has a reference: nothing was measured there, or nothing seen. */
  absence(ref: string): number {
    const said = this.heard.get(ref) ?? [];
    if (said.some(({ text }) => isMissing(text))) return RULE.missing;
    if (said.length === 0 || !said.every(({ text }) => isNothing(text))) return 0;
    return Math.max(...said.map(({ test }) => (test !== undefined && LOOKED.has(test) ? RULE.unlooked : RULE.absent)));
  }

  /** How much surer, or less sure, than usual a reference is to be one role: what is not at one is at another. */
  private lift(ref: string, usual: readonly string[]): number {
    const sum = (of: (one: string) => number) =>
      usual.reduce<number>((total, one, at) => total + (BY_PLACE[at] ?? LAST) * of(one), AT_NONE);
    return ((1 - this.absence(ref)) * sum(() => 1)) / sum((one) => 1 - this.absence(one));
  }

  /** Roles of a part as all that was measured on it leaves them. */
  private asRead(ref: string, roles: ReadonlyMap<RoleName, number>): ReadonlyMap<RoleName, number> {
    const readings = (this.of.observations ?? []).filter((seen) => seen.ref === ref);
    // An ESR alone says that it is a can; its size, where that was told, says which.
    const isSized = readings.some(({ text }) => faradsIn(text) !== undefined);
    return readings
      .filter(({ test, text }) => test !== 'esr' || !isSized || faradsIn(text) !== undefined)
      .reduce((left, seen) => byReading(left, seen, this.of), roles);
  }

  private workOut(ref: string): ReadonlyMap<RoleName, number> {
    const { board, described, circuits } = this.of;
    const found = new Map<RoleName, number>();
    const words = described.get(ref);
    if (words !== undefined) {
      const named = ROLE_NAMES.filter((role) => ROLES[role].words.test(words) && has(role, circuits));
      if (named.length > 0) return new Map(named.map((role) => [role, TOLD / Math.sqrt(named.length)]));
      if (OF_ANOTHER_BOARD.test(words)) return found;
    }
    const part = board?.parts.find((one) => one.ref === ref);
    const own = part ? byPart(part, circuits).filter((role) => has(role, circuits)) : [];
    if (own.length > 0) {
      // Of what it may be, its number tells more or less.
      const places = own.map((role) => this.byNumber(role, ref));
      const all = places.reduce((sum, place) => sum + place, 0);
      return new Map(own.map((role, at) => [role, TOLD * Math.sqrt((places[at] ?? 0) / all)]));
    }
    const letters = lettersOf(ref);
    for (const [role, usual] of this.usual) {
      if (!LETTERS.get(role)?.has(letters)) continue;
      // Behind a mains transformer the bridge is what rectifies the output.
      if (role === 'outputRectifier' && letters !== 'D' && !RESERVOIR.test(circuits)) continue;
      found.set(role, this.byNumber(role, ref, usual));
    }
    return found;
  }

  /** How sure a reference is to be a role by its number alone. */
  private byNumber(role: RoleName, ref: string, usual: readonly string[] = this.usual.get(role) ?? []): number {
    const at = usual.indexOf(ref);
    const before = beforeOf(ref) ?? '';
    const follows = this.refs.has(before) && usual.slice(0, 3).includes(before) && this.usualCount(role) > 1;
    const place = at < 0 ? ELSEWHERE : Math.min(SUREST, (BY_PLACE[at] ?? LAST) * this.lift(ref, usual));
    return Math.max(place, follows ? IN_A_ROW * (1 - this.absence(ref)) : 0);
  }

  /** How many parts of a role do one work together: those of the board that surely are it, else as many as such circuits have. */
  countOf(role: RoleName): number {
    const there = (this.of.board?.parts ?? []).filter(({ ref }) => (this.rolesOf(ref).get(role) ?? 0) >= SURELY).length;
    return there > 0 ? there : this.usualCount(role);
  }

  /** How many parts of a role such circuits have. */
  private usualCount(role: RoleName): number {
    const { circuits } = this.of;
    const outputs = this.of.board?.nameplate?.outputs ?? [];
    const amperes = Math.max(0, ...outputs.map(({ i }) => i ?? 0));
    if (/^(?:buck)(?!-)/u.test(circuits) && (role === 'syncFet' || role === 'mainSwitch'))
      return Math.max(1, Math.round(amperes / PHASE));
    if (role === 'mainSwitch') return SWITCHES.find((one) => one.in.test(circuits))?.count ?? 1;
    const several = IN_SERIES.find((one) => one.role === role && one.in.test(circuits))?.count ?? 1;
    return several * (PER_OUTPUT.has(role) ? Math.max(1, outputs.length) : 1);
  }

  /** References that may be a role, the surest first: those that are known, and then how it is usually numbered. */
  refsOf(role: RoleName): readonly { readonly ref: string; readonly sure: number }[] {
    const before = this.found.get(role);
    if (before) return before;
    // Where a part of the board, or one that was named, surely is it, how such parts are usually numbered names none that is not there.
    const named = [...(this.of.board?.parts ?? []).map(({ ref }) => ref), ...this.of.described.keys()];
    const isThere = named.some((ref) => (this.rolesOf(ref).get(role) ?? 0) >= SURELY);
    const usual = isThere ? [] : (this.usual.get(role) ?? []);
    const next = usual.slice(0, 3).flatMap((ref) => (this.refs.has(ref) ? [afterOf(ref)] : []));
    // Beside a part that was found to be one of several are the others.
    const isOne = (ref: string) => this.heard.has(ref) && (this.rolesOf(ref).get(role) ?? 0) >= FOUND;
    const beside = this.usualCount(role) > 1 ? [...this.refs].filter(isOne).flatMap((ref) => [afterOf(ref)]) : [];
    const refs = [...new Set([...this.refs, ...usual, ...next, ...beside])]
      .map((ref) => {
        const sure = this.rolesOf(ref).get(role) ?? 0;
        return { ref, sure: beside.includes(ref) ? Math.max(sure, IN_A_ROW * (1 - this.absence(ref))) : sure };
      })
      .filter(({ sure }) => sure > ELSEWHERE)
      .toSorted((a, b) => b.sure - a.sure);
    this.found.set(role, refs);
    return refs;
  }
}
