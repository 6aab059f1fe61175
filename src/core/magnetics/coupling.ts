/** Two windings as an inductance meter sees them. */
export interface Coupling {
  /** Coupling factor, 0 to 1. */
  readonly coupling: number;
  /** Leakage and magnetising inductance seen from the primary, henry. */
  readonly leakage: number;
  readonly magnetising: number;
}

/**
 * From the primary with the other windings open and with the output shorted: Llk = Lsc, k = √(1 − Lsc/Loc),
 * Lm = Loc − Lsc. Nothing when the shorted reading is the larger one.
 */
export function couplingOf({ open, shorted }: { open: number; shorted: number }): Coupling | undefined {
  if (!(open > 0) || shorted < 0 || shorted >= open) return undefined;
  return { coupling: Math.sqrt(1 - shorted / open), leakage: shorted, magnetising: open - shorted };
}

/**
 * Turns ratio primary to output from two injections, which take the coupling out: Np/Ns = √(b/a), k = √(a·b).
 * @param forward output over primary volts with the signal in the primary
 * @param back primary over output volts with the signal in the output
 */
export function ratioFromInjection({
  forward,
  back,
}: {
  forward: number;
  back: number;
}): { ratio: number; coupling: number } | undefined {
  if (!(forward > 0) || !(back > 0)) return undefined;
  return { ratio: Math.sqrt(back / forward), coupling: Math.sqrt(forward * back) };
}

/**
 * Mutual inductance from two windings in series both ways: M = (Laid − Lopp)/4. The way with the larger reading
 * joins the dotted end of one winding to the undotted end of the other.
 */
export function mutualOf({ aiding, opposing }: { aiding: number; opposing: number }): { mutual: number; sum: number } {
  const [more, less] = aiding >= opposing ? [aiding, opposing] : [opposing, aiding];
  return { mutual: (more - less) / 4, sum: (more + less) / 2 };
}

/**
 * Coupling and turns by two windings in series both ways and one of them alone: L1 + L2 = (Laid + Lopp)/2, so
 * k = M/√(L1·L2) and N1/N2 = √(L1/L2). None when the one alone reads more than both together: the other would have no
 * inductance left.
 */
export function seriesCoupling(of: {
  aiding: number;
  opposing: number;
  primary: number;
}): { readonly coupling: number; readonly ratio: number } | undefined {
  const { mutual, sum } = mutualOf(of);
  const other = sum - of.primary;
  if (!(other > 0) || !(of.primary > 0)) return undefined;
  return { coupling: mutual / Math.sqrt(of.primary * other), ratio: Math.sqrt(of.primary / other) };
}

/** Frequency of an inductance with a capacitance across it, hertz. */
export function ringFrequency({ inductance, capacitance }: { inductance: number; capacitance: number }): number {
  return 1 / (2 * Math.PI * Math.sqrt(inductance * capacitance));
}

/** Quality from the fall of a ring over whole periods: δ = ln(A0/An)/n, Q = √(¼ + (π/δ)²). */
export function qualityFromFall({ first, last, periods }: { first: number; last: number; periods: number }): number {
  const decrement = Math.log(first / last) / periods;
  return Math.sqrt(0.25 + (Math.PI / decrement) ** 2);
}

/**
 * Own capacitance and inductance of a winding from its ring with two capacitors:
 * Cs = (C2·f2² − C1·f1²)/(f1² − f2²). Ill-conditioned when Cs is under 2 % of C1.
 */
export function selfCapacitance(of: { c1: number; f1: number; c2: number; f2: number }): {
  self: number;
  inductance: number;
  reliable: boolean;
} {
  const self = (of.c2 * of.f2 ** 2 - of.c1 * of.f1 ** 2) / (of.f1 ** 2 - of.f2 ** 2);
  const inductance = 1 / ((2 * Math.PI * of.f1) ** 2 * (of.c1 + self));
  return { self, inductance, reliable: self >= 0.02 * of.c1 };
}
