import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { criterionOf, damageCriteria, judge, type Criterion, type Judgement, type Readings } from './judgement';
import { gateCriterion, notProved } from './judgeMosfet';

/** Junction drops at about 1 mA, volts; below `shorted` a junction is a short. */
export const JUNCTION = practice({ shorted: 0.1, low: 0.55, high: 0.75 } as const);
const BLOCKING = { good: 1e6, bad: 100e3 } as const;
/** A resistor built in between base and emitter, of darlington and damper types, ohms. */
const BUILT_IN = practice({ low: 30, high: 10e3 } as const);
/** Smallest gain that is no fault, whatever the type: high-voltage switching types show 8 to 40. */
const SMALLEST_GAIN = practice(8);
/**
 * The least gain that types of a class have in their datasheets: small ones to 1 A and 100 V, high-voltage switching ones
 * from 350 V, power ones between.
 */
export const LEAST_GAIN = practice({ small: 60, power: 20, highVoltage: 8 } as const);
/** Below this share of it a gain is far under its range, and below the next it is lost. */
const GAIN_SHARE = practice({ far: 0.6, lost: 0.25 } as const);
/** Saturation voltage of an IGBT at half its current, volts. */
export const SATURATION = practice({ low: 1.2, high: 2.2, bad: 3.5 } as const);
/** The diode beside an IGBT, volts. */
const BESIDE = practice({ low: 0.35, high: 0.7 } as const);

export interface TransistorTest {
  readonly readings: Readings;
  /** Volts and amperes of its type, where they are known. */
  readonly nominal?: {
    readonly vceo?: number | undefined;
    readonly ic?: number | undefined;
    readonly gain?: number | undefined;
  };
  readonly damage: readonly string[];
}

/** Judges a bipolar transistor by its junctions, its blocking and its gain. */
export function judgeTransistor({ readings, nominal = {}, damage }: TransistorTest): Judgement {
  const { be, bc } = readings;
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(
      be,
      'Base to emitter was not measured.',
      ({ value }) => junctionCriterion('Base to emitter', value),
      'diode',
    ),
    ...criterionOf(
      bc,
      'Base to collector was not measured.',
      ({ value }) => junctionCriterion('Base to collector', value),
      'diode',
    ),
    ...criterionOf(
      readings.ce,
      'Collector to emitter was not measured.',
      ({ value }) => blockingCriterion(value),
      'ohm',
    ),
    ...criterionOf(readings.gain, null, ({ value }) => gainCriterion(value, leastGain(nominal))),
    ...(readings.gain ? [] : [notProved('read its current gain.')]),
  ];
  if (be && bc && Number.isFinite(be.value + bc.value) && be.value + 0.02 < bc.value)
    criteria.push({
      grade: 'cannot tell',
      text: 'Base to emitter is usually the higher of the two: collector and emitter may be swapped.',
    });
  return judge(criteria);
}

function junctionCriterion(name: string, volts: number): Criterion {
  if (volts === Infinity) return { grade: 'reject', text: `${name} reads OL: the junction is open.` };
  const message = `${name} ${formatQuantity(volts, 'volt')}`;
  if (volts < JUNCTION.shorted) return { grade: 'reject', text: `${message}: shorted.` };
  if (volts >= JUNCTION.low && volts <= JUNCTION.high) return { grade: 'A', text: `${message}, usual 0.55 to 0.75 V.` };
  return {
    grade: 'cannot tell',
    text: `${message}, usual 0.55 to 0.75 V. A resistor built in (${formatQuantity(BUILT_IN.low, 'ohm')} to ${formatQuantity(BUILT_IN.high, 'ohm')}) pulls it down: is it a darlington or damper type?`,
  };
}

function blockingCriterion(ohms: number): Criterion {
  const message = `Collector to emitter ${ohms === Infinity ? 'OL' : formatQuantity(ohms, 'ohm')}`;
  if (ohms < BLOCKING.bad) return { grade: 'reject', text: `${message}: it does not block.` };
  return ohms < BLOCKING.good
    ? { grade: 'cannot tell', text: `${message}, over 1 MΩ is wanted.` }
    : { grade: 'A', text: 'It blocks.' };
}

/** The least gain of its class; none where its ratings are not known. */
function leastGain({ vceo, ic, gain }: NonNullable<TransistorTest['nominal']>): number | undefined {
  if (gain !== undefined) return gain;
  if (vceo === undefined || ic === undefined) return undefined;
  if (vceo >= 350) return LEAST_GAIN.highVoltage;
  return ic <= 1 && vceo <= 100 ? LEAST_GAIN.small : LEAST_GAIN.power;
}

function gainCriterion(gain: number, least: number | undefined): Criterion {
  const message = `Current gain ${Math.round(gain)}`;
  if (gain < 1) return { grade: 'reject', text: `${message}: it does not amplify. Are its legs in the right holes?` };
  if (least !== undefined && gain < least * GAIN_SHARE.lost)
    return { grade: 'reject', text: `${message}, its type has ${least} and more: it has lost its gain.` };
  if (least !== undefined && gain < least * GAIN_SHARE.far)
    return {
      grade: 'C',
      text: `${message}, far under the ${least} and more of its type; power types read low on a tester that gives them milliamperes.`,
      limits: [{ kind: 'derated', rating: 'ic', share: 0.5 }],
    };
  if (gain < SMALLEST_GAIN)
    return {
      grade: 'C',
      text: `${message}, 8 to 40 for high-voltage switching types and more for others.`,
      limits: [{ kind: 'derated', rating: 'ic', share: 0.5 }],
    };
  return {
    grade: 'A',
    text: `${message}; 100 to 600 is usual for small ones, 40 to 200 for power, 8 to 40 for high-voltage switching.`,
  };
}

/** Judges an IGBT by its gate, its blocking and its saturation; an on resistance says nothing of it. */
export function judgeIgbt({ readings, damage }: TransistorTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.blocking,
      'Collector to emitter was not measured with the gate tied to the emitter.',
      ({ value }) => blockingCriterion(value),
      'ohm',
    ),
    ...criterionOf(
      readings.reverse,
      'Emitter to collector was not measured.',
      ({ value }) => besideCriterion(value),
      'diode',
    ),
    ...criterionOf(readings.gate, 'The gate’s insulation was not measured.', gateCriterion, 'ohm'),
    ...criterionOf(readings.saturation, null, ({ value }) => saturationCriterion(value), 'dcVolt'),
    ...(readings.saturation ? [] : [notProved('read its saturation with 15 V at the gate.')]),
  ]);
}

function besideCriterion(volts: number): Criterion {
  if (volts === Infinity)
    return { grade: 'A', text: 'Emitter to collector reads OL: no diode inside. It needs one outside in a bridge.' };
  const message = `Emitter to collector ${formatQuantity(volts, 'volt')}`;
  if (volts < 0.05) return { grade: 'reject', text: `${message}: shorted.` };
  return volts >= BESIDE.low && volts <= BESIDE.high
    ? { grade: 'A', text: `${message}: the diode inside is whole.` }
    : { grade: 'cannot tell', text: `${message}, 0.35 to 0.7 V is usual for the diode inside.` };
}

function saturationCriterion(volts: number): Criterion {
  const message = `Saturation ${formatQuantity(volts, 'volt')}, ${SATURATION.low} to ${SATURATION.high} V is usual at half its current`;
  if (volts > SATURATION.bad) return { grade: 'reject', text: `${message}.` };
  return volts > SATURATION.high
    ? { grade: 'B', text: `${message}.`, limits: [{ kind: 'derated', rating: 'ic', share: 0.7 }] }
    : { grade: 'A', text: `${message}.` };
}
