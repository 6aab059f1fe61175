import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { ringCriterion } from './judgeChoke';
import {
  criterionOf,
  damageCriteria,
  readingUncertainty,
  withinUncertainty,
  judge,
  type Criterion,
  type Judgement,
  type Readings,
} from './judgement';
import { transformerReport, type TransformerReport } from './transformerReport';

const INSULATION = 100e6;
/** Leakage over open inductance: up to here a plain transformer, from there one made to leak. */
const LEAKAGE = practice({ plain: 0.03, made: 0.15, madeTo: 0.35 } as const);
/** An inductance factor below this share of the table's is no gap any more but a shorted turn or a broken core. */
const COLLAPSED = 0.02;

/** Judges a transformer by its coupling, its ring, its insulation, and whether its readings agree. */
export function judgeTransformer({ readings, damage }: { readings: Readings; damage: readonly string[] }): Judgement {
  const report = transformerReport(readings);
  const criteria: Criterion[] = [
    ...damageCriteria(damage),
    ...criterionOf(readings.open, 'The primary’s inductance was not measured.', ({ value }) => ({
      grade: 'A',
      text: `Primary ${formatQuantity(value, 'henry')} with the others open.`,
    })),
    ...couplingCriteria(readings, report),
    ...agreementCriteria(report),
    ...criterionOf(readings.rings, null, ringCriterion),
    ...report.windings.problems.map((text): Criterion => ({ grade: 'cannot tell', text })),
  ];
  if (report.gap.share !== undefined && report.gap.share < COLLAPSED)
    criteria.push({
      grade: 'reject',
      text: 'Its inductance is a fiftieth of what its core and turns should give: a turn is shorted, or the core is broken.',
    });
  if (!readings.rings && !report.coupling)
    criteria.push({
      grade: 'cannot tell',
      text: 'Neither a ring nor the shorted output was tried: a shorted turn would not show.',
    });
  criteria.push(...insulationCriteria(readings));
  return judge(criteria);
}

function couplingCriteria({ open, shorted }: Readings, { coupling }: TransformerReport): readonly Criterion[] {
  if (!open || !shorted) return [];
  if (!coupling)
    return [
      {
        grade: 'cannot tell',
        text: 'With the output shorted it reads as much as open: was the right winding shorted?',
      },
    ];
  const measured = shorted.value / open.value;
  const message = `Leakage ${formatQuantity(coupling.leakage, 'henry')}, ${(100 * measured).toFixed(1)} % (coupling ${coupling.coupling.toFixed(3)})`;
  const standard =
    measured *
    Math.hypot(
      readingUncertainty(open, 'inductance').standard / open.value,
      readingUncertainty(shorted, 'inductance').standard / shorted.value,
    );
  const uncertainty = { standard, message: `± ${(200 * standard).toFixed(1)} % of the meter` };
  return [
    withinUncertainty(measured, uncertainty, (share): Criterion => {
      if (share <= LEAKAGE.plain) return { grade: 'A', text: `${message}.` };
      if (share >= LEAKAGE.made && share <= LEAKAGE.madeTo)
        return { grade: 'A', text: `${message}: made so, as resonant converters want it.` };
      return {
        grade: share < LEAKAGE.made ? 'B' : 'cannot tell',
        text: `${message}, 1 to 3 % is usual for a flyback, less for a forward converter.`,
      };
    }),
  ];
}

/** Coupling by shorting and by injection are two ways to one number. */
function agreementCriteria({ coupling, ratio }: TransformerReport): readonly Criterion[] {
  if (!coupling || !ratio) return [];
  if (ratio.coupling > 1.02)
    return [
      { grade: 'cannot tell', text: 'The two injections give a coupling above 1: one of the four voltages is wrong.' },
    ];
  const apart = Math.abs(ratio.coupling - coupling.coupling);
  return apart <= 0.05
    ? [{ grade: 'A', text: `Both ways of measuring the coupling agree (${ratio.coupling.toFixed(2)}).` }]
    : [
        {
          grade: 'cannot tell',
          text: `Coupling is ${coupling.coupling.toFixed(2)} by shorting and ${ratio.coupling.toFixed(2)} by injection: repeat one of them.`,
        },
      ];
}

function insulationCriteria({ insulation }: Readings): readonly Criterion[] {
  if (!insulation)
    return [
      {
        grade: 'B',
        text: 'Its insulation was not measured at 500 V: for the isolated side only.',
        limits: [{ kind: 'not-for', use: 'barrier' }],
      },
    ];
  return criterionOf(
    insulation,
    null,
    ({ value }): Criterion =>
      value < INSULATION
        ? { grade: 'reject', text: `Primary to output ${formatQuantity(value, 'ohm')}, over 100 MΩ is wanted.` }
        : {
            grade: 'B',
            text: 'Insulation over 100 MΩ is a screening, no proof: across a barrier only unmodified and in a supply of its kind.',
          },
    'insulation',
  );
}
