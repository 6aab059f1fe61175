import { asc, desc, sql, type SQL } from 'drizzle-orm';
import { measureRatings, type Measure, type StockFilter } from '../../core/stock';
import { bins, lotRatings, lots } from '../schema';

/** What lots can be put in order by, besides the day they came. */
export const LOT_ORDERS = [
  'marking',
  'kind',
  'value',
  'volts',
  'amperes',
  'package',
  'grade',
  'pieces',
  'bin',
] as const;

export interface LotOrder {
  readonly by: (typeof LOT_ORDERS)[number];
  readonly down: boolean;
}

/** The orders that make sense for a question: a rating is one thing only while the kind is known. */
export function ordersFor(filter: StockFilter): readonly LotOrder['by'][] {
  return LOT_ORDERS.filter((by) => !isMeasure(by) || ratingNames(filter, by).length > 0);
}

/** Terms of an order: what is not known comes last, and of what is the same the newest comes first. */
export function lotOrder(filter: StockFilter, order: LotOrder | undefined): SQL[] {
  if (!order) return [desc(lots.id)];
  const term = sql`nullif(${termOf(filter, order.by)}, '')`;
  return [sql`${order.down ? desc(term) : asc(term)} nulls last`, desc(lots.id)];
}

const isMeasure = (by: LotOrder['by']): by is Measure => by === 'value' || by === 'volts' || by === 'amperes';

function ratingNames({ kind }: StockFilter, measure: Measure) {
  return kind ? [...new Set(kind.kinds.flatMap((one) => measureRatings(one, measure)))] : [];
}

function termOf(filter: StockFilter, by: LotOrder['by']): SQL {
  if (by === 'pieces') return sql`${lots.onHand}`;
  if (by === 'bin') return sql`(select ${bins.code} from ${bins} where ${bins.id} = ${lots.binId})`;
  if (!isMeasure(by)) return sql`${lots[by]}`;
  const values = ratingNames(filter, by).map(
    (name) => sql`(select ${lotRatings.valueSi} from ${lotRatings}
      where ${lotRatings.lotId} = ${lots.id} and ${lotRatings.name} = ${name} and ${lotRatings.supersededMs} is null)`,
  );
  return values.length === 0 ? sql`null` : sql`coalesce(${sql.join([...values, sql`null`], sql`, `)})`;
}
