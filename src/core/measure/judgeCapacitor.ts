import { formatQuantity } from '../quantity';
import { DEFAULT_ACCURACY, uncertaintyOf } from '../uncertainty';
import { expectedEsr, type EsrSeries } from './expectedEsr';
import { gradeAgainst, judge, type Criterion, type Judgement, type Measured } from './judgement';

export interface CapacitorTest {
  readonly capacitance?: Measured | undefined;
  readonly esr?: Measured | undefined;
  /** Printed or known: farads, volts, fraction. */
  readonly nominal: {
    readonly capacitance?: number | undefined;
    readonly voltage?: number | undefined;
    readonly tolerance?: number | undefined;
    readonly esr?: number | undefined;
  };
  readonly electrolytic: boolean;
  readonly series?: EsrSeries;
  readonly damage: readonly string[];
  readonly inCircuit: boolean;
}

/** From this rated voltage an electrolytic is a mains reservoir: never better than B without a leakage test. */
const MAINS_BULK_VOLTS = 160;
const DEFAULT_TOLERANCE = 0.2;
/** Share of the nominal value by grade, and above which leakage mimics capacitance. Common practice, no source. */
const CAPACITANCE_LIMITS = { B: { low: 0.8, high: 1.3 }, C: { low: 0.7 }, mimicry: 1.5 } as const;
/** Multiple of the expected ESR by grade. Common practice: end of life is two to three times the first limit. */
const ESR_LIMITS = { A: 1, B: 2, C: 3, suspicious: 0.2 } as const;

/**
 * Judges a capacitor by capacitance and ESR against what its marking promises; the worst criterion
 * decides. Electrolytics are graded, film and ceramic parts pass at their tolerance or are scrapped.
 */
export function judgeCapacitor(test: CapacitorTest): Judgement {
  const criteria: Criterion[] = test.damage.map((word) => ({ grade: 'reject', text: `It is ${word}.` }));
  if (test.nominal.capacitance === undefined)
    return judge(
      [...criteria, { grade: 'cannot tell', text: 'The printed capacitance is not known; read the marking first.' }],
      test.inCircuit,
    );
  if (!test.capacitance && !test.esr)
    criteria.push({ grade: 'cannot tell', text: 'Neither capacitance nor ESR was measured.' });
  if (test.capacitance)
    criteria.push(
      capacitanceCriterion(
        test.capacitance,
        test.nominal.capacitance,
        test.nominal.tolerance ?? DEFAULT_TOLERANCE,
        test.electrolytic,
      ),
    );
  if (test.electrolytic) {
    if (test.esr) criteria.push(esrCriterion(test.esr, { ...test, nominalCapacitance: test.nominal.capacitance }));
    else if (test.capacitance) criteria.push({ grade: 'B', text: 'ESR was not measured, so no better than B.' });
    if ((test.nominal.voltage ?? 0) >= MAINS_BULK_VOLTS)
      criteria.push({
        grade: 'B',
        text: 'A mains reservoir is no better than B until it passed a leakage test at 80 % of its rated voltage.',
      });
  }
  return judge(criteria, test.inCircuit);
}

function capacitanceCriterion(
  measured: Measured,
  nominal: number,
  tolerance: number,
  electrolytic: boolean,
): Criterion {
  const { standard } = uncertaintyOf({
    reading: measured.value,
    resolution: measured.resolution,
    accuracy: DEFAULT_ACCURACY.capacitance,
  });
  const ratio = measured.value / nominal;
  const u = standard / nominal;
  const says = `${formatQuantity(measured.value, 'farad')} is ${Math.round(ratio * 100)} % of ${formatQuantity(nominal, 'farad')}`;
  if (ratio > CAPACITANCE_LIMITS.mimicry) return { grade: 'reject', text: `${says}: leakage reads as capacitance.` };
  if (!electrolytic) {
    const low = gradeAgainst(ratio, u, [{ grade: 'A', limit: 1 - tolerance }], 'at-least');
    const high = gradeAgainst(ratio, u, [{ grade: 'A', limit: 1 + tolerance }], 'at-most');
    const grade = [low, high].includes('reject') ? 'reject' : [low, high].includes('cannot tell') ? 'cannot tell' : 'A';
    return {
      grade,
      text:
        grade === 'cannot tell'
          ? `${says}; with this meter that straddles the ${Math.round(tolerance * 100)} % limit.`
          : `${says}.`,
    };
  }
  const low = gradeAgainst(
    ratio,
    u,
    [
      { grade: 'A', limit: 1 - tolerance },
      { grade: 'B', limit: CAPACITANCE_LIMITS.B.low },
      { grade: 'C', limit: CAPACITANCE_LIMITS.C.low },
    ],
    'at-least',
  );
  const high = gradeAgainst(
    ratio,
    u,
    [
      { grade: 'A', limit: 1 + tolerance },
      { grade: 'B', limit: CAPACITANCE_LIMITS.B.high },
      { grade: 'C', limit: CAPACITANCE_LIMITS.mimicry },
    ],
    'at-most',
  );
  const order = ['reject', 'cannot tell', 'C', 'B', 'A'] as const;
  const grade = order.find((candidate) => candidate === low || candidate === high) ?? 'cannot tell';
  return { grade, text: grade === 'cannot tell' ? `${says}; the meter cannot settle that against 70 %.` : `${says}.` };
}

function esrCriterion(measured: Measured, test: CapacitorTest & { nominalCapacitance: number }): Criterion {
  const { standard, expanded } = uncertaintyOf({
    reading: measured.value,
    resolution: measured.resolution,
    accuracy: DEFAULT_ACCURACY.esr,
  });
  const known = test.nominal.esr;
  const reference =
    known ??
    (test.nominal.voltage === undefined
      ? undefined
      : expectedEsr({
          capacitance: test.nominalCapacitance,
          voltage: test.nominal.voltage,
          ...(test.series ? { series: test.series } : {}),
        }));
  if (reference === undefined)
    return { grade: 'cannot tell', text: 'The rated voltage is not known, so no ESR can be expected.' };
  const ratio = measured.value / reference;
  const says = `ESR ${formatQuantity(measured.value, 'ohm', { digits: 2 })} is ${ratio.toFixed(1)} times the ${known === undefined ? 'expected' : 'datasheet’s'} ${formatQuantity(reference, 'ohm', { digits: 2 })}`;
  if (ratio < ESR_LIMITS.suspicious && measured.value + expanded < reference)
    return { grade: 'cannot tell', text: `${says}: too good. Check for shorted leads or a part in parallel.` };
  const limits = (['A', 'B', 'C'] as const).map((grade) => ({ grade, limit: ESR_LIMITS[grade] }));
  const grade = gradeAgainst(ratio, standard / reference, limits, 'at-most');
  const doubt = `± ${formatQuantity(expanded, 'ohm', { digits: 2 })} of the tester`;
  const text: Readonly<Record<typeof grade, string>> = {
    A: `${says}.`,
    B: ratio <= ESR_LIMITS.A ? `${says}; with ${doubt} that is no sure A.` : `${says}; an A stays below that.`,
    C: `${says}: only where ripple is low.`,
    reject: `${says}: worn out.`,
    'cannot tell': `${says}; ${doubt} straddles the limit.`,
  };
  return { grade, text: text[grade] };
}
