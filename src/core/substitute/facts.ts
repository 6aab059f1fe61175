import { safetyClassOf } from '../part';
import type { PartFacts } from './judged';

/** What ratings of the stock list are called in the rules on replacements. */
const NAMES: Readonly<Record<string, string>> = {
  recovery: 'trr',
  acVoltage: 'vac',
  saturation: 'isat',
  gain: 'hfe',
};

/** A part or a lot as the rules on replacements see it. @param of.ratings by the names of the stock list, SI base units */
export function factsOf(of: {
  readonly kind: string;
  readonly subtype?: string | null;
  readonly technology?: string | null;
  readonly marking?: string | null;
  readonly package?: string | null;
  readonly grade?: string | null;
  readonly limits?: string;
  readonly ratings: Readonly<Record<string, number | string>>;
}): PartFacts {
  const ratings: Record<string, number | string> = {};
  for (const [name, value] of Object.entries(of.ratings)) {
    ratings[NAMES[name] ?? name] = value;
    if (name === 'ctr') ratings['ctrMin'] = ratings['ctrMax'] = value;
  }
  const classed = of.kind === 'capacitor' ? safetyClassOf(of.subtype) : undefined;
  if (classed && of.subtype) ratings['safetyClass'] = of.subtype.toUpperCase();
  const own = classed ? (classed.y === undefined ? 'x' : 'y') : (of.technology ?? of.subtype ?? undefined);
  return {
    kind: of.kind,
    ratings,
    ...(own ? { technology: own } : {}),
    ...(of.marking ? { marking: of.marking } : {}),
    ...(of.package ? { package: of.package } : {}),
    ...(of.grade ? { grade: of.grade } : {}),
    ...(of.limits ? { limits: of.limits } : {}),
  };
}
