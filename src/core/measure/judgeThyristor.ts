import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { criterionOf, damageCriteria, judge, type Criterion, type Judgement, type Readings } from './judgement';

/** Ohms that a good one shows when it blocks, and below which it does not. */
export const BLOCKING = practice({ good: 1e6, bad: 100e3 } as const);
/** Ohms from gate to MT1 of a triac. */
export const TRIAC_GATE = practice({ low: 30, high: 500, shorted: 5 } as const);
/** Volts from gate to cathode of a thyristor; large ones read like a resistor. */
export const SCR_GATE = practice({ low: 0.02, high: 0.9 } as const);

export interface ThyristorTest {
  readonly readings: Readings;
  readonly damage: readonly string[];
}

/** Judges a triac by its blocking, its gate, and whether it latches in the quadrants it is used in. */
export function judgeTriac({ readings, damage }: ThyristorTest): Judgement {
  const { latch, latchThird } = readings;
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(readings.blocking, 'MT2 to MT1 was not measured.', ({ value }) => blockingCriterion(value), 'ohm'),
    ...criterionOf(
      readings.gate,
      'Gate to MT1 was not measured.',
      ({ value }) => triacGate(value, latch?.value === 1),
      'ohm',
    ),
    ...latchCriteria(latch?.value, 'with gate and MT2 positive'),
    ...latchCriteria(latchThird?.value, 'with both negative'),
  ];
  if (latch?.value === 1 && latchThird === undefined)
    criteria.push({
      grade: 'B',
      text: 'It was latched one way only: it may serve direct current, not the mains.',
      limits: [{ kind: 'not-for', use: 'mains' }],
    });
  return judge(criteria);
}

/** Judges a thyristor by its blocking, its gate, and whether it latches and stays on. */
export function judgeThyristor({ readings, damage }: ThyristorTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.blocking,
      'Anode to cathode was not measured.',
      ({ value }) => blockingCriterion(value),
      'ohm',
    ),
    ...criterionOf(readings.gate, 'Gate to cathode was not measured.', ({ value }) => scrGate(value), 'diode'),
    ...latchCriteria(readings.latch?.value, 'and stays on'),
  ]);
}

function blockingCriterion(ohms: number): Criterion {
  const message = ohms === Infinity ? 'It blocks' : `Blocking it reads ${formatQuantity(ohms, 'ohm')}`;
  if (ohms < BLOCKING.bad) return { grade: 'reject', text: `${message}: it conducts before it is told to.` };
  return ohms < BLOCKING.good
    ? { grade: 'cannot tell', text: `${message}, over 1 MΩ is wanted.` }
    : { grade: 'A', text: `${message}.` };
}

function triacGate(ohms: number, latches: boolean): Criterion {
  if (ohms === Infinity) return { grade: 'reject', text: 'Gate to MT1 reads OL: the gate is open.' };
  const message = `Gate to MT1 ${formatQuantity(ohms, 'ohm')}`;
  if (ohms < TRIAC_GATE.shorted) return { grade: 'reject', text: `${message}: shorted.` };
  if (latches && (ohms < TRIAC_GATE.low || ohms > TRIAC_GATE.high))
    return { grade: 'A', text: `${message}: large ones have as little, and it latches.` };
  return ohms < TRIAC_GATE.low || ohms > TRIAC_GATE.high
    ? { grade: 'cannot tell', text: `${message}, 50 to 300 Ω is usual.` }
    : { grade: 'A', text: `${message}, 50 to 300 Ω is usual.` };
}

function scrGate(volts: number): Criterion {
  if (volts === Infinity) return { grade: 'reject', text: 'Gate to cathode reads OL: the gate is open.' };
  const message = `Gate to cathode ${formatQuantity(volts, 'volt')}`;
  return volts < SCR_GATE.low
    ? { grade: 'reject', text: `${message}: shorted.` }
    : volts > SCR_GATE.high
      ? { grade: 'cannot tell', text: `${message}, under 0.9 V is usual.` }
      : { grade: 'A', text: `${message}.` };
}

function latchCriteria(latched: number | undefined, how: string): readonly Criterion[] {
  if (latched === undefined)
    return how === 'with both negative'
      ? []
      : [
          {
            grade: 'cannot tell',
            text: 'Whether it latches was not tried: 12 V, 120 Ω, a short pulse of 10 to 50 mA at the gate.',
          },
        ];
  return [
    latched === 1 ? { grade: 'A', text: `It latches ${how}.` } : { grade: 'reject', text: `It does not latch ${how}.` },
  ];
}
