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

/** A whole fuse reads under this, in ohms; a small one drops up to so many volts at its current, which bounds it. */
export const FUSE_WHOLE = practice({ ohms: 1, volts: 3 } as const);
/** Cold varistor, ohms; and how far its voltage may have moved. */
export const VARISTOR = practice({ insulation: 10e6, moved: 0.1 } as const);
/** How far a thermistor may be off at 25 °C, and the constant of its material in kelvin. */
export const THERMISTOR = practice({ within: 0.2, beta: 3200 } as const);
const KELVIN = 273.15;

interface ProtectionTest {
  readonly readings: Readings;
  readonly nominal: number | undefined;
  readonly damage: readonly string[];
}

/** A fuse is told whole or blown and then replaced: a used one is never graded and never kept. */
export function judgeFuse({ readings, nominal, damage }: ProtectionTest): Judgement {
  const whole = nominal === undefined ? FUSE_WHOLE.ohms : Math.max(FUSE_WHOLE.ohms, FUSE_WHOLE.volts / nominal);
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(readings.resistance, 'The fuse was not measured.', ({ value }): Criterion => {
      if (value === Infinity || value > whole)
        return { grade: 'reject', text: 'The fuse is blown: find out why before power comes back.' };
      return {
        grade: 'reject',
        text: 'It conducts, but what it went through shows on no meter: a used fuse is replaced new, of the same rating.',
      };
    }),
  ]);
}

/** Judges a varistor by its cold resistance and its voltage at 1 mA. */
export function judgeVaristor({ readings, nominal, damage }: ProtectionTest): Judgement {
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(
      readings.insulation,
      'Its cold resistance was not measured.',
      ({ value }) =>
        value < VARISTOR.insulation
          ? {
              grade: 'reject',
              text: `Cold it reads ${formatQuantity(value, 'ohm')}, over 10 MΩ is wanted: it has let go.`,
            }
          : { grade: 'A', text: 'Cold it insulates.' },
      'ohm',
    ),
    ...criterionOf(readings.knee, null, (reading) => kneeCriterion(reading, nominal), 'dcVolt'),
  ];
  if (!readings.knee)
    criteria.push({
      grade: 'C',
      text: 'Its voltage at 1 mA was not measured: what surges it took cannot be seen.',
      limits: [{ kind: 'not-for', use: 'mains' }],
    });
  return judge(criteria);
}

function kneeCriterion(reading: Reading, nominal: number | undefined): Criterion {
  const message = `${formatQuantity(reading.value, 'volt')} at 1 mA`;
  if (nominal === undefined) return { grade: 'cannot tell', text: `${message}; the code on its disc is not read.` };
  const off = Math.abs(reading.value / nominal - 1);
  return {
    grade: off <= VARISTOR.moved ? 'A' : 'reject',
    text: `${message}, ${formatQuantity(nominal, 'volt')} ± 10 % is its code.`,
  };
}

/**
 * Judges a thermistor by its cold resistance, that of an NTC brought to 25 °C, and whether it goes the right way when
 * warmed.
 */
export function judgeThermistor({
  readings,
  nominal,
  positive,
  damage,
}: ProtectionTest & { readonly positive: boolean }): Judgement {
  const around = readings.around?.value ?? 25;
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.resistance,
      'Its cold resistance was not measured.',
      (reading): Criterion => {
        if (reading.value === Infinity) return { grade: 'reject', text: 'It reads OL: open.' };
        const at25 = reading.value * (positive ? 1 : towards25(around));
        const message = `${formatQuantity(reading.value, 'ohm')} at ${formatQuantity(around, 'celsius')}${around === 25 ? '' : `, ${formatQuantity(at25, 'ohm')} at 25 °C`}`;
        if (nominal === undefined) return { grade: 'cannot tell', text: `${message}; its marking is not read.` };
        return {
          grade: Math.abs(at25 / nominal - 1) <= THERMISTOR.within ? 'A' : 'reject',
          text: `${message}, ${formatQuantity(nominal, 'ohm')} ± 20 % is its marking.`,
        };
      },
      'ohm',
    ),
    ...criterionOf(readings.falls, null, ({ value }) =>
      (value === 1) === positive
        ? {
            grade: 'reject',
            text: `It ${positive ? 'falls' : 'does not fall'} when warmed: ${positive ? 'a PTC rises' : 'an NTC does'}.`,
          }
        : { grade: 'A', text: positive ? 'It does not fall when warmed.' : 'It falls when warmed.' },
    ),
  ]);
}

/** Factor from the resistance at a temperature to that at 25 °C: e^(B·(1/298.15 − 1/T)). */
function towards25(celsius: number): number {
  return Math.exp(THERMISTOR.beta * (1 / (25 + KELVIN) - 1 / (celsius + KELVIN)));
}
