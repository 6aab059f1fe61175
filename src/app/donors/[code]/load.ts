import { notFound } from 'next/navigation';
import { loadDonor } from '../../../features/donor/shared/load.server';
import type { Search } from '../../search';

/** What a station's page is given. */
export interface StationProps {
  readonly params: Promise<{ code: string }>;
  readonly searchParams: Search;
}

/** The donor that the address names, or the page that says there is none. */
export async function donorOf({ params }: StationProps) {
  return (await loadDonor((await params).code)) ?? notFound();
}

/** The title of a station's page: the unit's code first, since several units stand open in tabs. */
export const titled =
  (label: string) =>
  async ({ params }: Pick<StationProps, 'params'>) => ({ title: `${(await params).code.toUpperCase()} ${label}` });
