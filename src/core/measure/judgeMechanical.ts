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

/** Shares of its rated voltage at which a relay pulls in and drops out. Common practice in the pattern of IEC 61810-1, from memory. */
export const RELAY = { pullIn: 0.8, dropOut: 0.05 } as const;
/** A closed contact, in ohms. */
export const CONTACT = practice({ good: 0.1, worn: 0.5 } as const);
/**
 * Shares of its voltage from which a fan starts; of its printed current; and of the speed to be expected when slowed.
 * Common practice, no source.
 */
export const FAN = { starts: 0.6, late: 0.8, current: 1.2, tired: 1.5, slow: 0.6 } as const;
/** Minutes of steady temperature that a heating run needs, and the smallest rise that tells anything. */
export const HEATING = { steady: 180, rise: 10, uncertainty: 2 } as const;

interface MechanicalTest {
  readonly readings: Readings;
  /** Rated volts and amperes. */
  readonly nominal: { readonly voltage?: number | undefined; readonly current?: number | undefined };
  readonly damage: readonly string[];
}

/** Judges a relay by its coil, where it pulls in and drops out, and its closed contact. */
export function judgeRelay({ readings, nominal, damage }: MechanicalTest): Judgement {
  const { voltage } = nominal;
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(readings.coil, 'The coil was not measured.', ({ value }) =>
      value === Infinity
        ? { grade: 'reject', text: 'The coil is open.' }
        : { grade: 'A', text: `Coil ${formatQuantity(value, 'ohm')}.` },
    ),
    ...criterionOf(
      readings.pullIn,
      'Where it pulls in was not tried.',
      ({ value }): Criterion => {
        const message = `It pulls in at ${formatQuantity(value, 'volt')}`;
        if (voltage === undefined) return { grade: 'cannot tell', text: `${message}; its coil voltage is not known.` };
        return value <= RELAY.pullIn * voltage
          ? { grade: 'A', text: `${message} of ${formatQuantity(voltage, 'volt')}.` }
          : {
              grade: value <= voltage ? 'C' : 'reject',
              text: `${message}, by ${formatQuantity(RELAY.pullIn * voltage, 'volt')} it should.`,
              // A weak pull presses its contacts weakly.
              limits: [{ kind: 'derated', rating: 'current', share: 0.5 }],
            };
      },
      'dcVolt',
    ),
    ...criterionOf(
      readings.dropOut,
      null,
      ({ value }): Criterion => {
        const message = `It drops out at ${formatQuantity(value, 'volt')}`;
        return voltage !== undefined && value < RELAY.dropOut * voltage
          ? { grade: 'reject', text: `${message}: it sticks.` }
          : { grade: 'A', text: `${message}.` };
      },
      'dcVolt',
    ),
    ...criterionOf(readings.contact, 'The closed contact was not measured.', contactCriterion),
  ]);
}

function contactCriterion(reading: Reading): Criterion {
  const { value } = reading;
  if (value === Infinity) return { grade: 'reject', text: 'The contact does not close.' };
  const { standard, expanded } = readingUncertainty(reading, 'ohm');
  const message = `Closed contact ${formatQuantity(value, 'ohm', { digits: 2 })}`;
  const grade = gradeAgainst(
    value,
    standard,
    [
      { grade: 'A', limit: CONTACT.good },
      { grade: 'C', limit: CONTACT.worn },
    ],
    'at-most',
  );
  if (grade === 'A') return { grade, text: `${message}.` };
  if (grade === 'reject') return { grade, text: `${message}: burnt away.` };
  if (grade === 'cannot tell' || value <= CONTACT.good)
    return {
      grade: 'cannot tell',
      text: `${message}, and ± ${formatQuantity(expanded, 'ohm', { digits: 2 })} of the meter straddles ${formatQuantity(value <= CONTACT.good ? CONTACT.good : CONTACT.worn, 'ohm')}. Zero the leads, or measure the drop at 1 A.`,
    };
  return {
    grade,
    text: `${message}: burnt. Signals and small loads only.`,
    limits: [{ kind: 'derated', rating: 'current', share: 0.2 }],
  };
}

/** Judges a fan by where it starts, what it draws, and whether it keeps to the fan laws when slowed. */
export function judgeFan({ readings, nominal, damage }: MechanicalTest): Judgement {
  const { voltage, current } = nominal;
  const { speed, slowSpeed, slowVolts } = readings;
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(
      readings.starts,
      'Where it starts was not tried.',
      ({ value }): Criterion => {
        const message = `It starts from ${formatQuantity(value, 'volt')}`;
        if (voltage === undefined) return { grade: 'B', text: `${message}; its voltage is not known.` };
        if (value > FAN.late * voltage)
          return { grade: 'reject', text: `${message} of ${formatQuantity(voltage, 'volt')}: its bearing is going.` };
        return value > FAN.starts * voltage
          ? {
              grade: 'B',
              text: `${message}: give it a kick at full voltage for a second.`,
              limits: [{ kind: 'not-for', use: 'cooling' }],
            }
          : { grade: 'A', text: `${message} of ${formatQuantity(voltage, 'volt')}.` };
      },
      'dcVolt',
    ),
    ...criterionOf(
      readings.current,
      'Its current was not measured.',
      ({ value }): Criterion => {
        const message = `It draws ${formatQuantity(value, 'ampere')}`;
        if (current === undefined) return { grade: 'A', text: `${message}.` };
        if (value > FAN.tired * current)
          return { grade: 'reject', text: `${message} of ${formatQuantity(current, 'ampere')}: it drags.` };
        return value > FAN.current * current
          ? {
              grade: 'C',
              text: `${message} of ${formatQuantity(current, 'ampere')}: the bearing is dry.`,
              limits: [{ kind: 'not-for', use: 'cooling' }],
            }
          : { grade: 'A', text: `${message} of ${formatQuantity(current, 'ampere')}.` };
      },
      'current',
    ),
    ...criterionOf(readings.noise, 'Whether it grinds was not said.', ({ value }) =>
      value === 1
        ? { grade: 'A', text: 'It runs quietly.' }
        : { grade: 'C', text: 'It grinds.', limits: [{ kind: 'not-for', use: 'cooling' }] },
    ),
  ];
  if (speed && slowSpeed && slowVolts && voltage !== undefined) {
    const share = slowSpeed.value / speed.value;
    const wanted = slowVolts.value / voltage;
    const drags = share < FAN.slow * wanted;
    criteria.push({
      grade: drags ? 'C' : 'A',
      ...(drags ? { limits: [{ kind: 'not-for', use: 'cooling' }] as const } : {}),
      text: `At ${formatQuantity(slowVolts.value, 'volt')} it keeps ${Math.round(100 * share)} % of its speed; about ${Math.round(100 * wanted)} % is to be expected. Air goes with the speed, pressure with its square, power with its cube.`,
    });
  }
  return judge(criteria);
}

/** Thermal resistance of a heating run, K/W: rise over power; the thermometers' uncertainty is told. */
export function thermalResistance(of: { power: number; sink: number; around: number }): {
  value: number;
  expanded: number;
} {
  const rise = of.sink - of.around;
  return {
    value: rise / of.power,
    expanded: (2 * Math.hypot(HEATING.uncertainty, HEATING.uncertainty)) / Math.sqrt(3) / of.power,
  };
}

/** Thermal resistance by a run that lasted and rose enough to say so, K/W; none by any other. */
export function settledResistance({ power, sink, around, minutes }: Readings): number | undefined {
  if (!power || !sink || !around || power.value <= 0) return undefined;
  const isSettled = minutes !== undefined && minutes.value >= HEATING.steady;
  if (!isSettled || sink.value - around.value < HEATING.rise) return undefined;
  return thermalResistance({ power: power.value, sink: sink.value, around: around.value }).value;
}

/** Judges a heating run: what the sink's thermal resistance is, and whether the run says enough. */
export function judgeHeatSink({ readings, damage }: Omit<MechanicalTest, 'nominal'>): Judgement {
  const { power, sink, around, minutes } = readings;
  const criteria: Criterion[] = [...damageCriteria(damage)];
  if (!power || !sink || !around) {
    criteria.push({ grade: 'cannot tell', text: 'Power, sink and room are all needed.' });
    return judge(criteria);
  }
  const rise = sink.value - around.value;
  if (power.value <= 0 || rise < HEATING.rise)
    criteria.push({
      grade: 'cannot tell',
      text: `A rise of ${rise.toFixed(0)} K tells too little: at least ${HEATING.rise} K are wanted.`,
    });
  else {
    const { value, expanded } = thermalResistance({ power: power.value, sink: sink.value, around: around.value });
    criteria.push({
      grade: 'A',
      text: `${value.toFixed(1)} ± ${expanded.toFixed(1)} K/W in still air: ${(40 / value).toFixed(1)} W for a rise of 40 K.`,
    });
  }
  if (minutes === undefined || minutes.value < HEATING.steady)
    criteria.push({
      grade: 'cannot tell',
      text: 'The temperature must stand still for three minutes: a run cut short flatters the sink.',
    });
  return judge(criteria);
}
