import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import {
  criterionOf,
  damageCriteria,
  judge,
  type Criterion,
  type Judgement,
  type Reading,
  type Readings,
} from './judgement';

/** Reference voltage of the 431 class, volts: multi-source datasheets, from memory. */
const REFERENCE = 2.495;
/** Shares of the nominal output within which a reference or regulator is as new, and usable. */
export const REFERENCE_WITHIN = practice({ A: 0.02, B: 0.04 } as const);
export const REGULATOR_WITHIN = { A: 0.05, B: 0.08 } as const;
/** Smallest cathode current at which a 431 regulates, amperes: multi-source datasheets, from memory. */
const LEAST_CURRENT = 1e-3;

interface ReferenceTest {
  readonly readings: Readings;
  readonly nominal: number | undefined;
  readonly damage: readonly string[];
}

/** Judges a shunt reference by the voltage it keeps. */
export function judgeReference({ readings, nominal, damage }: ReferenceTest): Judgement {
  const { current } = readings;
  const starved = current !== undefined && current.value < LEAST_CURRENT;
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.reference,
      'Its voltage was not measured.',
      (reading) =>
        starved
          ? {
              grade: 'cannot tell',
              text: `At ${formatQuantity(current.value, 'ampere')} it is starved: at least 1 mA is needed.`,
            }
          : outputCriterion(reading, nominal ?? REFERENCE, REFERENCE_WITHIN, 'Reference'),
      'dcVolt',
    ),
  ]);
}

/** Judges a fixed regulator by its output. */
export function judgeRegulator({ readings, nominal, damage }: ReferenceTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.output,
      'Its output was not measured.',
      (reading) =>
        nominal === undefined
          ? { grade: 'cannot tell', text: 'What it should give is not known; read the marking first.' }
          : readings.input && Math.abs(readings.input.value) < Math.abs(nominal) + 2
            ? {
                grade: 'cannot tell',
                text: `From ${formatQuantity(readings.input.value, 'volt')} it may be starved: give it 2 V more than its output.`,
              }
            : outputCriterion(reading, nominal, REGULATOR_WITHIN, 'Output'),
      'dcVolt',
    ),
  ]);
}

function outputCriterion(reading: Reading, nominal: number, within: { A: number; B: number }, name: string): Criterion {
  const off = Math.abs(Math.abs(reading.value) / Math.abs(nominal) - 1);
  const grade = off <= within.A ? 'A' : off <= within.B ? 'B' : 'reject';
  return {
    grade,
    text: `${name} ${formatQuantity(reading.value, 'volt', { digits: 4 })}, ${formatQuantity(nominal, 'volt', { digits: 4 })} ± ${formatQuantity(within.A, 'ratio')} is wanted.`,
    ...(grade === 'B' ? { limits: [{ kind: 'not-for', use: 'precision' }] as const } : {}),
  };
}
