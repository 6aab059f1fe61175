import type { KindName } from '../../part';
import type { MarkingRule } from '../decoding';
import { BRIDGE_RULES } from './bridges';
import { CHIP_PREFIX_RULES } from './chipPrefixes';
import { CAPACITOR_RULES } from './capacitors';
import { CLAMPING_DIODE_RULES } from './clampingDiodes';
import { DIODE_RULES } from './diodes';
import { INDUCTOR_RULES } from './inductors';
import { PROTECTION_RULES } from './protection';
import { REGISTER_RULES as NUMBER_REGISTERS } from './registers';
import { REGULATOR_RULES } from './regulators';
import { RESISTOR_RULES } from './resistors';
import { THYRISTOR_RULES, TRANSISTOR_RULES } from './transistors';

/** Rules by the kinds that they may yield, or that are easily taken for those. */
const GROUPS: readonly { readonly kinds: readonly KindName[]; readonly rules: readonly MarkingRule[] }[] = [
  { kinds: ['resistor'], rules: RESISTOR_RULES },
  { kinds: ['capacitor'], rules: CAPACITOR_RULES },
  { kinds: ['inductor', 'common-mode-choke'], rules: INDUCTOR_RULES },
  { kinds: ['varistor', 'thermistor', 'fuse'], rules: PROTECTION_RULES },
  { kinds: ['diode', 'dual-diode'], rules: [...DIODE_RULES, ...CLAMPING_DIODE_RULES] },
  { kinds: ['bridge'], rules: BRIDGE_RULES },
  { kinds: ['nmos', 'pmos', 'igbt'], rules: TRANSISTOR_RULES },
  { kinds: ['triac', 'scr'], rules: THYRISTOR_RULES },
  { kinds: ['regulator', 'ic', 'optocoupler', 'shunt-reference'], rules: REGULATOR_RULES },
];

/** Rules that read data from a marking by its pattern. */
export const RULES: readonly MarkingRule[] = GROUPS.flatMap(({ rules }) => rules);

/** Rules that tell a kind and no data: they speak when nothing else does. */
const REGISTER_RULES: readonly MarkingRule[] = [...NUMBER_REGISTERS, ...CHIP_PREFIX_RULES];

const BY_KIND = new Map(
  GROUPS.flatMap(({ kinds }) => kinds).map((kind) => [
    kind,
    GROUPS.filter(({ kinds }) => kinds.includes(kind)).flatMap(({ rules }) => rules),
  ]),
);

/** The rules that may read a part of a kind; all of them when the kind is not known. */
export function rulesFor(kind: KindName | undefined): readonly MarkingRule[] {
  return kind === undefined ? RULES : (BY_KIND.get(kind) ?? []);
}

export { REGISTER_RULES };
