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
    readonly ifav?: number | undefined;
  };
  /** A clamp for both polarities or a trigger diode: it is open both ways below its voltage. */
  readonly isBothWays?: boolean;
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
  signal: { low: 0.45, high: 0.75, words: 'a small-signal diode' },
  'silicon carbide': { low: 0.7, high: 1.05, words: 'a silicon carbide Schottky' },
  germanium: { low: 0.15, high: 0.4, words: 'a germanium diode' },
});
/** What a diode of unread marking may be by its drop; germanium and silicon carbide are too rare to guess. */
const GUESSED = ['schottky', 'fast', 'zener', 'signal', 'led'];
/** From this rated voltage a Schottky drops up to as much, volts. */
const HIGH_SCHOTTKY = practice({ vrrm: 100, high: 0.45 } as const);
export const FORWARD_SHORTED = 0.1;
export const REVERSE_GOOD = 1e6;
/** From these volts up a zener blocks what an ohmmeter gives; below it leaks by its nature, down to these ohms. */
const LEAKY_ZENER = practice({ below: 6.2, ohms: 1e3 } as const);
/** A large or low-voltage Schottky leaks tens of microamperes at the volts of an ohmmeter: ohms at one ampere of rating. */
const LEAKY_SCHOTTKY = practice({ ohmAmperes: 300e3, least: 10e3, upTo: 45, fromAmperes: 5 } as const);
/** At 5 mA a zener of low voltage reads less than is printed for its own test current, by up to this share. */
const SOFT_ZENER = practice({ below: 6.2, share: 0.3 } as const);
/** How far the halves of a dual may differ, in volts. */
export const HALVES = practice({ alike: 0.01, apart: 0.03 } as const);
/** Reverse leakage at rated voltage, amperes; a Schottky leaks more. */
export const LEAKAGE = practice({ schottky: 500e-6, schottkyPerAmpere: 100e-6, silicon: 10e-6 } as const);
const ZENER_TOLERANCE = 0.05;
/** A clamp breaks at so many times the volts it stands. Multi-source datasheets, from memory. */
const BREAKS_FROM = practice({ low: 1.05, high: 1.35 } as const);

/** The forward drop of a technology, which a Schottky for high voltage exceeds; none where it is not known. */
export function forwardDrop(technology: string | undefined, vrrm: number | undefined): ForwardDrop | undefined {
  const usual = technology === undefined ? undefined : FORWARD_DROP[technology];
  return usual && technology === 'schottky' && (vrrm ?? 0) >= HIGH_SCHOTTKY.vrrm
    ? { ...usual, high: HIGH_SCHOTTKY.high }
    : usual;
}

/** Judges a diode by its forward drop in diode mode, its reverse reading, its leakage and its zener voltage. */
export function judgeDiode({ readings, technology, nominal, isBothWays, damage }: DiodeTest): Judgement {
  if (isBothWays) return judgeBothWays({ readings, nominal, damage });
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(
      readings.forward,
      'The forward drop was not measured.',
      (reading) => forwardCriterion(reading.value, { technology, usual: forwardDrop(technology, nominal.vrrm) }),
      'diode',
    ),
    ...blockingCriteria(readings, technology, nominal),
    ...criterionOf(readings.zener, null, (reading) => zenerCriterion(reading, nominal, technology === 'tvs'), 'dcVolt'),
  ];
  if (technology === 'zener' && !readings.zener)
    criteria.push({
      grade: 'B',
      text: 'Its zener voltage was not measured: no better than B.',
      limits: [{ kind: 'not-for', use: 'precision' }],
    });
  return judge([...criteria, ...speedCriteria(technology)]);
}

/** Judges a clamp for both polarities, or a trigger diode: right when it is open both ways and breaks where it is printed to. */
function judgeBothWays({ readings, nominal, damage }: Pick<DiodeTest, 'readings' | 'nominal' | 'damage'>): Judgement {
  const isOpen = (value: number, words: string): Criterion =>
    value === Infinity || value >= REVERSE_GOOD
      ? { grade: 'A', text: `${words} it is open, as it must be below its voltage.` }
      : { grade: 'reject', text: `${words} it conducts at the few volts of a meter: it has let go.` };
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(readings.forward, 'One way was not measured.', ({ value }) => isOpen(value, 'One way')),
    ...criterionOf(readings.reverse, 'The other way was not measured.', ({ value }) => isOpen(value, 'The other way')),
    ...criterionOf(
      readings.zener,
      null,
      (reading) => zenerCriterion(reading, { tolerance: 0.1, ...nominal }, true),
      'dcVolt',
    ),
    ...(readings.zener
      ? []
      : [
          {
            grade: 'B' as const,
            text: 'The voltage at which it breaks was not measured: an open part reads the same.',
          },
        ]),
  ]);
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
    ...blockingCriteria(readings, technology, nominal),
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
    const like = GUESSED.map((name) => FORWARD_DROP[name]).find((one) => one && volts >= one.low && volts <= one.high);
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

function blockingCriteria(
  readings: Readings,
  technology: string | undefined,
  nominal: DiodeTest['nominal'],
): readonly Criterion[] {
  return [
    ...criterionOf(
      readings.reverse,
      'The other way round was not measured.',
      ({ value }) => reverseCriterion(value, leastReverse(technology, nominal)),
      'ohm',
    ),
    ...criterionOf(readings.leakage, null, ({ value }) => leakageCriterion(value, technology, nominal.ifav), 'current'),
  ];
}

/** What a whole one reads at least the other way round, in ohms, at the few volts of an ohmmeter. */
function leastReverse(technology: string | undefined, { vz, vrrm, ifav }: DiodeTest['nominal']): number {
  if (technology === 'zener' && vz !== undefined && vz < LEAKY_ZENER.below) return LEAKY_ZENER.ohms;
  const { ohmAmperes, least, upTo, fromAmperes } = LEAKY_SCHOTTKY;
  if (technology === 'schottky' && ((vrrm ?? Infinity) <= upTo || (ifav ?? 0) >= fromAmperes))
    return Math.max(least, ohmAmperes / Math.max(1, ifav ?? 1));
  return technology === 'germanium' ? least : REVERSE_GOOD;
}

function reverseCriterion(ohms: number, least = REVERSE_GOOD): Criterion {
  if (ohms >= REVERSE_GOOD) return { grade: 'A', text: 'It blocks the other way.' };
  const message = `The other way it reads ${formatQuantity(ohms, 'ohm')}`;
  if (ohms >= least) return { grade: 'A', text: `${message}: parts of its kind leak as much.` };
  return least < REVERSE_GOOD && ohms >= least / 3
    ? {
        grade: 'cannot tell',
        text: `${message}, over ${formatQuantity(least, 'ohm')} is usual: measure its leakage cold.`,
      }
    : { grade: 'reject', text: `${message}: it leaks.` };
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

function leakageCriterion(amperes: number, technology: string | undefined, ifav = 0): Criterion {
  const limit =
    technology === 'schottky' || technology === 'silicon carbide'
      ? Math.max(LEAKAGE.schottky, LEAKAGE.schottkyPerAmpere * ifav)
      : LEAKAGE.silicon;
  const message = `Reverse leakage ${formatQuantity(amperes, 'ampere')}, up to ${formatQuantity(limit, 'ampere')} is usual`;
  if (amperes <= limit) return { grade: 'A', text: `${message}.` };
  return amperes > 10 * limit
    ? { grade: 'reject', text: `${message}.` }
    : { grade: 'B', text: `${message}.`, limits: [{ kind: 'derated', rating: 'vrrm', share: 0.5 }] };
}

function zenerCriterion(reading: Reading, nominal: DiodeTest['nominal'], isClamp = false): Criterion {
  const message = `Zener voltage ${formatQuantity(reading.value, 'volt')}`;
  if (nominal.vz === undefined && nominal.vrrm !== undefined && isClamp) {
    const share = reading.value / nominal.vrrm;
    return {
      grade: share >= BREAKS_FROM.low && share <= BREAKS_FROM.high ? 'A' : 'reject',
      text: `It breaks at ${formatQuantity(reading.value, 'volt')}, a clamp that stands ${formatQuantity(nominal.vrrm, 'volt')} at 1.1 to 1.3 times that.`,
    };
  }
  if (nominal.vz === undefined) return { grade: 'B', text: `${message}; the marking does not say what it should be.` };
  const tolerance = nominal.tolerance ?? ZENER_TOLERANCE;
  const off = Math.abs(reading.value / nominal.vz - 1);
  const isSoft =
    nominal.vz < SOFT_ZENER.below && reading.value < nominal.vz && off > 2 * tolerance && off <= SOFT_ZENER.share;
  if (isSoft)
    return {
      grade: 'B',
      text: `${message}, ${formatQuantity(nominal.vz, 'volt')} is printed for its own test current: zeners below 6 V read less at 5 mA.`,
      limits: [{ kind: 'not-for', use: 'precision' }],
    };
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
