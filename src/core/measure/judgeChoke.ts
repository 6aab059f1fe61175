import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import {
  criterionOf,
  damageCriteria,
  readingUncertainty,
  difference,
  withinUncertainty,
  judge,
  type Criterion,
  type Judgement,
  type Reading,
  type Readings,
} from './judgement';

/** Chokes are looser than capacitors. */
export const TOLERANCE = practice(0.2);
/** Windings of a common-mode choke are alike within this. */
export const ALIKE = practice({ A: 0.05, B: 0.15 } as const);
const INSULATION = 100e6;
/**
 * Whole periods that ring above a tenth: n = Q·ln 10/π. Below `shorted` a turn is shorted (Q under 3), a good winding
 * shows `good` (Q over 10). Common practice, no source.
 */
export const RINGS = { shorted: 3, good: 7 } as const;

interface ChokeTest {
  readonly readings: Readings;
  readonly nominal: {
    readonly inductance?: number | undefined;
    readonly tolerance?: number | undefined;
    readonly current?: number | undefined;
  };
  /** What its core is made of, where that is known. */
  readonly technology?: string | undefined;
  readonly damage: readonly string[];
}

/** Quality factor from the whole periods that stay above a tenth of the first: Q = n·π/ln 10. */
export function ringQuality(periods: number): number {
  return (periods * Math.PI) / Math.log(10);
}

/** Judges a choke by its inductance, its winding, where it saturates and how long it rings. */
export function judgeChoke({ readings, nominal, technology, damage }: ChokeTest): Judgement {
  return judge([
    ...damageCriteria(damage),
    ...criterionOf(
      readings.inductance,
      'The inductance was not measured.',
      (reading) => inductanceCriterion(reading, nominal),
      'inductance',
    ),
    ...criterionOf(readings.dcr, null, ({ value }) =>
      value === Infinity
        ? { grade: 'reject', text: 'The winding is open.' }
        : { grade: 'A', text: `The winding has ${formatQuantity(value, 'ohm')}.` },
    ),
    ...criterionOf(readings.rings, null, (reading) => chokeRing(reading, technology)),
    ...criterionOf(readings.saturation, null, ({ value }) => saturationCriterion(value, nominal.current), 'current'),
  ]);
}

function inductanceCriterion(reading: Reading, nominal: ChokeTest['nominal']): Criterion {
  const message = formatQuantity(reading.value, 'henry');
  if (nominal.inductance === undefined)
    return { grade: 'B', text: `${message} measured; nothing is printed to hold it against.` };
  const tolerance = nominal.tolerance ?? TOLERANCE;
  const off = reading.value / nominal.inductance - 1;
  // Too much is no fault: nobody loses a choke to more turns.
  return {
    grade: Math.abs(off) <= tolerance ? 'A' : off > -2 * tolerance ? 'B' : 'reject',
    text: `${message}, ${formatQuantity(nominal.inductance, 'henry')} ± ${formatQuantity(tolerance, 'ratio')} is printed.`,
  };
}

/** How long a winding rings tells a shorted turn. */
export function ringCriterion({ value: periods }: Reading): Criterion {
  const message = `It rings for ${Math.round(periods)} periods (Q about ${ringQuality(periods).toFixed(0)})`;
  if (periods < RINGS.shorted)
    return { grade: 'reject', text: `${message}: a turn is shorted. Free every other winding before you believe it.` };
  return periods < RINGS.good
    ? { grade: 'cannot tell', text: `${message}, 7 and more are usual. Lift every load and repeat.` }
    : { grade: 'A', text: `${message}.` };
}

/** Cores of iron powder damp a ring by themselves: short rings condemn a choke only when its core is ferrite. */
function chokeRing(reading: Reading, technology: string | undefined): Criterion {
  const found = ringCriterion(reading);
  if (found.grade !== 'reject' || technology === 'ferrite') return found;
  return {
    grade: 'cannot tell',
    text: `It rings for ${Math.round(reading.value)} periods: a shorted turn on ferrite, and usual on iron powder. Hold its inductance against the print, or against its like.`,
  };
}

function saturationCriterion(amperes: number, rated: number | undefined): Criterion {
  const message = `It saturates at ${formatQuantity(amperes, 'ampere')}`;
  if (rated === undefined || amperes >= rated)
    return { grade: 'A', text: `${message}: use it to nine tenths of that.` };
  return {
    grade: 'B',
    text: `${message}, below the ${formatQuantity(rated, 'ampere')} printed.`,
    limits: [{ kind: 'derated', rating: 'current', share: (0.9 * amperes) / rated }],
  };
}

/** Judges a common-mode choke by both windings, what leaks between them, and their insulation. */
export function judgeCommonModeChoke({ readings, damage }: ChokeTest): Judgement {
  const { inductance, second, leakage } = readings;
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(inductance, 'The first winding was not measured.', ({ value }) => ({
      grade: 'A',
      text: `First winding ${formatQuantity(value, 'henry')}.`,
    })),
    ...criterionOf(second, 'The second winding was not measured.', (reading) =>
      inductance
        ? alikeCriterion(inductance, reading)
        : { grade: 'cannot tell', text: 'One winding alone tells nothing.' },
    ),
    ...criterionOf(
      readings.insulation,
      null,
      ({ value }) =>
        value < INSULATION
          ? { grade: 'reject', text: `Winding to winding ${formatQuantity(value, 'ohm')}, over 100 MΩ is wanted.` }
          : { grade: 'A', text: 'The windings are insulated from each other.' },
      'insulation',
    ),
  ];
  if (inductance && leakage)
    criteria.push({
      grade: 'A',
      text: `Opposing they leave ${formatQuantity(leakage.value, 'henry')}, ${((100 * leakage.value) / inductance.value).toFixed(1)} % of one winding.`,
    });
  return judge([
    ...criteria,
    {
      grade: 'A',
      text: 'It stores no energy: as a single choke it saturates at a few per cent of its current.',
      limits: [{ kind: 'not-for', use: 'ripple' }],
    },
  ]);
}

function alikeCriterion(first: Reading, second: Reading): Criterion {
  const mean = (first.value + second.value) / 2;
  const off = Math.abs(first.value - second.value) / mean;
  const standard = readingUncertainty(difference(first, second), 'inductance').standard / mean;
  return withinUncertainty(off, { standard, message: `± ${(200 * standard).toFixed(1)} % of the meter` }, (share) => {
    const grade = share <= ALIKE.A ? 'A' : share <= ALIKE.B ? 'B' : 'reject';
    return {
      grade,
      text: `Second winding ${formatQuantity(second.value, 'henry')}, ${Math.round(100 * off)} % apart from the first${grade === 'reject' ? ': a turn is shorted' : ''}.`,
    };
  });
}
