import { formatQuantity } from '../quantity';
import { minimumEfficiency } from './minimumEfficiency';
import type { Nameplate, NameplateOutput } from './parseNameplate';
import {
  AGREEMENT,
  ASSUMED_EFFICIENCY,
  DENSEST_WITHOUT_FAN,
  DENSITY_RANGES,
  MAINS_HIGH,
  POWER_FACTOR,
} from './tradeRanges';

export interface NameplateFinding {
  readonly severity: 'ok' | 'note' | 'warn' | 'reject' | 'cannot tell';
  readonly text: string;
}

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
  readonly density?: { readonly perLitre?: number; readonly perKilogram?: number; readonly builds: readonly string[] };
  readonly findings: readonly NameplateFinding[];
}

/** Outside measures in metres, mass in kilograms. */
export interface Size {
  readonly length?: number;
  readonly width?: number;
  readonly height?: number;
  readonly mass?: number;
}

/** Power of one output in watts, from volts and amperes, else as printed. */
export function outputPower({ v, vMax, i, p }: NameplateOutput): number | undefined {
  return i === undefined ? p : Math.abs(vMax ?? v) * i;
}

/**
 * The sums on a nameplate: rated power, likely input current with the assumptions stated, power
 * density and whether the printed figures agree with each other. A missing figure never counts as
 * agreement. FORMULAS 2.1, 2.2, 2.7, 2.8.
 */
export function judgeNameplate(plate: Nameplate, size: Size = {}): NameplateJudgement {
  const summedPower = sumOutputs(plate.outputs);
  const ratedPower =
    plate.totalPower !== undefined && summedPower !== undefined
      ? Math.min(plate.totalPower, summedPower)
      : (summedPower ?? plate.totalPower);
  const efficiency = ratedPower === undefined ? undefined : assumeEfficiency(plate, ratedPower);
  const powerFactor =
    ratedPower === undefined || plate.input?.kind === 'dc' ? undefined : assumePowerFactor(ratedPower);
  const currentAt = (volts: number) =>
    ratedPower === undefined || !efficiency
      ? undefined
      : ratedPower / efficiency.value / (volts * (powerFactor?.value ?? 1));

  const mains = plate.input?.kind !== 'dc' && plate.input !== undefined;
  const inputCurrents = (
    mains
      ? [115, 230].filter((v) => v >= plate.input!.vMin * 0.9 && v <= plate.input!.vMax * MAINS_HIGH)
      : plate.input
        ? [plate.input.vMin]
        : []
  )
    .map((volts) => ({ volts, amperes: currentAt(volts) }))
    .filter((entry): entry is { volts: number; amperes: number } => entry.amperes !== undefined);

  const density = ratedPower === undefined ? undefined : densityOf(ratedPower, size);
  const highestBulkVoltage = plate.input && (mains ? plate.input.vMax * MAINS_HIGH * Math.SQRT2 : plate.input.vMax);
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
      ...inputFindings(plate, plate.input && currentAt(plate.input.vMin)),
      ...densityFindings(density),
    ],
  };
}

function sumOutputs(outputs: readonly NameplateOutput[]): number | undefined {
  const powers = outputs.map((output) => ({ power: outputPower(output), alternative: output.alternative === true }));
  const known = powers.filter((entry): entry is { power: number; alternative: boolean } => entry.power !== undefined);
  if (known.length === 0) return undefined;
  const together = known.filter(({ alternative }) => !alternative).reduce((sum, { power }) => sum + power, 0);
  return together + Math.max(0, ...known.filter(({ alternative }) => alternative).map(({ power }) => power));
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

function assumePowerFactor(power: number): { value: number; why: string } {
  return power >= POWER_FACTOR.correctionFromWatts
    ? { value: POWER_FACTOR.withCorrection, why: 'assumed: from 75 W up with correction' }
    : { value: POWER_FACTOR.withoutCorrection, why: 'assumed: rectifier and reservoir, no correction' };
}

function densityOf(power: number, { length, width, height, mass }: Size): NameplateJudgement['density'] {
  const litres = length && width && height ? length * width * height * 1000 : undefined;
  const perLitre = litres && power / litres;
  const perKilogram = mass ? power / mass : undefined;
  if (perLitre === undefined && perKilogram === undefined) return undefined;
  const inside = (value: number | undefined, range: readonly [number, number] | undefined) =>
    value === undefined || range === undefined || (value >= range[0] && value <= range[1]);
  const builds = DENSITY_RANGES.filter(
    (range) => inside(perLitre, range.perLitre) && (perLitre !== undefined || inside(perKilogram, range.perKilogram)),
  );
  return {
    ...(perLitre === undefined ? {} : { perLitre }),
    ...(perKilogram === undefined ? {} : { perKilogram }),
    builds: builds.map(({ build }) => build),
  };
}

function outputFindings(plate: Nameplate, summed: number | undefined): NameplateFinding[] {
  const findings: NameplateFinding[] = [];
  if (plate.outputs.length === 0)
    findings.push({
      severity: 'cannot tell',
      text: 'No output was found in the text. Write it like OUTPUT 19V 4.74A.',
    });
  for (const output of plate.outputs) {
    const product = output.i === undefined ? undefined : Math.abs(output.vMax ?? output.v) * output.i;
    if (product === undefined && output.p === undefined)
      findings.push({
        severity: 'cannot tell',
        text: `The ${formatQuantity(output.v, 'volt')} output has no current or power.`,
      });
    else if (product !== undefined && output.p !== undefined && Math.abs(product / output.p - 1) > AGREEMENT.rounding)
      findings.push({
        severity: 'warn',
        text: `${formatQuantity(output.v, 'volt')} times ${formatQuantity(output.i ?? 0, 'ampere')} is ${formatQuantity(product, 'watt')}, but ${formatQuantity(output.p, 'watt')} is printed.`,
      });
  }
  if (plate.totalPower !== undefined && summed !== undefined && summed > plate.totalPower * (1 + AGREEMENT.rounding))
    findings.push({
      severity: 'note',
      text: `The outputs add up to ${formatQuantity(summed, 'watt')}; the printed total of ${formatQuantity(plate.totalPower, 'watt')} is the limit. Usual on boxes with several outputs.`,
    });
  return findings;
}

function inputFindings({ input }: Nameplate, needed: number | undefined): NameplateFinding[] {
  if (!input)
    return [
      { severity: 'cannot tell', text: 'No input voltage was found in the text. Write it like INPUT 100-240V~ 1.5A.' },
    ];
  if (needed === undefined || input.current === undefined)
    return [{ severity: 'cannot tell', text: 'Input and output cannot be compared: a current is missing.' }];
  const ratio = needed / input.current;
  const facts = `At ${formatQuantity(input.vMin, 'volt')} the outputs need about ${formatQuantity(needed, 'ampere')}; ${formatQuantity(input.current, 'ampere')} is printed.`;
  if (ratio > AGREEMENT.unbelievable)
    return [{ severity: 'reject', text: `${facts} The output figures are not to be believed.` }];
  if (ratio > AGREEMENT.optimistic) return [{ severity: 'warn', text: `${facts} The output figures are optimistic.` }];
  return [{ severity: 'ok', text: `${facts} Input and output agree.` }];
}

function densityFindings(density: NameplateJudgement['density']): NameplateFinding[] {
  if (density?.perLitre === undefined) return [];
  if (density.perLitre > DENSEST_WITHOUT_FAN)
    return [
      {
        severity: 'warn',
        text: `${Math.round(density.perLitre)} W per litre is denser than any closed unit without a fan.`,
      },
    ];
  if (density.builds.length === 0)
    return [{ severity: 'note', text: `${Math.round(density.perLitre)} W per litre lies between the usual builds.` }];
  return [
    {
      severity: 'ok',
      text: `${Math.round(density.perLitre)} W per litre is usual for a ${density.builds.join(' or a ')}.`,
    },
  ];
}
