import { formatQuantity } from '../../core/quantity';
import { limitAt } from '../../core/safety';
import type { StationName } from '../../core/station';
import type { DonorOverview } from '../../db/repositories/donors';

type Seen = Pick<DonorOverview, 'facts' | 'liveStores' | 'isPowered'>;

/**
 * What stands in the way of hands on the board at a station, in a few words. Each station has its own limit: what is
 * under 5 V may be desoldered, and only under 1 V may a meter go into its ohm modes.
 * @returns null when every listed store was read under the limit of the station
 */
export function notDeadMessage(seen: Seen, station: StationName): string | null {
  if (seen.isPowered) return 'Power is on';
  if (seen.facts.stores.total === 0) return 'No store is listed, so nothing here is measured dead';
  const limit = limitAt(station);
  const badge = liveBadge({
    ...seen,
    liveStores: seen.liveStores.filter(({ belowTouch }) => belowTouch === null || belowTouch > limit),
  });
  return badge && badge.message;
}

const standing = (store: DonorOverview['liveStores'][number], isOnly: boolean) =>
  store.belowTouch !== null && isOnly
    ? 'below the touch limit, and not dead'
    : `not measured dead${store.poweredSince ? ' since power was on' : ''}`;

/** What a unit is at worst, for the head of its page: a store that is not measured dead, or that none is listed. */
export function liveBadge({
  facts,
  liveStores,
}: Pick<Seen, 'facts' | 'liveStores'>): { readonly message: string; readonly volts: string } | null {
  if (facts.stores.total === 0) return { message: 'No store listed: treat it as charged', volts: '' };
  const [first, ...others] = liveStores;
  if (!first) return null;
  return {
    message: `${first.name}${others.length ? ` and ${others.length} more` : ''} ${standing(first, others.length === 0)}`,
    volts: first.lastVoltage === null ? '' : formatQuantity(first.lastVoltage, 'volt', { digits: 3 }),
  };
}
