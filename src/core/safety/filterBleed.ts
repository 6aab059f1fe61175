/** Rules for the bleeder of an X capacitor. Standards from memory; FORMULAS 1.11. */
export const FILTER_BLEED_RULES = [
  { rule: 'time constant of 1 s', standard: 'IEC 60950-1', above: 0.1e-6, seconds: 1, limit: undefined },
  { rule: '60 V within 2 s', standard: 'IEC 62368-1', above: 0.3e-6, seconds: 2, limit: 60 },
  { rule: '34 V within 1 s', standard: 'IEC 60335-1', above: 0.1e-6, seconds: 1, limit: 34 },
] as const;

/** The largest bleeder each rule allows, in ohms; rules that do not reach down to this capacitance are left out. */
export function largestFilterBleeds(of: { capacitance: number; peak: number }) {
  return FILTER_BLEED_RULES.filter(({ above }) => of.capacitance > above).map(({ rule, standard, seconds, limit }) => ({
    rule,
    standard,
    ohms: seconds / (of.capacitance * (limit === undefined ? 1 : Math.log(of.peak / limit))),
  }));
}
