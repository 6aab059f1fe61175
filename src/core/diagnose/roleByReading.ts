import { practice } from '../evidence';
import { FED_DIRECT, has } from './circuitRoles';
import { faradsIn, isMissing, isNothing, ohmsIn, SHORT_OHMS, type Seen } from './readings';
import type { RoleName } from './words';

/** How sure a reference is to be a role by how it is usually numbered: the first of the list, the second, and so on; and any other. */
export const BY_PLACE = practice([0.6, 0.35, 0.22, 0.15, 0.12] as const);
export const ELSEWHERE = 0.05;
/** As sure as a part on the board makes it. */
export const SURELY = 0.9;
/** As sure as the first of its kind is once it was found there. */
const THERE = 0.85;

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
export const RESERVOIR = /line-transformer|linear/u;

/** Farads for each watt that a can behind the mains has at most; common are 1 to 3 µF. */
const BULK_PER_WATT = practice(8e-6);
/** Whether a can is larger than any behind the mains or at a controller of such a unit. */
const isTooLarge = (farads: number, circuits: string, watts: number | undefined): boolean =>
  watts !== undefined &&
  farads > Math.max(BULK_PER_WATT * watts, CANS.small) &&
  !RESERVOIR.test(circuits) &&
  has('startUp', circuits) &&
  !circuits.includes(FED_DIRECT);

const FILM_ROLES: ReadonlySet<RoleName> = new Set(['xCapacitor', 'clamp', 'resonant', 'dropper', 'timing', 'store']);

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

/** Ohms of ESR that only the large low-voltage cans of an output have, and how sure that makes one. */
const LOW_ESR = practice({ ohms: 0.12, sure: 0.75 });

/** Said of a can: nothing else bulges; and most that do are those of the output. */
const BULGED = /bulg|dome|swollen|vent|leak|crust/u;
const MOSTLY_OUTPUT = practice(0.4);

/** How sure a shorted chip has the switch in it. */
const IN_CHIP = practice(0.5);
const SUPPLY_PINS = /vcc|vdd|supply|gnd|ground|\bout\b/iu;
/** Pins of a switch inside a chip, as people write them. */
const SWITCH_PINS = /\b(?:SW|LX|PH)\b|switch pin|\bdrain\b|\bcollector\b|D(?:-| to )S\b/u;

/** Roles of a part as a reading leaves them; none where it is none of them. */
export function byReading(
  roles: ReadonlyMap<RoleName, number>,
  seen: Seen,
  { circuits, watts }: { readonly circuits: string; readonly watts?: number },
): ReadonlyMap<RoleName, number> {
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
  if (!seen.ref?.startsWith('C')) return isNothing(seen.text) || isMissing(seen.text) ? roles : there(roles, circuits);
  const farads = faradsIn(seen.text);
  if (farads === undefined && seen.test !== 'esr') return roles;
  // So low an ESR is hardly that of a small can, or of one for the mains.
  const isLow = seen.test === 'esr' && (ohmsIn(seen.text) ?? Infinity) <= LOW_ESR.ohms;
  if (farads !== undefined && roles.has('outputCapacitor') && isTooLarge(farads, circuits, watts))
    return new Map([['outputCapacitor', SURELY]]);
  const isCan = farads === undefined || farads >= CANS.from;
  const left = [...roles].filter(([role]) => (isCan ? CAN_ROLES : FILM_ROLES).has(role));
  const sized = left.map(([role, sure]): readonly [RoleName, number] => {
    if (isLow && role === 'outputCapacitor') return [role, Math.max(sure, LOW_ESR.sure)];
    if (isLow && role === 'vccCapacitor') return [role, OFF * sure];
    if (farads === undefined || !isCan) return [role, Math.max(sure, 0.25)];
    if (role === 'vccCapacitor') return [role, farads <= CANS.small ? Math.max(sure, 0.35) : 0.03];
    if (role === 'outputCapacitor')
      return [role, farads >= CANS.output && !RESERVOIR.test(circuits) ? Math.max(sure, 0.5) : sure];
    if (role === 'bulk' && RESERVOIR.test(circuits)) return [role, farads >= CANS.output ? Math.max(sure, 0.6) : sure];
    return [role, role === 'standbyCapacitor' ? Math.max(sure, 0.3) : sure];
  });
  return new Map(sized);
}
