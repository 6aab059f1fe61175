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
  type Readings,
} from './judgement';

/** Transfer ratio at 5 mA and 5 V by rank of the 817 class. Multi-source datasheets, from memory. */
export const TRANSFER_RANKS: Readonly<Record<string, readonly [low: number, high: number]>> = practice({
  A: [0.8, 1.6],
  B: [1.3, 2.6],
  C: [2, 4],
  D: [3, 6],
  '': [0.5, 6],
});
/**
 * Least transfer ratio, and the most where there is one, by the number of the type at its own test current. Multi-source
 * datasheets, from memory.
 */
const TYPE_RATIOS: readonly (readonly [pattern: RegExp, low: number, high: number])[] = practice([
  [/^4N2[56]/, 0.2, Infinity],
  [/^4N2[78]/, 0.1, Infinity],
  [/^4N3[567]/, 1, Infinity],
  [/^(?:MCT2|TIL111|IL1\b)/, 0.2, Infinity],
  [/^H11A1/, 0.5, Infinity],
  [/^(?:CNY17F?|SFH61[057]A?|SFH617G?A)-?1/, 0.4, 0.8],
  [/^(?:CNY17F?|SFH61[057]A?|SFH617G?A)-?2/, 0.63, 1.25],
  [/^(?:CNY17F?|SFH61[057]A?|SFH617G?A)-?3/, 1, 2],
  [/^(?:CNY17F?|SFH61[057]A?|SFH617G?A)-?4/, 1.6, 3.2],
  [/^6N135/, 0.07, Infinity],
  [/^6N136/, 0.19, Infinity],
  [/^6N138/, 3, Infinity],
  [/^6N139/, 4, Infinity],
  [/^(?:PS2501|PC123|LTV357|EL357|TLP[5678]21|TLP785)/, 0.5, 6],
  [/817/, 0.5, 6],
  [/^[A-Z]{2,4}814|^TLP620|^PS2505/, 0.2, 3],
]);
/** LED in diode mode, volts. */
export const LED = practice({ low: 0.9, high: 1.4 } as const);
export const DARK = 1e6;
export const INSULATION = 100e6;

export interface OptocouplerTest {
  readonly readings: Readings;
  /** As read; the letter behind an 817 number tells the rank. */
  readonly marking?: string | null | undefined;
  readonly damage: readonly string[];
}

/** The rank that a marking of the 817 class names, or none. */
export function transferRank(marking: string | null | undefined): string {
  return /817\s*-?([A-D])(?![A-Z])/i.exec(marking ?? '')?.[1]?.toUpperCase() ?? '';
}

/** Judges an optocoupler by its LED, its transistor, its transfer ratio and its insulation. */
export function judgeOptocoupler({ readings, marking, damage }: OptocouplerTest): Judgement {
  const { drive, output } = readings;
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(readings.led, 'The LED was not measured.', ({ value }) => ledCriterion(value), 'diode'),
    ...criterionOf(
      readings.dark,
      'Collector to emitter was not measured.',
      ({ value }) =>
        value < DARK
          ? {
              grade: 'reject',
              text: `Dark it reads ${formatQuantity(value, 'ohm')} from collector to emitter: it leaks.`,
            }
          : { grade: 'A', text: 'Dark it blocks.' },
      'ohm',
    ),
    ...criterionOf(
      readings.insulation,
      null,
      ({ value }) =>
        value < INSULATION
          ? {
              grade: 'reject',
              text: `LED to transistor ${formatQuantity(value, 'ohm')}: over 100 MΩ is wanted across a barrier.`,
            }
          : { grade: 'A', text: 'LED and transistor are insulated, as far as a meter can tell.' },
      'insulation',
    ),
  ];
  if (drive && output) {
    criteria.push(
      ...criterionOf(output, null, () =>
        transferCriterion(output.value / drive.value, { drive, output }, ratioOf(marking)),
      ),
    );
  } else
    criteria.push({
      grade: 'B',
      text: 'Its transfer ratio was not measured: LEDs fade, so no better than B.',
      limits: [{ kind: 'not-for', use: 'precision' }],
    });
  if (!readings.insulation)
    criteria.push({
      grade: 'B',
      text: 'LED to transistor was not measured at 500 V.',
      limits: [{ kind: 'not-for', use: 'barrier' }],
    });
  return judge(criteria);
}

function ledCriterion(volts: number): Criterion {
  if (volts === Infinity)
    return {
      grade: 'cannot tell',
      text: 'The LED reads OL: open, or the meter cannot drive it. Try 5 mA from a supply.',
    };
  const message = `LED ${formatQuantity(volts, 'volt')}`;
  if (volts < 0.1) return { grade: 'reject', text: `${message}: shorted.` };
  return volts < LED.low || volts > LED.high
    ? { grade: 'cannot tell', text: `${message}, 0.9 to 1.4 V is usual.` }
    : { grade: 'A', text: `${message}.` };
}

/** What a type should pass on, in words and shares; nothing where its number is not known. */
function ratioOf(marking: string | null | undefined): { readonly who: string; low: number; high: number } | undefined {
  const rank = transferRank(marking);
  const [low, high] = (rank === '' ? undefined : TRANSFER_RANKS[rank]) ?? [];
  if (low !== undefined && high !== undefined) return { who: `rank ${rank}`, low, high };
  const text = (marking ?? '').toUpperCase().replace(/\s/g, '');
  const found = TYPE_RATIOS.find(([pattern]) => pattern.test(text));
  return found && { who: 'its type', low: found[1], high: found[2] };
}

function transferCriterion(
  ratio: number,
  { drive, output }: { drive: NonNullable<Readings[string]>; output: NonNullable<Readings[string]> },
  type: ReturnType<typeof ratioOf>,
): Criterion {
  if (!type)
    return {
      grade: 'B',
      text: `Transfer ratio ${Math.round(ratio * 100)} %; what its type should have is not known.`,
      limits: [{ kind: 'not-for', use: 'precision' }],
    };
  const { who, low, high } = type;
  const u =
    ratio *
    Math.hypot(
      readingUncertainty(drive, 'current').standard / drive.value,
      readingUncertainty(output, 'current').standard / output.value,
    );
  const message = `Transfer ratio ${Math.round(ratio * 100)} ± ${Math.max(1, Math.round(200 * u))} %, ${who} has ${high === Infinity ? `at least ${Math.round(low * 100)} %` : `${Math.round(low * 100)} to ${Math.round(high * 100)} %`}`;
  const grade = gradeAgainst(
    ratio,
    u,
    [
      { grade: 'A', limit: low },
      { grade: 'C', limit: low / 2 },
    ],
    'at-least',
  );
  if (grade === 'reject') return { grade, text: `${message}: the LED has faded.` };
  if (grade === 'cannot tell') return { grade, text: `${message}; the meters cannot tell it from half of that.` };
  if (grade === 'C')
    return {
      grade,
      text: `${message}: ${ratio < low ? 'the LED is fading' : 'with that uncertainty it is no sure A'}.`,
      limits: [{ kind: 'not-for', use: 'precision' }],
    };
  if (ratio > high)
    return { grade: 'B', text: `${message}: is the rank read right?`, limits: [{ kind: 'not-for', use: 'precision' }] };
  return { grade: 'A', text: `${message}.` };
}
