import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import {
  criterionOf,
  damageCriteria,
  difference,
  judge,
  type Criterion,
  type Judgement,
  type Reading,
  type Readings,
} from './judgement';

export interface DiodeTest {
  readonly readings: Readings;
  /** What the marking says, when it says so. */
  readonly technology?: string | undefined;
  readonly nominal: {
    readonly vz?: number | undefined;
    readonly vrrm?: number | undefined;
    readonly tolerance?: number | undefined;
  };
  readonly damage: readonly string[];
}

interface ForwardDrop {
  readonly low: number;
  readonly high: number;
  readonly words: string;
}

/** Forward drop at about 1 mA by technology, volts. */
const FORWARD_DROP: Readonly<Record<string, ForwardDrop>> = practice({
  schottky: { low: 0.15, high: 0.35, words: 'a Schottky' },
  fast: { low: 0.45, high: 0.65, words: 'a fast silicon diode' },
  rectifier: { low: 0.45, high: 0.65, words: 'a silicon rectifier' },
  zener: { low: 0.6, high: 0.75, words: 'a zener' },
  tvs: { low: 0.5, high: 0.8, words: 'a suppressor diode' },
  led: { low: 1.6, high: 3.5, words: 'an LED' },
});
/** From this rated voltage a Schottky drops up to as much, volts. */
const HIGH_SCHOTTKY = practice({ vrrm: 100, high: 0.45 } as const);
const FORWARD_SHORTED = 0.1;
const REVERSE_GOOD = 1e6;
/** How far the halves of a dual may differ, in volts. */
const HALVES = practice({ alike: 0.01, apart: 0.03 } as const);
/** Reverse leakage at rated voltage, amperes; a Schottky leaks more. */
const LEAKAGE = practice({ schottky: 500e-6, silicon: 10e-6 } as const);
const ZENER_TOLERANCE = 0.05;

/** The forward drop of a technology, which a Schottky for high voltage exceeds; none where it is not known. */
export function forwardDrop(technology: string | undefined, vrrm: number | undefined): ForwardDrop | undefined {
  const usual = technology === undefined ? undefined : FORWARD_DROP[technology];
  return usual && technology === 'schottky' && (vrrm ?? 0) >= HIGH_SCHOTTKY.vrrm
    ? { ...usual, high: HIGH_SCHOTTKY.high }
    : usual;
}

/** Judges a diode by its forward drop in diode mode, its reverse reading, its leakage and its zener voltage. */
export function judgeDiode({ readings, technology, nominal, damage }: DiodeTest): Judgement {
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(
      readings.forward,
      'The forward drop was not measured.',
      (reading) => forwardCriterion(reading.value, { technology, usual: forwardDrop(technology, nominal.vrrm) }),
      'diode',
    ),
    ...blockingCriteria(readings, technology),
    ...criterionOf(readings.zener, null, (reading) => zenerCriterion(reading, nominal), 'dcVolt'),
  ];
  if (technology === 'zener' && !readings.zener)
    criteria.push({
      grade: 'B',
      text: 'Its zener voltage was not measured: no better than B.',
      limits: [{ kind: 'not-for', use: 'precision' }],
    });
  return judge([...criteria, ...speedCriteria(technology)]);
}

/** Judges a dual rectifier: both halves, how far apart they are, and what they leak. */
export function judgeDualDiode({ readings, technology, nominal, damage }: DiodeTest): Judgement {
  const { forward, second } = readings;
  const of = { technology, usual: forwardDrop(technology, nominal.vrrm) };
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(forward, 'The first half was not measured.', ({ value }) => forwardCriterion(value, of), 'diode'),
    ...criterionOf(second, null, ({ value }) => forwardCriterion(value, of), 'diode'),
    ...(forward && second && Number.isFinite(forward.value + second.value)
      ? criterionOf(difference(forward, second), null, ({ value }) => halvesCriterion(Math.abs(value)), 'diode')
      : [
          {
            grade: 'B' as const,
            text: 'The second half was not measured: use it as a single diode.',
            limits: [{ kind: 'not-for', use: 'parallel' }] as const,
          },
        ]),
    ...blockingCriteria(readings, technology),
    ...speedCriteria(technology),
  ]);
}

/** Judges a bridge by its four diodes and what it blocks. */
export function judgeBridge({ readings, damage }: Pick<DiodeTest, 'readings' | 'damage'>): Judgement {
  const drops = [
    ['forward', 'one ~ to +'],
    ['second', 'the other ~ to +'],
    ['third', '− to one ~'],
    ['fourth', '− to the other ~'],
  ] as const;
  return judge([
    ...damageCriteria(damage),
    ...drops.flatMap(([name, words]) =>
      criterionOf(
        readings[name],
        `The diode from ${words} was not measured.`,
        ({ value }) => {
          const found = forwardCriterion(value, { technology: 'rectifier', usual: FORWARD_DROP.rectifier });
          return { ...found, text: `From ${words}: ${found.text}` };
        },
        'diode',
      ),
    ),
    ...criterionOf(readings.reverse, '+ to − was not measured.', ({ value }) => reverseCriterion(value), 'ohm'),
    ...criterionOf(readings.across, null, ({ value }) => reverseCriterion(value), 'ohm'),
    ...speedCriteria('rectifier'),
  ]);
}

function forwardCriterion(
  volts: number,
  { technology, usual }: { technology: string | undefined; usual: ForwardDrop | undefined },
): Criterion {
  if (volts === Infinity)
    return technology === 'led'
      ? { grade: 'cannot tell', text: 'Forward reads OL: many meters cannot light an LED. Try 5 mA from a supply.' }
      : { grade: 'reject', text: 'Forward reads OL: the diode is open.' };
  const message = `Forward drop ${formatQuantity(volts, 'volt')}`;
  if (volts < FORWARD_SHORTED) return { grade: 'reject', text: `${message}: shorted.` };
  if (!usual) {
    const like = Object.values(FORWARD_DROP).find(({ low, high }) => volts >= low && volts <= high);
    return like
      ? { grade: 'B', text: `${message}: that of ${like.words}, but the marking is not read.` }
      : { grade: 'cannot tell', text: `${message}: between a Schottky and a silicon diode. Measure its leakage.` };
  }
  if (volts >= usual.low && volts <= usual.high)
    return { grade: 'A', text: `${message}, usual ${usual.low} to ${usual.high} V for ${usual.words}.` };
  return {
    grade: 'cannot tell',
    text: `${message}, but ${usual.words} shows ${usual.low} to ${usual.high} V. Is the marking read right?`,
  };
}

function blockingCriteria(readings: Readings, technology: string | undefined): readonly Criterion[] {
  return [
    ...criterionOf(
      readings.reverse,
      'The other way round was not measured.',
      ({ value }) => reverseCriterion(value),
      'ohm',
    ),
    ...criterionOf(readings.leakage, null, ({ value }) => leakageCriterion(value, technology), 'current'),
  ];
}

function reverseCriterion(ohms: number): Criterion {
  return ohms < REVERSE_GOOD
    ? { grade: 'reject', text: `The other way it reads ${formatQuantity(ohms, 'ohm')}: it leaks.` }
    : { grade: 'A', text: 'It blocks the other way.' };
}

function halvesCriterion(volts: number): Criterion {
  const message = `The halves differ by ${formatQuantity(volts, 'volt')}`;
  if (volts <= HALVES.alike) return { grade: 'A', text: `${message}.` };
  return {
    grade: volts <= HALVES.apart ? 'B' : 'C',
    text: `${message}: ${volts <= HALVES.apart ? 'they share no current evenly' : 'one half is not like the other'}.`,
    limits: [{ kind: 'not-for', use: 'parallel' }],
  };
}

function leakageCriterion(amperes: number, technology: string | undefined): Criterion {
  const limit = technology === 'schottky' ? LEAKAGE.schottky : LEAKAGE.silicon;
  const message = `Reverse leakage ${formatQuantity(amperes, 'ampere')}, up to ${formatQuantity(limit, 'ampere')} is usual`;
  if (amperes <= limit) return { grade: 'A', text: `${message}.` };
  return amperes > 10 * limit
    ? { grade: 'reject', text: `${message}.` }
    : { grade: 'B', text: `${message}.`, limits: [{ kind: 'derated', rating: 'vrrm', share: 0.5 }] };
}

function zenerCriterion(reading: Reading, nominal: DiodeTest['nominal']): Criterion {
  const message = `Zener voltage ${formatQuantity(reading.value, 'volt')}`;
  if (nominal.vz === undefined) return { grade: 'B', text: `${message}; the marking does not say what it should be.` };
  const tolerance = nominal.tolerance ?? ZENER_TOLERANCE;
  const off = Math.abs(reading.value / nominal.vz - 1);
  const grade = off <= tolerance ? 'A' : off <= 2 * tolerance ? 'B' : 'reject';
  return {
    grade,
    text: `${message}, ${formatQuantity(nominal.vz, 'volt')} ± ${formatQuantity(tolerance, 'ratio')} is printed.`,
    ...(grade === 'B' ? { limits: [{ kind: 'not-for', use: 'precision' }] as const } : {}),
  };
}

/** Forward drop tells no speed: only the marking or a fixture does. */
function speedCriteria(technology: string | undefined): readonly Criterion[] {
  if (technology !== 'rectifier') return [];
  return [
    {
      grade: 'A',
      text: 'The meter cannot tell a mains rectifier from a fast one: never use it at switching frequency.',
      limits: [{ kind: 'not-for', use: 'switching' }],
    },
  ];
}
