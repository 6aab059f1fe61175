/** One capacitor of a series string: farads, and volts across it. */
export interface StringMember {
  readonly capacitance: number;
  readonly voltage: number;
}

/**
 * What each capacitor of a series string keeps after the whole string was shorted through its ends:
 * Vi' = Vi − Q/Ci with Q = Vstring·Cseries. Unequal capacitors keep equal and opposite charge, so
 * a string that reads 0 V may still bite. Ignores leakage.
 */
export function afterStringShorted(members: readonly StringMember[]): StringMember[] {
  const charge = stringVoltage(members) * seriesCapacitance(members);
  return members.map(({ capacitance, voltage }) => ({ capacitance, voltage: voltage - charge / capacitance }));
}

/** Capacitance of a series string in farads. */
export function seriesCapacitance(members: readonly Pick<StringMember, 'capacitance'>[]): number {
  return 1 / members.reduce((sum, { capacitance }) => sum + 1 / capacitance, 0);
}

function stringVoltage(members: readonly StringMember[]): number {
  return members.reduce((sum, { voltage }) => sum + voltage, 0);
}
