import type { MarkingRule } from '../reading';
import { CAPACITOR_RULES } from './capacitors';
import { BRIDGE_RULES } from './bridges';
import { DIODE_RULES } from './diodes';
import { INDUCTOR_RULES } from './inductors';
import { PROTECTION_RULES } from './protection';
import { REGULATOR_RULES } from './regulators';
import { RESISTOR_RULES } from './resistors';
import { THYRISTOR_RULES, TRANSISTOR_RULES } from './transistors';

/** Rules that read data from a marking by its pattern. */
export const RULES: readonly MarkingRule[] = [
  ...RESISTOR_RULES,
  ...CAPACITOR_RULES,
  ...INDUCTOR_RULES,
  ...PROTECTION_RULES,
  ...DIODE_RULES,
  ...BRIDGE_RULES,
  ...TRANSISTOR_RULES,
  ...THYRISTOR_RULES,
  ...REGULATOR_RULES,
];

export { REGISTER_RULES } from './registers';
