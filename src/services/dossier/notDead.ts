import { formatQuantity } from '../../core/quantity';
import type { DonorOverview } from '../../db/repositories/donors';

/** What stands in the way of hands on the board, in a few words; null when every listed store is measured dead. */
export function notDeadMessage({ facts, liveStores }: Pick<DonorOverview, 'facts' | 'liveStores'>): string | null {
  if (facts.stores.total === 0) return 'No store is listed, so nothing here is measured dead';
  const badge = liveBadge(liveStores);
  return badge && badge.message;
}

/** The first store that is not measured dead, with its last reading, for the head of the page. */
export function liveBadge(
  stores: DonorOverview['liveStores'],
): { readonly message: string; readonly volts: string } | null {
  const [first, ...others] = stores;
  if (!first) return null;
  return {
    message: `${first.name}${others.length ? ` and ${others.length} more` : ''} not measured dead${first.poweredSince ? ' since power was on' : ''}`,
    volts: first.lastVoltage === null ? '' : formatQuantity(first.lastVoltage, 'volt', { digits: 3 }),
  };
}
