import type { NameplateFinding } from './findings';
import type { UnitKindName } from '../unit';
import { DENSEST_WITHOUT_FAN, DENSITY_RANGES } from './tradeRanges';

/** Outside measures in metres, mass in kilograms. */
export interface Size {
  readonly length?: number;
  readonly width?: number;
  readonly height?: number;
  readonly mass?: number;
}

/** What decides which builds are usual: the year a unit is from, and its kind. */
export interface UnitAge {
  readonly year?: number;
  readonly kind?: UnitKindName;
}

export interface Density {
  /** Watts per litre and per kilogram. */
  readonly perLitre?: number;
  readonly perKilogram?: number;
  /** Usual builds of such density, in the years the unit may be from. */
  readonly builds: readonly string[];
  /** Builds of such density that were not yet, or no longer, sold in its year. */
  readonly outOfTime: readonly string[];
  /** Builds of such density and time that units of its kind are not. */
  readonly outOfKind: readonly string[];
}

/** Power per volume and mass, and the usual builds of that density. FORMULAS 2.7. */
export function densityOf(
  power: number,
  { length, width, height, mass, year, kind }: Size & UnitAge,
): Density | undefined {
  const litres = length && width && height ? length * width * height * 1000 : undefined;
  const perLitre = litres && power / litres;
  const perKilogram = mass ? power / mass : undefined;
  if (perLitre === undefined && perKilogram === undefined) return undefined;
  const inside = (value: number | undefined, range: readonly [number, number] | undefined) =>
    value === undefined || (range !== undefined && value >= range[0] && value <= range[1]);
  // The volume tells more than the mass; the mass alone has to do where there is nothing else.
  const dense = DENSITY_RANGES.filter((range) =>
    perLitre === undefined ? inside(perKilogram, range.perKilogram) : inside(perLitre, range.perLitre),
  );
  const inTime = (years: readonly [number, number]) => year === undefined || (year >= years[0] && year <= years[1]);
  const ofKind = (kinds: readonly UnitKindName[]) => kind === undefined || kind === 'other' || kinds.includes(kind);
  const inTimeOnes = dense.filter(({ years }) => inTime(years));
  return {
    ...(perLitre === undefined ? {} : { perLitre }),
    ...(perKilogram === undefined ? {} : { perKilogram }),
    builds: inTimeOnes.filter(({ kinds }) => ofKind(kinds)).map(({ build }) => build),
    outOfKind: inTimeOnes.filter(({ kinds }) => !ofKind(kinds)).map(({ build }) => build),
    outOfTime: dense.filter(({ years }) => !inTime(years)).map(({ build }) => build),
  };
}

/** What the density says of the claim. */
export function densityFindings(density: Density | undefined): NameplateFinding[] {
  if (!density) return [];
  const { perLitre, perKilogram = 0, builds, outOfTime, outOfKind } = density;
  const figure =
    perLitre === undefined ? `${Math.round(perKilogram)} W per kilogram` : `${Math.round(perLitre)} W per litre`;
  if (perLitre !== undefined && perLitre > DENSEST_WITHOUT_FAN)
    return [{ rule: 'density', severity: 'warn', text: `${figure} is denser than any closed unit without a fan.` }];
  if (builds.length > 0)
    return [{ rule: 'density', severity: 'ok', text: `${figure} is usual for a ${builds.join(' or a ')}.` }];
  if (outOfKind.length > 0)
    return [
      {
        rule: 'density',
        severity: 'note',
        text: `${figure} is usual for a ${outOfKind.join(' or a ')}, not for a unit of this kind.`,
      },
    ];
  if (outOfTime.length > 0)
    return [
      {
        rule: 'density',
        severity: 'warn',
        text: `${figure} is usual for a ${outOfTime.join(' or a ')}, which its year does not fit. Doubt the rating or the date.`,
      },
    ];
  return [{ rule: 'density', severity: 'note', text: `${figure} lies between the usual builds.` }];
}
