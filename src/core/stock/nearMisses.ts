import { RATINGS, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import { demandedRange, type Demand, type StockFilter } from './parseFilter';

/** A demand let go of a little, so that more lots meet the filter. */
export interface Loosening {
  readonly demand: Demand;
  /** The demand as it would have to read. */
  readonly loosened: Demand;
  readonly says: string;
}

/** How far a demand may be missed to count as near. Common practice, no source. */
const NEAR = 0.3;

/** The value of a rating that misses a demand, as the demand that it would meet; none when it misses by far. */
export function looseningFor(demand: Demand, value: number): Loosening | undefined {
  const { low, high } = demandedRange(demand);
  const loosened = value < low ? lowered(demand, value) : value > high ? raised(demand, value) : undefined;
  if (!loosened) return undefined;
  const reach = value < low ? 1 - value / low : value / high - 1;
  if (reach > NEAR) return undefined;
  return { demand, loosened, says: `${formatQuantity(value, RATINGS[demand.rating].unit)} will do` };
}

function lowered(demand: Demand, value: number): Demand {
  return { ...demand, comparison: demand.comparison === 'between' ? 'between' : 'at-least', value };
}

function raised(demand: Demand, value: number): Demand {
  return demand.comparison === 'between' ? { ...demand, upper: value } : { ...demand, comparison: 'at-most', value };
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
