import { practice } from '../evidence';
import type { Board, BoardPart } from '../board';
import { faradsIn, isNothing, ohmsIn, SHORT_OHMS, type Seen } from './readings';
import { ROLE_NAMES, ROLES, type RoleName } from './words';

/** How sure a reference is to be a role by how it is usually numbered: the first of the list, the second, and so on; and any other. */
const BY_PLACE = practice([0.6, 0.35, 0.22, 0.15, 0.12] as const);
const ELSEWHERE = 0.05;
/** As sure as a description, or a part on the board, makes it. */
const TOLD = 0.95;
const SURELY = 0.9;
/** As sure as the first of its kind is once it was found there. */
const THERE = 0.85;

/** Said of a unit whose nameplate asks for direct voltage, and roles that none such has. */
export const FED_DIRECT = 'fed-direct';
const OF_MAINS: ReadonlySet<RoleName> = new Set([
  'ntc',
  'varistor',
  'xCapacitor',
  'bridge',
  'startUp',
  'fusible',
  'inlet',
  'lineSelector',
]);

/** Roles that only some circuits have. */
const ONLY_IN: Partial<Record<RoleName, RegExp>> = {
  pfcSwitch: /pfc/u,
  pfcDiode: /pfc/u,
  resonant: /llc|resonan|ballast/u,
  triac: /phase|triac|dimmer/u,
  trigger: /phase|ballast|dimmer|rcc|self-osc/u,
  timing: /phase|dimmer|pulse|discharge|ignit|timer|ballast/u,
  timingResistor: /phase|dimmer|pulse|ignit/u,
  dropper: /dropper/u,
  store: /pulse|discharge|ignit|fence|flash|dump/u,
  pulseSwitch: /pulse|discharge|ignit|fence|flash|dump/u,
  charging: /pulse|discharge|ignit|fence|flash|dump/u,
  standbySwitch: /standby|rcc|flyback.+(?:forward|bridge|llc|pfc)|(?:forward|bridge|llc|pfc).+flyback/u,
  standbyCapacitor: /standby|rcc|flyback.+(?:forward|bridge|llc|pfc)|(?:forward|bridge|llc|pfc).+flyback/u,
  regulator: /linear|line-transformer|dropper|buck|regulator/u,
  leds: /led|light|lamp|panel|luminaire|strip/u,
  outputRectifier: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|line-transformer|linear|pfc/u,
  sense: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|pfc/u,
  controller: /flyback|forward|bridge|push|llc|buck|boost|sepic|inverting|cuk|pfc|pulse|discharge|led/u,
  syncFet: /llc|sync|flyback|forward|bridge|buck|boost/u,
  startUp: /offline|flyback|forward|bridge|push|llc|pfc/u,
  vccCapacitor: /offline|flyback|forward|bridge|push|llc|pfc/u,
  auxiliary: /offline|flyback|forward|bridge|push|llc|pfc/u,
  auxiliaryResistor: /offline|flyback|forward|bridge|push|llc|pfc/u,
  optocoupler: /flyback|forward|bridge|push|llc|pfc/u,
  ntc: /offline|flyback|forward|bridge|push|llc|pfc|dropper/u,
  varistor: /offline|flyback|forward|bridge|push|llc|pfc|dropper|phase|ballast|line-transformer|linear/u,
  bridge: /offline|flyback|forward|bridge|push|llc|pfc|dropper|linear|line-|ballast/u,
  inputCapacitor: /^(?:buck|boost|sepic|inverting|cuk)/u,
};

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

/** Farads from which a capacitor is a can, and up to which one feeds a controller. */
const CANS = practice({ from: 0.8e-6, small: 120e-6, output: 100e-6 } as const);
const CAN_ROLES: ReadonlySet<RoleName> = new Set([
  'bulk',
  'inputCapacitor',
  'vccCapacitor',
  'outputCapacitor',
  'standbyCapacitor',
  'store',
]);
/** Circuits whose large can is the reservoir behind the rectifier. */
const RESERVOIR = /line-transformer|linear/u;
const FILM_ROLES: ReadonlySet<RoleName> = new Set(['xCapacitor', 'clamp', 'resonant', 'dropper', 'timing', 'store']);

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

/** Amperes that one phase of a step-down converter carries: what gives more has several. */
const PHASE = practice(30);

/** Roles that one part of a unit has, not several in a row or side by side. */
const SINGLE: ReadonlySet<RoleName> = new Set([
  'mainSwitch',
  'pfcSwitch',
  'pfcDiode',
  'controller',
  'optocoupler',
  'reference',
  'ntc',
  'sense',
  'triac',
  'trigger',
  'pulseSwitch',
]);
const SEVERAL_SWITCHES = /bridge|push|two-switch/u;

/** A part that was measured is there: the first of its kind is what it usually is, unless it may be as much another. */
function there(roles: ReadonlyMap<RoleName, number>, circuits: string): ReadonlyMap<RoleName, number> {
  const [first, second] = [...roles].toSorted((a, b) => b[1] - a[1]);
  if (!first || !SINGLE.has(first[0])) return roles;
  // One of several may have any number of the row.
  const least = first[0] === 'mainSwitch' && SEVERAL_SWITCHES.test(circuits) ? BY_PLACE[2] : BY_PLACE[0];
  return first[1] >= least && first[1] < THERE && first[1] > 1.4 * (second?.[1] ?? 0)
    ? new Map([...roles, [first[0], THERE]])
    : roles;
}

/** Ohms that resistors of a role usually have: what reads or is marked far off is none of it. */
const OHMS: Partial<Record<RoleName, readonly [least: number, most: number]>> = practice({
  sense: [0, 5],
  gate: [0.5, 2e3],
  auxiliaryResistor: [0.5, 220],
  fusible: [0.1, 150],
  clampResistor: [2e3, 3e6],
  startUp: [20e3, 20e6],
  timingResistor: [300, 5e6],
});
/** How sure what has other ohms is left to be that role, as a share. */
const OFF = 0.1;
/** Ohms under which a resistor is hardly anything but the one that senses the current, and how sure that makes it. */
const SENSED = practice({ under: 1, sure: 0.6 });

/** Said of a can: nothing else bulges; and most that do are those of the output. */
const BULGED = /bulg|dome|swollen|vent|leak|crust/u;
const MOSTLY_OUTPUT = practice(0.4);

/** How sure a shorted chip has the switch in it. */
const IN_CHIP = practice(0.5);
const SUPPLY_PINS = /vcc|vdd|supply|gnd|ground|\bout\b/iu;
/** Pins of a switch inside a chip, as people write them. */
const SWITCH_PINS = /\b(?:SW|LX|PH)\b|switch pin|\bdrain\b|\bcollector\b|D(?:-| to )S\b/u;

/** Roles of a part as a reading leaves them; none where it is none of them. */
function byReading(roles: ReadonlyMap<RoleName, number>, seen: Seen, circuits: string): ReadonlyMap<RoleName, number> {
  const isChip = /^(?:U|IC)\d/u.test(seen.ref ?? '') && has('mainSwitch', circuits);
  // A chip is named by the pins at which it was read: those of a switch inside it; what volts stand there is its drive's doing.
  if (isChip && seen.test !== 'voltage-dc' && SWITCH_PINS.test(seen.text ?? ''))
    return new Map([[(roles.get('standbySwitch') ?? 0) > ELSEWHERE ? 'standbySwitch' : 'mainSwitch', SURELY]]);
  // So few ohms, not at its supply, are hardly those of a controller alone: the switch is in the chip.
  if (isChip && (ohmsIn(seen.text) ?? Infinity) < SHORT_OHMS && !SUPPLY_PINS.test(seen.text ?? ''))
    return new Map([...roles, ['mainSwitch', Math.max(IN_CHIP, roles.get('mainSwitch') ?? 0)]]);
  const ohms = seen.ref?.startsWith('R') ? ohmsIn(seen.text) : undefined;
  if (ohms !== undefined)
    return new Map(
      [...roles].map(([role, sure]) => {
        const [least, most] = OHMS[role] ?? [0, Infinity];
        if (role === 'sense' && ohms > 0 && ohms < SENSED.under && /\bof\b|marked/u.test(seen.text ?? ''))
          return [role, Math.max(sure, SENSED.sure)];
        return [role, ohms < least || ohms > most ? OFF * sure : sure];
      }),
    );
  if (seen.ref?.startsWith('C') && BULGED.test(seen.condition ?? '') && Math.max(0, ...roles.values()) < SURELY)
    return new Map(
      [...roles]
        .filter(([role]) => CAN_ROLES.has(role))
        .map(([role, sure]) => [role, role === 'outputCapacitor' ? Math.max(sure, MOSTLY_OUTPUT) : sure]),
    );
  if (!seen.ref?.startsWith('C')) return isNothing(seen.text) ? roles : there(roles, circuits);
  const farads = faradsIn(seen.text);
  if (farads === undefined && seen.test !== 'esr') return roles;
  const isCan = farads === undefined || farads >= CANS.from;
  const left = [...roles].filter(([role]) => (isCan ? CAN_ROLES : FILM_ROLES).has(role));
  const sized = left.map(([role, sure]): readonly [RoleName, number] => {
    if (farads === undefined || !isCan) return [role, Math.max(sure, 0.25)];
    if (role === 'vccCapacitor') return [role, farads <= CANS.small ? Math.max(sure, 0.35) : 0.03];
    if (role === 'outputCapacitor')
      return [role, farads >= CANS.output && !RESERVOIR.test(circuits) ? Math.max(sure, 0.5) : sure];
    if (role === 'bulk' && RESERVOIR.test(circuits)) return [role, farads >= CANS.output ? Math.max(sure, 0.6) : sure];
    return [role, role === 'standbyCapacitor' ? Math.max(sure, 0.3) : sure];
  });
  return new Map(sized);
}

const LETTERS = new Map(ROLE_NAMES.map((role) => [role, new Set(ROLES[role].letters.split('|'))]));
const lettersOf = (ref: string) => /^[A-Za-z]+/u.exec(ref)?.[0]?.toUpperCase() ?? '';

/** Whether the circuits a unit has can have a part of a role. */
export const has = (role: RoleName, circuits: string): boolean =>
  !(circuits.includes(FED_DIRECT) && OF_MAINS.has(role)) && (ONLY_IN[role]?.test(circuits) ?? true);

/** What a part on the board says of its own role: how sure it is, by role; nothing where it says nothing. */
function byPart(part: BoardPart): readonly RoleName[] {
  const volts = part.value?.voltage ?? 0;
  const farads = part.value?.capacitance ?? 0;
  switch (part.kind) {
    case 'fuse':
      return ['fuse'];
    case 'bridge':
      return ['bridge'];
    case 'varistor':
      return ['varistor'];
    case 'thermistor':
      return ['ntc'];
    case 'optocoupler':
      return ['optocoupler'];
    case 'shunt-reference':
      return ['reference'];
    case 'triac':
      return ['triac'];
    case 'transformer':
      return ['transformer'];
    case 'capacitor':
      if (/^x/u.test(part.subtype ?? '')) return ['xCapacitor', 'dropper'];
      if (part.subtype === 'electrolytic' && volts >= 160) return ['bulk', 'store'];
      if (part.subtype === 'electrolytic' && farads > 0 && farads <= 100e-6)
        return ['vccCapacitor', 'standbyCapacitor'];
      if (part.subtype === 'electrolytic' && farads > 100e-6) return ['outputCapacitor'];
      if (part.subtype === 'ceramic' && volts >= 500) return ['clamp'];
      if (part.subtype === 'film' && volts >= 400) return ['resonant', 'clamp'];
      return [];
    default:
      return [];
  }
}

/** Said of a part that is none of the supply's own. */
const OF_ANOTHER_BOARD =
  /\b(?:audio|display|logic|video|tuner|main|mother|control|other|driver)\s?board\b|\bin the (?:device|load|set)\b/u;

/** Words by which a person described a reference. */
export type Described = ReadonlyMap<string, string>;

/** Which part is what in a unit; each answer is worked out once. */
export class RoleBook {
  private readonly known = new Map<string, ReadonlyMap<RoleName, number>>();
  private readonly found = new Map<RoleName, readonly { readonly ref: string; readonly sure: number }[]>();
  /** Roles that the circuits of the unit have, with how their parts are usually numbered: worked out once, asked of every part. */
  private readonly usual: ReadonlyMap<RoleName, readonly string[]>;
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
    },
  ) {
    const { circuits } = of;
    this.usual = new Map(
      ROLE_NAMES.filter((role) => has(role, circuits)).map((role) => [role, usualOf(role, circuits)]),
    );
    this.refs = new Set([...(of.board?.parts.map(({ ref }) => ref) ?? []), ...of.seen]);
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

  /** Roles of a part as all that was measured on it leaves them. */
  private asRead(ref: string, roles: ReadonlyMap<RoleName, number>): ReadonlyMap<RoleName, number> {
    const readings = (this.of.observations ?? []).filter((seen) => seen.ref === ref);
    // An ESR alone says that it is a can; its size, where that was told, says which.
    const isSized = readings.some(({ text }) => faradsIn(text) !== undefined);
    return readings
      .filter(({ test, text }) => test !== 'esr' || !isSized || faradsIn(text) !== undefined)
      .reduce((left, seen) => byReading(left, seen, this.of.circuits), roles);
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
    const own = part ? byPart(part).filter((role) => has(role, circuits)) : [];
    if (own.length > 0) return new Map(own.map((role) => [role, TOLD / Math.sqrt(own.length)]));
    const letters = lettersOf(ref);
    for (const [role, usual] of this.usual) {
      if (!LETTERS.get(role)?.has(letters)) continue;
      // Behind a mains transformer the bridge is what rectifies the output.
      if (role === 'outputRectifier' && letters !== 'D' && !RESERVOIR.test(circuits)) continue;
      const at = usual.indexOf(ref);
      const before = beforeOf(ref) ?? '';
      const follows = this.refs.has(before) && usual.slice(0, 3).includes(before) && this.usualCount(role) > 1;
      found.set(role, Math.max(at < 0 ? ELSEWHERE : (BY_PLACE[at] ?? 0.1), follows ? IN_A_ROW : 0));
    }
    return found;
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
    // Where the board has a part that surely is it, how such parts are usually numbered names none that is not there.
    const onBoard = this.of.board?.parts ?? [];
    const isThere = onBoard.some(({ ref }) => (this.rolesOf(ref).get(role) ?? 0) >= SURELY);
    const usual = isThere ? [] : (this.usual.get(role) ?? []);
    const next = usual.slice(0, 3).flatMap((ref) => (this.refs.has(ref) ? [afterOf(ref)] : []));
    const refs = [...new Set([...this.refs, ...usual, ...next])]
      .map((ref) => ({ ref, sure: this.rolesOf(ref).get(role) ?? 0 }))
      .filter(({ sure }) => sure > ELSEWHERE)
      .toSorted((a, b) => b.sure - a.sure);
    this.found.set(role, refs);
    return refs;
  }
}
