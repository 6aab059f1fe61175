import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { esrAt, esrFromLossFactor, expectedEsr, largestLeakage, type EsrSeries } from './expectedEsr';
import {
  criterionOf,
  damageCriteria,
  readingUncertainty,
  gradeAgainst,
  judge,
  type Criterion,
  type Judgement,
  type Reading,
  type Readings,
} from './judgement';
import type { Limit } from './limits';

/** How a capacitor is built, as far as its test differs. */
export type CapacitorBuild = 'electrolytic' | 'film' | 'x' | 'y';

export interface CapacitorTest {
  readonly readings: Readings;
  /** Printed or known: farads, volts, fraction, ohms. */
  readonly nominal: {
    readonly capacitance?: number | undefined;
    readonly voltage?: number | undefined;
    readonly tolerance?: number | undefined;
    readonly esr?: number | undefined;
  };
  readonly build: CapacitorBuild;
  readonly series?: EsrSeries;
  readonly damage: readonly string[];
  /** What else speaks on the part, such as the hours it ran. */
  readonly more?: readonly Criterion[];
}

/** Where an ESR tester measures, and a loss factor is read when nothing else is said, hertz. */
const ESR_TESTER = 100e3;
const LOSS_USUALLY_AT = 120;

/** From this rated voltage an electrolytic is a mains reservoir: never better than B without a leakage test. */
const MAINS_BULK_VOLTS = 160;
/** Share of its rated voltage that a mains reservoir must have held in a leakage test. */
export const HELD_SHARE = practice(0.8);
const DEFAULT_TOLERANCE = 0.2;
/** Share of the nominal value by grade, and above which leakage mimics capacitance. */
export const CAPACITANCE_LIMITS = practice({ B: { low: 0.8, high: 1.3 }, C: { low: 0.7 }, mimicry: 1.5 } as const);
/** Multiple of the expected ESR by grade. Common practice: end of life is two to three times the first limit. */
export const ESR_LIMITS = { A: 1, B: 2, C: 3, suspicious: 0.2 } as const;
/** Multiple of the leakage limit from which reforming is no use. */
export const LEAKAGE_HOPELESS = practice(3);
/** X capacitors by the share of their value that is left. */
export const X_SHARE = practice({ warn: 0.9, reject: 0.8, above: 1.2, mimicry: 1.3 } as const);
/** Ceramics of the tolerance letter Z, as of Z5U and Y5V: −20 to +80 % (IEC 60062, from memory), and what age leaves. */
const LOPSIDED = practice({ from: 0.5, low: 0.8, high: 1.8, aged: 0.65 } as const);
/** What polymers and the lowest series show, below the doubt of a two-wire tester, in ohms. */
const BELOW_THE_TESTER = practice(0.03);
/** Insulation at 500 V of what stands across the barrier. */
const INSULATION = practice(100e6);
/** Lead resistance above this share of an ESR limit spoils a two-wire reading. */
const LEAD_SHARE = practice(0.2);

const NOT_FOR_C: readonly Limit[] = [
  { kind: 'not-for', use: 'ripple' },
  { kind: 'not-for', use: 'timing' },
  { kind: 'not-for', use: 'mains' },
];
const limitsOf = (grade: Criterion['grade'], atB: readonly Limit[]): readonly Limit[] =>
  grade === 'B' ? atB : grade === 'C' ? NOT_FOR_C : [];

/**
 * Judges a capacitor by capacitance, ESR, leakage and insulation against what its marking promises; the worst
 * criterion decides. Electrolytics are graded, film and ceramic parts pass at their tolerance or are scrapped.
 */
export function judgeCapacitor(test: CapacitorTest): Judgement {
  const { readings, nominal, build } = test;
  const criteria: Criterion[] = [...damageCriteria(test.damage), ...(test.more ?? [])];
  if (nominal.capacitance === undefined)
    return judge([
      ...criteria,
      { grade: 'cannot tell', text: 'The printed capacitance is not known; read the marking first.' },
    ]);
  const printed = { ...nominal, capacitance: nominal.capacitance };
  const esr = readings.esr ?? esrFromLoss(readings, printed.capacitance);
  if (!readings.capacitance && !esr && !readings.leakage)
    criteria.push({ grade: 'cannot tell', text: 'Neither capacitance nor ESR was measured.' });
  const tolerance = nominal.tolerance ?? DEFAULT_TOLERANCE;
  criteria.push(
    ...criterionOf(
      readings.capacitance,
      null,
      ({ value }) =>
        build === 'electrolytic'
          ? canCriterion(value, printed.capacitance, tolerance)
          : build === 'x'
            ? suppressorCriterion(value, printed.capacitance)
            : filmCriterion(value, printed.capacitance, tolerance),
      'capacitance',
    ),
  );
  if (build === 'electrolytic') criteria.push(...electrolyticCriteria(test, printed, esr));
  if (build === 'y' || readings.insulation)
    criteria.push(
      ...criterionOf(
        readings.insulation,
        'Its insulation at 500 V was not measured: no word on a Y capacitor without it.',
        insulationCriterion,
        'insulation',
      ),
    );
  return judge(criteria);
}

const lossFrequency = ({ lossAt }: Readings): number => lossAt?.value ?? LOSS_USUALLY_AT;

function esrFromLoss(readings: Readings, capacitance: number): Reading | undefined {
  const { loss } = readings;
  if (!loss) return undefined;
  const frequency = lossFrequency(readings);
  return { ...loss, value: esrFromLossFactor({ lossFactor: loss.value, frequency, capacitance }), resolution: 0 };
}

function electrolyticCriteria(
  test: CapacitorTest,
  printed: CapacitorTest['nominal'] & { capacitance: number },
  esr: Reading | undefined,
): Criterion[] {
  const { readings } = test;
  const criteria: Criterion[] = [...criterionOf(esr, null, (reading) => esrCriterion(reading, test, printed))];
  if (!esr && readings.capacitance)
    criteria.push({
      grade: 'B',
      text: 'ESR was not measured, so no better than B.',
      limits: [{ kind: 'not-for', use: 'ripple' }],
    });
  criteria.push(...criterionOf(readings.leakage, null, (reading) => leakageCriterion(reading, printed)));
  const volts = printed.voltage ?? 0;
  if (volts < MAINS_BULK_VOLTS) return criteria;
  const held = readings.held?.value ?? 0;
  if (!readings.leakage || held < HELD_SHARE * volts)
    criteria.push({
      grade: 'B',
      text: `A mains reservoir is no better than B until it passed a leakage test at ${formatQuantity(HELD_SHARE * volts, 'volt')}, 80 % of its rated voltage.`,
      limits: [{ kind: 'derated', rating: 'voltage', share: HELD_SHARE }],
    });
  return criteria;
}

const shareText = (farads: number, nominal: number) =>
  `${formatQuantity(farads, 'farad')} is ${Math.round((farads / nominal) * 100)} % of ${formatQuantity(nominal, 'farad')}`;

function canCriterion(farads: number, nominal: number, tolerance: number): Criterion {
  const share = farads / nominal;
  const message = shareText(farads, nominal);
  if (share > CAPACITANCE_LIMITS.mimicry) return { grade: 'reject', text: `${message}: leakage reads as capacitance.` };
  const { B, C } = CAPACITANCE_LIMITS;
  const grade =
    Math.abs(share - 1) <= tolerance ? 'A' : share >= B.low && share <= B.high ? 'B' : share >= C.low ? 'C' : 'reject';
  return { grade, text: `${message}.`, limits: limitsOf(grade, [{ kind: 'not-for', use: 'timing' }]) };
}

function filmCriterion(farads: number, nominal: number, tolerance: number): Criterion {
  const share = farads / nominal;
  const message = shareText(farads, nominal);
  if (tolerance >= LOPSIDED.from) {
    const { low, high, aged } = LOPSIDED;
    const isIn = share >= low && share <= high;
    return {
      grade: isIn ? 'A' : share >= aged && share <= high ? 'B' : 'reject',
      text: `${message}, −20 to +80 % is its tolerance${isIn ? '' : '; such ceramics age, and lose with every degree from 25 °C'}.`,
      ...(isIn ? {} : { limits: [{ kind: 'not-for', use: 'timing' }] as const }),
    };
  }
  if (share > CAPACITANCE_LIMITS.mimicry) return { grade: 'reject', text: `${message}: leakage reads as capacitance.` };
  return {
    grade: Math.abs(share - 1) <= tolerance ? 'A' : 'reject',
    text: `${message}, ± ${Math.round(tolerance * 100)} % is its tolerance.`,
  };
}

/** An X capacitor heals its breakdowns at the price of its value: what is lost tells how often. */
function suppressorCriterion(farads: number, nominal: number): Criterion {
  const share = farads / nominal;
  const message = shareText(farads, nominal);
  if (share > X_SHARE.mimicry) return { grade: 'reject', text: `${message}: leakage reads as capacitance.` };
  if (share > X_SHARE.above)
    return { grade: 'cannot tell', text: `${message}, more than its tolerance: is the print read right?` };
  if (share >= X_SHARE.warn) return { grade: 'A', text: `${message}.` };
  if (share < X_SHARE.reject) return { grade: 'reject', text: `${message}: it has burnt away too much of itself.` };
  return {
    grade: 'B',
    text: `${message}: it has healed many breakdowns.`,
    limits: [{ kind: 'not-for', use: 'mains' }],
  };
}

function insulationCriterion({ value }: Reading): Criterion {
  const message = `Insulation ${value === Infinity ? 'beyond the meter' : formatQuantity(value, 'ohm')}`;
  return value >= INSULATION
    ? { grade: 'A', text: `${message}.` }
    : { grade: 'reject', text: `${message}, at least ${formatQuantity(INSULATION, 'ohm')} is wanted.` };
}

function esrCriterion(
  reading: Reading,
  test: CapacitorTest,
  printed: CapacitorTest['nominal'] & { capacitance: number },
): Criterion {
  const reference = referenceEsr(test, printed);
  if (reference === undefined)
    return { grade: 'cannot tell', text: 'The rated voltage is not known, so no ESR can be expected.' };
  const leads = test.readings.leads?.value ?? 0;
  const value = Math.max(0, reading.value - leads);
  const { standard, expanded } = readingUncertainty({ ...reading, value }, 'esr');
  const ratio = value / reference;
  const show = (ohms: number) => formatQuantity(ohms, 'ohm', { digits: 2 });
  const message = `ESR ${show(value)}${leads > 0 ? ` without the leads’ ${show(leads)}` : ''} is ${ratio.toFixed(1)} times the ${printed.esr === undefined ? 'expected' : 'datasheet’s'} ${show(reference)}${test.readings.esr ? '' : ` at ${formatQuantity(lossFrequency(test.readings), 'hertz')}`}`;
  if (ratio < ESR_LIMITS.suspicious && value + expanded < reference)
    return { grade: 'cannot tell', text: `${message}: too good. Check for shorted leads or a part in parallel.` };
  // A tester that doubts more than a good one has can only say that nothing is wrong.
  if (expanded > reference && value <= Math.max(reference, BELOW_THE_TESTER))
    return { grade: 'A', text: `${message}, as low as the tester can tell (± ${show(expanded)}).` };
  const limits = (['A', 'B', 'C'] as const).map((grade) => ({ grade, limit: ESR_LIMITS[grade] }));
  const grade = gradeAgainst(ratio, standard / reference, limits, 'at-most');
  const uncertainty = `± ${show(expanded)} of the tester`;
  const zero =
    leads === 0 && reference * ESR_LIMITS.C < 0.5 && LEAD_SHARE * reference < 0.1
      ? ' Retest with the leads zeroed.'
      : '';
  const text: Readonly<Record<typeof grade, string>> = {
    A: `${message}.`,
    B:
      ratio <= ESR_LIMITS.A
        ? `${message}; with ${uncertainty} that is no sure A.${zero}`
        : `${message}; an A stays below that.`,
    C: `${message}: only where ripple is low.`,
    reject: `${message}: worn out.`,
    'cannot tell': `${message}; limit ${show(reference * ESR_LIMITS.C)}, and ${uncertainty} straddles it.${zero}`,
  };
  return { grade, text: text[grade], limits: limitsOf(grade, [{ kind: 'not-for', use: 'ripple' }]) };
}

/** What a good one shows: at 100 kHz, or where its loss factor was read. */
function referenceEsr(
  { readings, series }: CapacitorTest,
  { esr, capacitance, voltage }: CapacitorTest['nominal'] & { capacitance: number },
): number | undefined {
  const frequency = readings.esr ? ESR_TESTER : lossFrequency(readings);
  if (voltage === undefined) return frequency === ESR_TESTER ? esr : undefined;
  const fast = esr ?? expectedEsr({ capacitance, voltage, ...(series ? { series } : {}) });
  return esrAt({ frequency, esr: fast, capacitance, voltage });
}

function leakageCriterion(reading: Reading, printed: { capacitance: number; voltage?: number | undefined }): Criterion {
  if (printed.voltage === undefined)
    return { grade: 'cannot tell', text: 'The rated voltage is not known, so no leakage can be expected.' };
  const limit = largestLeakage({ capacitance: printed.capacitance, voltage: printed.voltage });
  const { standard } = readingUncertainty(reading, 'current');
  const message = `Leakage ${formatQuantity(reading.value, 'ampere')}, limit ${formatQuantity(limit, 'ampere')}`;
  const outcome = gradeAgainst(reading.value / limit, standard / limit, [{ grade: 'A', limit: 1 }], 'at-most');
  if (outcome === 'A') return { grade: 'A', text: `${message}.` };
  if (outcome === 'cannot tell') return { grade: 'cannot tell', text: `${message}: the meter cannot tell.` };
  if (reading.value > LEAKAGE_HOPELESS * limit)
    return { grade: 'reject', text: `${message}: more than three times as much.` };
  return { grade: 'cannot tell', text: `${message}: reform it at its rated voltage through a resistor, and repeat.` };
}
