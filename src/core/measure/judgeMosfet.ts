import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
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

/** Diode-mode windows in volts at about 1 mA. */
export const BODY_DIODE = practice({ shorted: 0.05, low: 0.4, high: 0.7 } as const);
/** Of silicon carbide; many meters end before it and read OL. */
const CARBIDE_BODY = practice({ low: 2, high: 4 } as const);
/** Insulation that a good gate shows, and below which it is punched, in ohms. */
export const GATE = practice({ good: 10e6, punched: 1e6 } as const);
/** Drain to source with the gate shorted to the source, in ohms. */
export const BLOCKING = practice({ good: 1e6, bad: 100e3 } as const);
/** Seconds that a gate keeps its charge. */
const HOLD = practice({ good: 10, bad: 1 } as const);
/** Volts of the threshold, and how far outside it is no MOSFET of that kind. */
export const THRESHOLD = practice({ low: 1, high: 5, below: 0.6, above: 1.3 } as const);
/** On resistance against the largest of the datasheet, by grade. */
export const ON = practice({ A: 1, B: 1.2, C: 1.5, wrong: 0.3 } as const);
/** Lead resistance above this share of the result spoils a two-wire measurement. */
const LEAD_SHARE = 0.2;
/** Drain leakage in amperes. */
const LEAKAGE = practice({ good: 10e-6, bad: 100e-6 } as const);

export interface MosfetTest {
  readonly readings: Readings;
  /** Largest on resistance and gate threshold where they are known. */
  readonly nominal: { readonly rdsOn?: number | undefined; readonly vgsTh?: number | undefined };
  /** P channel: every polarity is the other way round. */
  readonly isPChannel?: boolean;
  readonly technology?: string | undefined;
  readonly damage: readonly string[];
}

/** What a switch is worth that was never seen to switch. */
export function notProved(what: string): Criterion {
  return { grade: 'B', text: `It was never turned on, so it is not proved: ${what}` };
}

/** Judges a MOSFET by its body diode, its blocking and its gate, and by what a fixture said of it. */
export function judgeMosfet({ readings, nominal, isPChannel = false, technology, damage }: MosfetTest): Judgement {
  const isProved = readings.hold ?? readings.threshold ?? readings.onVolts;
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.body,
      `The body diode was not measured (${isPChannel ? 'red on drain, black on source' : 'red on source, black on drain'}).`,
      (reading) => bodyCriterion(reading, { isPChannel, technology }),
      'diode',
    ),
    ...criterionOf(
      readings.blocking,
      'Drain to source was not measured with the gate tied to the source.',
      blockingCriterion,
      'ohm',
    ),
    ...criterionOf(readings.gate, 'The gate’s insulation was not measured.', gateCriterion, 'ohm'),
    ...criterionOf(readings.hold, null, holdCriterion),
    ...criterionOf(readings.threshold, null, (reading) => thresholdCriterion(reading, nominal.vgsTh), 'dcVolt'),
    ...criterionOf(readings.onVolts, null, (reading) => onCriterion(reading, readings, nominal.rdsOn)),
    ...criterionOf(readings.leakage, null, leakageCriterion, 'current'),
    ...(isProved ? [] : [notProved('touch the gate with the meter’s plus and see it conduct, or use a fixture.')]),
  ]);
}

function bodyCriterion(
  { value: volts }: Reading,
  { isPChannel, technology }: { isPChannel: boolean; technology: string | undefined },
): Criterion {
  const isCarbide = technology === 'silicon carbide';
  if (volts === Infinity)
    return isCarbide
      ? { grade: 'A', text: 'The body diode reads OL: silicon carbide drops 2.5 to 4 V, more than many meters give.' }
      : {
          grade: 'cannot tell',
          text: `${isPChannel ? 'Drain to source' : 'Source to drain'} reads OL: open, a wide-gap part, or the leads the other way round. ${isPChannel ? 'Of a P channel red goes on the drain.' : 'Of an N channel red goes on the source.'}`,
        };
  const message = `Body diode ${formatQuantity(volts, 'volt')}`;
  if (volts <= BODY_DIODE.shorted) return { grade: 'reject', text: `${message}: drain and source are shorted.` };
  if (isCarbide && volts >= CARBIDE_BODY.low && volts <= CARBIDE_BODY.high)
    return { grade: 'A', text: `${message}, 2.5 to 4 V for silicon carbide.` };
  if (volts < BODY_DIODE.low || volts > BODY_DIODE.high)
    return {
      grade: 'cannot tell',
      text: `${message}, usual ${BODY_DIODE.low} to ${BODY_DIODE.high} V for silicon. Measure again.`,
    };
  return { grade: 'A', text: `${message}, usual ${BODY_DIODE.low} to ${BODY_DIODE.high} V.` };
}

function blockingCriterion({ value: ohms }: Reading): Criterion {
  if (ohms < BLOCKING.bad)
    return { grade: 'reject', text: `Drain to source ${formatQuantity(ohms, 'ohm')}: it does not block.` };
  if (ohms < BLOCKING.good)
    return {
      grade: 'cannot tell',
      text: `Drain to source ${formatQuantity(ohms, 'ohm')}, over 1 MΩ is wanted. Short gate to source and repeat.`,
    };
  return { grade: 'A', text: 'Drain to source blocks with the gate tied to the source.' };
}

/** The insulation of an insulated gate, of a MOSFET or an IGBT. */
export function gateCriterion({ value: ohms }: Reading): Criterion {
  if (ohms < GATE.punched)
    return { grade: 'reject', text: `The gate reads ${formatQuantity(ohms, 'ohm')}: it is punched.` };
  if (ohms < GATE.good)
    return { grade: 'cannot tell', text: `The gate reads ${formatQuantity(ohms, 'ohm')}, over 10 MΩ is wanted.` };
  return { grade: 'A', text: 'The gate insulates.' };
}

function holdCriterion({ value: seconds }: Reading): Criterion {
  const message = `The gate held its charge for ${formatQuantity(seconds, 'second')}`;
  if (seconds < HOLD.bad) return { grade: 'reject', text: `${message}: it leaks.` };
  if (seconds < HOLD.good)
    return { grade: 'cannot tell', text: `${message}, over 10 s is usual. Wipe it dry and repeat.` };
  return { grade: 'A', text: `${message}.` };
}

function thresholdCriterion({ value: volts }: Reading, printed: number | undefined): Criterion {
  const low = (printed ?? THRESHOLD.low) * THRESHOLD.below;
  const high = (printed ?? THRESHOLD.high) * THRESHOLD.above;
  const message = `Gate threshold ${formatQuantity(volts, 'volt')}, ${formatQuantity(low, 'volt')} to ${formatQuantity(high, 'volt')} is credible`;
  return volts < low || volts > high ? { grade: 'reject', text: `${message}.` } : { grade: 'A', text: `${message}.` };
}

function onCriterion(drop: Reading, { onAmps, leads }: Readings, limit: number | undefined): Criterion {
  if (!onAmps || onAmps.value <= 0)
    return { grade: 'cannot tell', text: 'The drop when on needs the current it was taken at.' };
  const measured = onResistance(drop, onAmps, leads?.value ?? 0);
  const message = `On resistance ${formatQuantity(measured.value, 'ohm', { digits: 3 })}`;
  if (leads && leads.value > LEAD_SHARE * measured.value)
    return {
      grade: 'cannot tell',
      text: `${message}, but the leads add ${formatQuantity(leads.value, 'ohm', { digits: 2 })}: measure with four wires.`,
    };
  if (limit === undefined)
    return { grade: 'B', text: `${message}; the datasheet’s limit is not known, so no better than B.` };
  const ratio = measured.value / limit;
  const against = `${message}, datasheet at most ${formatQuantity(limit, 'ohm')}`;
  if (ratio < ON.wrong) return { grade: 'cannot tell', text: `${against}: too good. Is it the part it says?` };
  const grades = (['A', 'B', 'C'] as const).map((grade) => ({ grade, limit: ON[grade] }));
  const grade = gradeAgainst(ratio, measured.standard / limit, grades, 'at-most');
  return {
    grade,
    text: {
      A: `${against}.`,
      B: `${against}: a little much.`,
      C: `${against}: at a reduced current only.`,
      reject: `${against}: a bond wire is gone, or it is not what it says.`,
      'cannot tell': `${against}; the meters cannot tell.`,
    }[grade],
    ...(grade === 'B' || grade === 'C'
      ? { limits: [{ kind: 'derated', rating: 'id', share: grade === 'B' ? 0.8 : 0.5 }] as const }
      : {}),
  };
}

/**
 * On resistance from a drop and its current, in ohms, less the leads of a two-wire measurement; the
 * relative uncertainties add as squares. Method: JCGM 100 (GUM).
 */
export function onResistance(drop: Reading, current: Reading, leads: number): { value: number; standard: number } {
  const gross = drop.value / current.value;
  const relative = Math.hypot(
    readingUncertainty(drop, 'dcVolt').standard / drop.value,
    readingUncertainty(current, 'current').standard / current.value,
  );
  return { value: gross - leads, standard: gross * relative };
}

function leakageCriterion({ value: amperes }: Reading): Criterion {
  const message = `Drain leakage ${formatQuantity(amperes, 'ampere')}`;
  if (amperes > LEAKAGE.bad) return { grade: 'reject', text: `${message}: it does not block.` };
  if (amperes > LEAKAGE.good)
    return {
      grade: 'B',
      text: `${message}, under 10 µA is usual.`,
      limits: [{ kind: 'derated', rating: 'vds', share: 0.5 }],
    };
  return { grade: 'A', text: `${message}.` };
}
