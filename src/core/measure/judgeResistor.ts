import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { withinLimit } from '../uncertainty';
import {
  criterionOf,
  damageCriteria,
  readingUncertainty,
  judge,
  type Criterion,
  type Judgement,
  type Reading,
  type Readings,
} from './judgement';

export interface ResistorTest {
  readonly readings: Readings;
  readonly nominal?: number | undefined;
  readonly tolerance?: number | undefined;
  readonly damage: readonly string[];
}

export const DEFAULT_TOLERANCE = 0.05;
/** Trimmers are looser. */
export const TRIMMER_TOLERANCE = practice(0.2);

/** Judges a resistor against its marked value and tolerance, meter uncertainty included. */
export function judgeResistor({ readings, nominal, tolerance = DEFAULT_TOLERANCE, damage }: ResistorTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(readings.resistance, 'The resistance was not measured.', (reading) =>
      valueCriterion(reading, readings.leads?.value ?? 0, nominal, tolerance),
    ),
  ]);
}

/** Judges a trimmer by its track and its wiper. */
export function judgeTrimmer({ readings, nominal, tolerance = TRIMMER_TOLERANCE, damage }: ResistorTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(readings.resistance, 'The track was not measured.', (reading) =>
      valueCriterion(reading, 0, nominal, tolerance),
    ),
    ...criterionOf(readings.smooth, 'Whether the wiper runs smoothly was not tried.', ({ value }) =>
      value === 1
        ? { grade: 'A', text: 'The wiper runs smoothly.' }
        : { grade: 'C', text: 'The wiper jumps.', limits: [{ kind: 'not-for', use: 'precision' }] },
    ),
  ]);
}

function valueCriterion(reading: Reading, leads: number, nominal: number | undefined, tolerance: number): Criterion {
  if (reading.value === Infinity) return { grade: 'reject', text: 'It reads OL: open.' };
  if (nominal === undefined)
    return { grade: 'cannot tell', text: 'The marked value is not known; read the marking first.' };
  const { standard, expanded, limit } = readingUncertainty(reading, 'ohm');
  const value = Math.max(0, reading.value - leads);
  const message = `${formatQuantity(value, 'ohm', { digits: 4 })} against ${formatQuantity(nominal, 'ohm')} ± ${formatQuantity(tolerance, 'ratio')}`;
  if (limit > value)
    return {
      grade: 'cannot tell',
      text: `${message}: this meter’s error is larger than the reading. Measure with four wires.`,
    };
  const low = withinLimit({ value, standard, limit: nominal * (1 - tolerance), side: 'at-least' }).verdict;
  const high = withinLimit({ value, standard, limit: nominal * (1 + tolerance), side: 'at-most' }).verdict;
  if (low === 'outside' || high === 'outside') return { grade: 'reject', text: `${message}: outside.` };
  if (low === 'cannot-tell' || high === 'cannot-tell')
    return {
      grade: 'cannot tell',
      text: `${message}: ± ${formatQuantity(expanded, 'ohm', { digits: 2 })} of the meter straddles the limit.${leads === 0 && nominal < 10 ? ' Retest with the leads zeroed.' : ''}`,
    };
  return { grade: 'A', text: `${message}: within.` };
}
