import { formatQuantity } from '../quantity';
import { DEFAULT_ACCURACY, uncertaintyOf, withinLimit } from '../uncertainty';
import { judge, type Criterion, type Judgement, type Measured } from './judgement';

export interface ResistorTest {
  readonly resistance?: Measured | undefined;
  readonly nominal?: number | undefined;
  readonly tolerance?: number | undefined;
  readonly damage: readonly string[];
  readonly inCircuit: boolean;
}

const DEFAULT_TOLERANCE = 0.05;

/** Judges a resistor against its marked value and tolerance, meter uncertainty included. */
export function judgeResistor({
  resistance,
  nominal,
  tolerance = DEFAULT_TOLERANCE,
  damage,
  inCircuit,
}: ResistorTest): Judgement {
  const criteria: Criterion[] = damage.map((word) => ({ grade: 'reject', text: `It is ${word}.` }));
  if (!resistance) criteria.push({ grade: 'cannot tell', text: 'The resistance was not measured.' });
  else if (resistance.value === Infinity) criteria.push({ grade: 'reject', text: 'It reads OL: open.' });
  else if (nominal === undefined)
    criteria.push({ grade: 'cannot tell', text: 'The marked value is not known; read the marking first.' });
  else criteria.push(valueCriterion(resistance, nominal, tolerance));
  return judge(criteria, inCircuit);
}

function valueCriterion(measured: Measured, nominal: number, tolerance: number): Criterion {
  const { standard, expanded } = uncertaintyOf({
    reading: measured.value,
    resolution: measured.resolution,
    accuracy: DEFAULT_ACCURACY.ohm,
  });
  const says = `${formatQuantity(measured.value, 'ohm', { digits: 4 })} against ${formatQuantity(nominal, 'ohm')} ± ${formatQuantity(tolerance, 'ratio')}`;
  if (expanded > measured.value)
    return {
      grade: 'cannot tell',
      text: `${says}: this meter’s error is larger than the reading. Measure with four wires.`,
    };
  const low = withinLimit({
    value: measured.value,
    standard,
    limit: nominal * (1 - tolerance),
    side: 'at-least',
  }).verdict;
  const high = withinLimit({
    value: measured.value,
    standard,
    limit: nominal * (1 + tolerance),
    side: 'at-most',
  }).verdict;
  if (low === 'outside' || high === 'outside') return { grade: 'reject', text: `${says}: outside.` };
  if (low === 'cannot-tell' || high === 'cannot-tell')
    return {
      grade: 'cannot tell',
      text: `${says}: ± ${formatQuantity(expanded, 'ohm', { digits: 2 })} of the meter straddles the limit.`,
    };
  return { grade: 'A', text: `${says}: within.` };
}
