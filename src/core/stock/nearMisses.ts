import { practice } from '../evidence';
import { RATINGS } from '../part';
import { formatQuantity } from '../quantity';
import { demandedRange, type Demand, type StockFilter } from './filter';

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

const ofSame = ({ rating, others }: Demand) => ({ rating, ...(others ? { others } : {}) });

/** Demands that hold exactly the values which miss one by a little. */
export function nearRange(demand: Demand): readonly Demand[] {
  const { low, high } = demandedRange(demand);
  const below: Demand[] =
    low === -Infinity
      ? []
      : [
          { ...ofSame(demand), comparison: 'at-least', value: low * (1 - NEAR) },
          { ...ofSame(demand), comparison: 'below', value: low },
        ];
  if (high === Infinity) return below;
  const above: Demand[] = [
    { ...ofSame(demand), comparison: 'above', value: high },
    { ...ofSame(demand), comparison: 'at-most', value: high * (1 + NEAR) },
  ];
  // A range is missed more usefully on its upper side: more is seldom in the way.
  return above;
}

/** The filter without one of its demands, to look for what misses only that one. */
export function withoutDemand(filter: StockFilter, demand: Demand): StockFilter {
  return { ...filter, demands: filter.demands.filter((one) => one !== demand) };
}
