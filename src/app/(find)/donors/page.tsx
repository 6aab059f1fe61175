import Link from '../../../ui/frame/Link';
import { DonorList } from '../../../features/donors/DonorList';
import { loadDonors } from '../../../features/donors/pages.server';
import { routes } from '../../../routes';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { PageHead } from '../../../ui/frame/Page';
import { ListSearch } from '../../../ui/list/ListSearch';
import { orderText } from '../../../ui/list/rows';
import { word, type Search } from '../../search';

export const metadata = { title: 'Donors' };

export default async function DonorsPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const { find, lines, total, order, orders } = await loadDonors(word(search.find), word(search.order));
  const units = `${total} ${total === 1 ? 'unit' : 'units'}`;
  return (
    <>
      <PageHead
        title="Donors"
        subtitle={units}
        actions={
          <>
            <Link href={routes.compare()} className="btn" data-tone="quiet">
              compare
            </Link>
            <Link href={routes.archive()} className="btn" data-tone="quiet">
              archive
            </Link>
            <Link href={routes.newDonor()} className="btn" data-tone="next">
              New donor
            </Link>
          </>
        }
      >
        <ListSearch
          action={routes.donors()}
          label="Find a donor"
          value={find}
          placeholder="maker, model, label or origin"
          found={find === '' ? '' : units}
        />
      </PageHead>
      <Evidence>
        {lines.length > 0 ? (
          <DonorList
            lines={lines}
            total={total}
            long={{
              rowsUrl: routes.donorRows({ find, order: orderText(order) }),
              url: routes.donors({ find }),
              order,
              orders,
              usual: 'newest first',
            }}
          />
        ) : (
          <EmptyState
            title={find === '' ? 'No donor yet' : `No donor carries “${find}”`}
            action={
              <Link href={routes.newDonor()} className="btn" data-tone="next">
                New donor
              </Link>
            }
          >
            A donor is one discarded unit. It gets a code for its tag, and its own line of stations.
          </EmptyState>
        )}
      </Evidence>
    </>
  );
}
