import { practice } from '../evidence';
import { kindRule, RATINGS, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import { demandedRange, type Demand, type StockFilter } from './parseFilter';

/** A demand let go of a little, so that more lots meet the filter. */
export interface Loosening {
  readonly demand: Demand;
  /** The demand as it would have to read. */
  readonly loosened: Demand;
  readonly message: string;
  /** How far the demand is missed, as a share. */
  readonly reach: number;
}

/** How far a demand may be missed to count as near. */
const NEAR = practice(0.3);

/** The value of a rating that misses a demand, as the demand that it would meet; none when it misses by far. */
export function looseningFor(demand: Demand, value: number): Loosening | undefined {
  const { low, high } = demandedRange(demand);
  const loosened = value < low ? lowered(demand, value) : value > high ? raised(demand, value) : undefined;
  if (!loosened) return undefined;
  const reach = value < low ? 1 - value / low : value / high - 1;
  if (reach > NEAR) return undefined;
  return { demand, loosened, message: `${formatQuantity(value, RATINGS[demand.rating].unit)} will do`, reach };
}

function lowered(demand: Demand, value: number): Demand {
  return { ...demand, comparison: demand.comparison === 'between' ? 'between' : 'at-least', value };
}

function raised(demand: Demand, value: number): Demand {
  return demand.comparison === 'between' ? { ...demand, upper: value } : { ...demand, comparison: 'at-most', value };
}

/** Demands that hold exactly the values which miss one by a little. */
export function nearRange(demand: Demand): readonly Demand[] {
  const { low, high } = demandedRange(demand);
  const below: Demand[] =
    low === -Infinity
      ? []
      : [
          { rating: demand.rating, comparison: 'at-least', value: low * (1 - NEAR) },
          { rating: demand.rating, comparison: 'below', value: low },
        ];
  if (high === Infinity) return below;
  const above: Demand[] = [
    { rating: demand.rating, comparison: 'above', value: high },
    { rating: demand.rating, comparison: 'at-most', value: high * (1 + NEAR) },
  ];
  // A range is missed more usefully on its upper side: more is seldom in the way.
  return above;
}

/** A filter in the words a person would type. */
export function filterText(filter: StockFilter): string {
  return [
    filter.kind && kindRule(filter.kind).words[0],
    ...filter.demands.map(demandText),
    filter.package?.toLowerCase().replace(' ', '-'),
    filter.bin && `bin:${filter.bin}`,
    filter.donor && `from:${filter.donor}`,
    filter.grade && `grade:${filter.grade}`,
    filter.source && `evidence:${filter.source}`,
    ...(filter.uses ?? []).map((use) => `for:${use}`),
    ...filter.words.map((word) => (word === 'low-impedance' ? 'low' : word)),
  ]
    .filter(Boolean)
    .join(' ');
}

/** The filter without one of its demands, to look for what misses only that one. */
export function withoutDemand(filter: StockFilter, rating: RatingName): StockFilter {
  return { ...filter, demands: filter.demands.filter((demand) => demand.rating !== rating) };
}

/** Words of a demand as the filter language has them, such as `vds>=550`. */
export function demandText({ rating, comparison, value, upper }: Demand): string {
  const { unit, words } = RATINGS[rating];
  const show = (number: number) =>
    formatQuantity(number, unit, { digits: 4 })
      .replace(/[\s\u00a0]/g, '')
      .replace('µ', 'u')
      .replace('Ω', '');
  const name = words[0] ?? rating;
  if (comparison === 'between') return `${name}=${show(value)}..${show(upper ?? value)}`;
  const sign = { 'at-least': '>=', 'at-most': '<=', above: '>', below: '<', equal: '=', near: '~' }[comparison];
  return `${name}${sign}${show(value)}`;
}
