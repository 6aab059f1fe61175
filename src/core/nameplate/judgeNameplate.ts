import { densityFindings, densityOf, type Density, type Size, type UnitAge } from './density';
import { inputFindings, outputFindings, type NameplateFinding } from './findings';
import { minimumEfficiency } from './minimumEfficiency';
import { supplyOf, type Nameplate, type NameplateOutput } from './plate';
import { ASSUMED_EFFICIENCY, isCorrected, MAINS_HIGH, POWER_FACTOR } from './tradeRanges';

export interface NameplateJudgement {
  /** Output power the plate stands for, in watts; missing when no output gives volts and amperes. */
  readonly ratedPower?: number;
  /** Sum over all outputs that can run at once, in watts. */
  readonly summedPower?: number;
  readonly efficiency?: { readonly value: number; readonly why: string };
  readonly powerFactor?: { readonly value: number; readonly why: string };
  /** Likely input current in amperes at full load. */
  readonly inputCurrents: readonly { readonly volts: number; readonly amperes: number }[];
  /** Highest voltage a reservoir behind the input rectifier can hold, in volts. */
  readonly highestBulkVoltage?: number;
  readonly density?: Density;
  readonly findings: readonly NameplateFinding[];
}

/** Power of one output in watts, from volts and amperes, else as printed. */
export function outputPower({ v, vMax, i, p }: NameplateOutput): number | undefined {
  return i === undefined ? p : Math.abs(vMax ?? v) * i;
}

/**
 * The sums on a nameplate: rated power, likely input current with the assumptions stated, power
 * density and whether the printed figures agree with each other. A missing figure never counts as
 * agreement. FORMULAS 2.1, 2.2, 2.7, 2.8.
 * @param of the size, the year and the kind of the unit when they are known: lamp drivers are corrected from 25 W
 */
export function judgeNameplate(plate: Nameplate, of: Size & UnitAge = {}): NameplateJudgement {
  const supply = supplyOf(plate);
  const summedPower = sumOutputs(plate);
  const ratedPower =
    plate.totalPower !== undefined && summedPower !== undefined
      ? Math.min(plate.totalPower, summedPower)
      : (summedPower ?? plate.totalPower);
  const efficiency = ratedPower === undefined ? undefined : assumeEfficiency(plate, ratedPower);
  const powerFactor =
    ratedPower === undefined || supply?.kind === 'dc'
      ? undefined
      : isIron(plate)
        ? { value: 1, why: 'an iron transformer: what is printed is volt-amperes' }
        : assumePowerFactor(ratedPower, of.kind === 'lamp-driver');
  const currentAt = (volts: number) =>
    ratedPower === undefined || !efficiency
      ? undefined
      : ratedPower / efficiency.value / (volts * (powerFactor?.value ?? 1));

  const mains = supply?.kind === 'ac';
  const shown = !supply
    ? []
    : mains
      ? [115, 230].filter((v) => v >= supply.vMin * 0.9 && v <= supply.vMax * MAINS_HIGH)
      : [supply.vMin];
  const inputCurrents = shown
    .map((volts) => ({ volts, amperes: currentAt(volts) }))
    .filter((entry): entry is { volts: number; amperes: number } => entry.amperes !== undefined);

  const density = ratedPower === undefined ? undefined : densityOf(ratedPower, of);
  const highestBulkVoltage = supply && (mains ? supply.vMax * MAINS_HIGH * Math.SQRT2 : supply.vMax);
  return {
    ...(ratedPower === undefined ? {} : { ratedPower }),
    ...(summedPower === undefined ? {} : { summedPower }),
    ...(efficiency ? { efficiency } : {}),
    ...(powerFactor ? { powerFactor } : {}),
    inputCurrents,
    ...(highestBulkVoltage === undefined ? {} : { highestBulkVoltage }),
    ...(density ? { density } : {}),
    findings: [
      ...outputFindings(plate, summedPower),
      ...inputFindings(supply, supply && currentAt(supply.vMin)),
      ...densityFindings(density),
    ],
  };
}

/** A plain transformer: every output alternates. */
const isIron = ({ outputs }: Nameplate) => outputs.length > 0 && outputs.every(({ ac }) => ac);

/** Choices of one socket count once, at their largest; a shared limit caps its rails. */
function sumOutputs({ outputs, sharedLimits = [] }: Nameplate): number | undefined {
  const known = outputs.flatMap((output) => {
    const power = outputPower(output);
    return power === undefined ? [] : [{ ...output, power }];
  });
  if (known.length === 0) return undefined;
  const rails = known.filter(({ alternative }) => !alternative);
  const capped = sharedLimits.map(({ volts, power }) => {
    const own = rails.filter(({ v }) => volts.includes(v));
    return {
      own,
      power: Math.min(
        power,
        own.reduce((sum, rail) => sum + rail.power, 0),
      ),
    };
  });
  const shared = new Set(capped.flatMap(({ own }) => own));
  const alone = rails.filter((rail) => !shared.has(rail)).reduce((sum, { power }) => sum + power, 0);
  const together = alone + capped.reduce((sum, { power }) => sum + power, 0);
  const choices = new Map<string | undefined, number>();
  for (const { alternative, port, power } of known)
    if (alternative) choices.set(port, Math.max(choices.get(port) ?? 0, power));
  return together + [...choices.values()].reduce((sum, power) => sum + power, 0);
}

function assumeEfficiency(plate: Nameplate, power: number): { value: number; why: string } {
  const [only] = plate.outputs;
  if (plate.efficiencyLevel && plate.outputs.length === 1 && only?.i !== undefined)
    return {
      value: minimumEfficiency({ level: plate.efficiencyLevel, power, voltage: only.v, current: only.i }),
      why: `the least that mark ${plate.efficiencyLevel} promises`,
    };
  if (power < 5) return { value: ASSUMED_EFFICIENCY.underFiveWatts, why: 'assumed for under 5 W' };
  if (power >= 100) return { value: ASSUMED_EFFICIENCY.fromHundredWatts, why: 'assumed from 100 W up' };
  return { value: ASSUMED_EFFICIENCY.usual, why: 'assumed, no mark' };
}

function assumePowerFactor(power: number, lighting = false): { value: number; why: string } {
  const from = lighting ? POWER_FACTOR.lightingFromWatts : POWER_FACTOR.correctionFromWatts;
  return isCorrected(power, lighting)
    ? { value: POWER_FACTOR.withCorrection, why: `assumed: from ${from} W up with correction` }
    : { value: POWER_FACTOR.withoutCorrection, why: 'assumed: rectifier and reservoir, no correction' };
}
