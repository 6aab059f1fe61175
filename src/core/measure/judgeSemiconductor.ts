import { formatQuantity } from '../quantity';
import { judge, type Criterion, type Judgement, type Measured } from './judgement';

/** Diode-mode windows in volts at about 1 mA. Common practice, no source. */
const BODY_DIODE = { shorted: 0.05, low: 0.4, high: 0.7 } as const;
/** Insulation that a good gate shows, and below which it is punched, in ohms. Common practice, no source. */
const GATE = { good: 10e6, punched: 1e6 } as const;
/** Drain to source with the gate shorted to the source, in ohms. Common practice, no source. */
const BLOCKING = { good: 1e6, bad: 100e3 } as const;

export interface MosfetTest {
  /** Source to drain in diode mode, volts. */
  readonly body?: Measured | undefined;
  /** Drain to source in diode or ohm mode, gate tied to source; Infinity is OL. */
  readonly blocking?: Measured | undefined;
  /** Gate to source, ohms. */
  readonly gate?: Measured | undefined;
  readonly damage: readonly string[];
  readonly inCircuit: boolean;
}

/** Judges a MOSFET by its body diode, its blocking and its gate, as a handheld meter sees them. */
export function judgeMosfet(test: MosfetTest): Judgement {
  const criteria: Criterion[] = test.damage.map((word) => ({ grade: 'reject', text: `It is ${word}.` }));
  criteria.push(
    test.body
      ? bodyCriterion(test.body.value)
      : { grade: 'cannot tell', text: 'The body diode was not measured (red on source, black on drain).' },
  );
  criteria.push(
    test.blocking
      ? blockingCriterion(test.blocking.value)
      : { grade: 'cannot tell', text: 'Drain to source was not measured with the gate tied to the source.' },
  );
  criteria.push(
    test.gate
      ? gateCriterion(test.gate.value)
      : { grade: 'cannot tell', text: 'The gate’s insulation was not measured.' },
  );
  return judge(criteria, test.inCircuit);
}

function bodyCriterion(volts: number): Criterion {
  if (volts === Infinity)
    return { grade: 'cannot tell', text: 'Source to drain reads OL: open, or a wide-gap part. Check the kind.' };
  const says = `Body diode ${formatQuantity(volts, 'volt')}`;
  if (volts <= BODY_DIODE.shorted) return { grade: 'reject', text: `${says}: drain and source are shorted.` };
  if (volts < BODY_DIODE.low || volts > BODY_DIODE.high)
    return {
      grade: 'cannot tell',
      text: `${says}, usual ${BODY_DIODE.low} to ${BODY_DIODE.high} V for silicon. Measure again.`,
    };
  return { grade: 'A', text: `${says}, usual ${BODY_DIODE.low} to ${BODY_DIODE.high} V.` };
}

function blockingCriterion(ohms: number): Criterion {
  if (ohms < BLOCKING.bad)
    return { grade: 'reject', text: `Drain to source ${formatQuantity(ohms, 'ohm')}: it does not block.` };
  if (ohms < BLOCKING.good)
    return {
      grade: 'cannot tell',
      text: `Drain to source ${formatQuantity(ohms, 'ohm')}, over 1 MΩ is wanted. Short gate to source and repeat.`,
    };
  return { grade: 'A', text: 'Drain to source blocks with the gate tied to the source.' };
}

function gateCriterion(ohms: number): Criterion {
  if (ohms < GATE.punched)
    return { grade: 'reject', text: `Gate to source ${formatQuantity(ohms, 'ohm')}: the gate is punched.` };
  if (ohms < GATE.good)
    return { grade: 'cannot tell', text: `Gate to source ${formatQuantity(ohms, 'ohm')}, over 10 MΩ is wanted.` };
  return { grade: 'A', text: 'The gate insulates.' };
}

export interface DiodeTest {
  readonly forward?: Measured | undefined;
  /** Ohms the other way; Infinity is OL. */
  readonly reverse?: Measured | undefined;
  /** What the marking says, when it says so. */
  readonly technology?: string | undefined;
  readonly damage: readonly string[];
  readonly inCircuit: boolean;
}

/** Forward drop at about 1 mA by technology, volts. Common practice, no source. */
const FORWARD: Readonly<Record<string, { readonly low: number; readonly high: number; readonly words: string }>> = {
  schottky: { low: 0.15, high: 0.35, words: 'a Schottky' },
  fast: { low: 0.45, high: 0.65, words: 'a fast silicon diode' },
  rectifier: { low: 0.45, high: 0.65, words: 'a silicon rectifier' },
  zener: { low: 0.6, high: 0.75, words: 'a zener' },
  led: { low: 1.6, high: 3.5, words: 'an LED' },
};
const FORWARD_SHORTED = 0.1;
const REVERSE = { good: 1e6 } as const;

/** Judges a diode by its forward drop in diode mode and its reverse reading. */
export function judgeDiode(test: DiodeTest): Judgement {
  const criteria: Criterion[] = test.damage.map((word) => ({ grade: 'reject', text: `It is ${word}.` }));
  criteria.push(
    test.forward
      ? forwardCriterion(test.forward.value, test.technology)
      : { grade: 'cannot tell', text: 'The forward drop was not measured.' },
  );
  if (!test.reverse) criteria.push({ grade: 'cannot tell', text: 'The other way round was not measured.' });
  else if (test.reverse.value < REVERSE.good)
    criteria.push({
      grade: 'reject',
      text: `The other way it reads ${formatQuantity(test.reverse.value, 'ohm')}: it leaks.`,
    });
  else criteria.push({ grade: 'A', text: 'It blocks the other way.' });
  if (test.technology === 'rectifier')
    criteria.push({
      grade: 'A',
      text: 'The meter cannot tell a mains rectifier from a fast one: never use it at switching frequency.',
    });
  return judge(criteria, test.inCircuit);
}

function forwardCriterion(volts: number, technology: string | undefined): Criterion {
  if (volts === Infinity) return { grade: 'reject', text: 'Forward reads OL: the diode is open.' };
  const says = `Forward drop ${formatQuantity(volts, 'volt')}`;
  if (volts < FORWARD_SHORTED) return { grade: 'reject', text: `${says}: shorted.` };
  const usual = technology === undefined ? undefined : FORWARD[technology];
  if (!usual) {
    const like = Object.values(FORWARD).find(({ low, high }) => volts >= low && volts <= high);
    return like
      ? { grade: 'B', text: `${says}: that of ${like.words}, but the marking is not read.` }
      : { grade: 'cannot tell', text: `${says}: between a Schottky and a silicon diode. Measure its leakage.` };
  }
  if (volts >= usual.low && volts <= usual.high)
    return { grade: 'A', text: `${says}, usual ${usual.low} to ${usual.high} V for ${usual.words}.` };
  return {
    grade: 'cannot tell',
    text: `${says}, but ${usual.words} shows ${usual.low} to ${usual.high} V. Is the marking read right?`,
  };
}
