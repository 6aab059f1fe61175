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

export const INSULATION = 100e6;
/** Leakage over open inductance: up to here a plain transformer, from there one made to leak. */
export const LEAKAGE = practice({ plain: 0.03, made: 0.15, madeTo: 0.35 } as const);
/** An inductance factor below this share of the table's is no gap any more but a shorted turn or a broken core. */
export const COLLAPSED = 0.02;

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

/** No coupling is above 1; so far a meter may be off. */
const COUPLING = practice({ most: 1.02, apart: 0.05, turnsApart: 0.15 } as const);

/** The ways to the coupling and to the turns, and where two of them cannot both be true. */
function agreementCriteria({ coupling, ratio, series }: TransformerReport): readonly Criterion[] {
  const criteria: Criterion[] = [];
  const doubt = (text: string) => criteria.push({ grade: 'cannot tell', text });
  if (series === 'impossible')
    doubt(
      'The primary alone reads more than both windings in series leave for it, so the output would have no inductance: one of the three readings is wrong.',
    );
  const ways = [
    { way: 'by shorting', k: coupling?.coupling },
    { way: 'by injection', k: ratio?.coupling },
    { way: 'by the windings in series', k: typeof series === 'object' ? series.coupling : undefined },
  ].flatMap(({ way, k }) => (k === undefined ? [] : [{ way, k }]));
  const above = ways.filter(({ k }) => k > COUPLING.most);
  for (const { way, k } of above)
    doubt(
      `Coupling is ${k.toFixed(2)} ${way}, and none is above 1: these readings cannot all be true. Take them again.`,
    );
  const [first, ...others] = ways.filter(({ k }) => k <= COUPLING.most);
  const far = first && others.find(({ k }) => Math.abs(k - first.k) > COUPLING.apart);
  if (far)
    doubt(`Coupling is ${first.k.toFixed(2)} ${first.way} and ${far.k.toFixed(2)} ${far.way}: repeat one of them.`);
  if (first && others.length > 0 && !far)
    criteria.push({
      grade: 'A',
      text: `${others.length === 1 ? 'Both' : 'All'} ways of measuring the coupling agree (${first.k.toFixed(2)}).`,
    });
  if (ratio && typeof series === 'object' && Math.abs(Math.log(ratio.ratio / series.ratio)) > COUPLING.turnsApart)
    doubt(
      `The turns are ${ratio.ratio.toFixed(1)} : 1 by injection and ${series.ratio.toFixed(1)} : 1 by the inductances: one of these readings is wrong.`,
    );
  return criteria;
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
