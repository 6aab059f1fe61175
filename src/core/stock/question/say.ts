import { RATINGS, type RatingName } from '../../part';
import { formatQuantity } from '../../quantity';
import type { Demand, StockFilter } from '../filter';
import { dutyInWords, dutyText } from '../duty/duty';
import { demandSaid } from '../matchLot';

const SAID: Readonly<Record<Demand['comparison'], string>> = {
  'at-least': 'at least ',
  'at-most': 'at most ',
  above: 'more than ',
  below: 'less than ',
  equal: '',
  about: 'about ',
  between: '',
};

/** Ratings that a figure with its unit tells by itself. */
const TOLD: ReadonlySet<RatingName> = new Set([
  'resistance',
  'capacitance',
  'inductance',
  'voltage',
  'current',
  'power',
  'vds',
  'id',
  'vrrm',
  'ifav',
  'vz',
  'vceo',
  'vces',
  'ic',
  'vdrm',
  'itRms',
  'vout',
  'iout',
  'vn',
  'r25',
  'size',
]);

/** A demand in words: `at least 600 V`, `about 4.7 kΩ ± 5 %`, `ESR at most 100 mΩ`. */
function demandInWords(demand: Demand): string {
  const { label } = RATINGS[demand.rating];
  return `${TOLD.has(demand.rating) ? '' : `${label} `}${SAID[demand.comparison]}${demandSaid(demand)}`;
}

/** More cases than these are said in a word. */
const MOST_CASES = 4;

/** What a question was understood as, in one line. */
export function questionInWords({
  kind,
  demands,
  duty,
  packages,
  grades,
  bin,
  donor,
  source,
  uses,
  words,
  like,
  leftOut,
  unread,
}: StockFilter): string {
  return [
    kind?.says,
    like && `in place of ${like.marking.toUpperCase()}${like.isStronger ? ', stronger' : ''}`,
    ...demands.map(demandInWords),
    duty && dutyInWords(duty),
    packages && (packages.length > MOST_CASES ? 'for surface mounting' : packages.join(' or ')),
    ...words.map((word) => `“${word}”`),
    grades && `grade ${grades.map((grade) => grade ?? 'none').join(', ')}`,
    bin && `in ${bin}`,
    donor && `from ${donor}`,
    source && `evidence ${source}`,
    ...(uses ?? []).map((use) => `for ${use}`),
    leftOut && `left out: ${leftOut.join(', ')}`,
    unread && `not understood: ${unread.join(', ')}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** A filter in the words a person would type; they read back as the same. */
export function filterText(filter: StockFilter): string {
  return [
    filter.kind?.words,
    filter.like && `like ${filter.like.marking}${filter.like.isStronger ? ' stronger' : ''}`,
    ...filter.demands.map(demandText),
    ...((filter.packages?.length ?? 0) > MOST_CASES ? ['smd'] : (filter.packages ?? [])).map((name) =>
      name.toLowerCase().replace(' ', '-'),
    ),
    ...filter.words.map((word) => (word === 'low-impedance' ? 'low' : word)),
    filter.bin && `bin:${filter.bin}`,
    filter.donor && `from:${filter.donor}`,
    filter.grades && gradeText(filter.grades),
    filter.source && `evidence:${filter.source}`,
    ...(filter.uses ?? []).map((use) => `for:${use}`),
    filter.duty && `duty ${dutyText(filter.duty)}`,
  ]
    .filter(Boolean)
    .join(' ');
}

function gradeText(grades: NonNullable<StockFilter['grades']>): string {
  const known = grades.filter((grade) => grade !== null);
  const [first] = known;
  if (first === undefined) return 'ungraded';
  if (grades.includes(null))
    return (['A', 'B', 'C'] as const)
      .flatMap((grade) => (known.includes(grade) ? [] : [`not grade ${grade}`]))
      .join(' ');
  return known.length === 1 ? `grade ${first}` : `grade:${known.at(-1) ?? first}`;
}

/** Words of a demand as they are typed, such as `vds>=550V`. */
export function demandText({ rating, others = [], comparison, value, upper }: Demand): string {
  const { unit, words } = RATINGS[rating];
  const show = (number: number) =>
    formatQuantity(number, unit, { digits: 4 })
      .replace(/[\s\u00a0]/g, '')
      .replace('µ', 'u')
      .replace('Ω', '');
  // Of several kinds the unit tells which rating is meant.
  const name = others.length > 0 ? '' : (words[0] ?? rating);
  if (comparison === 'between') return `${name === '' ? '' : `${name}=`}${show(value)}..${show(upper ?? value)}`;
  const sign = { 'at-least': '>=', 'at-most': '<=', above: '>', below: '<', equal: '=', about: '~' }[comparison];
  return `${name}${sign}${show(value)}`;
}
