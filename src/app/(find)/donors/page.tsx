import Form from 'next/form';
import Link from 'next/link';
import { DonorRows } from '../../../features/donors/DonorRows';
import { loadDonors } from '../../../features/donors/pages.server';
import { routes } from '../../../routes';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Evidence } from '../../../ui/frame/Halves';
import { PageHead } from '../../../ui/frame/Page';
import { pageNumber, word, type Search } from '../../search';

export const metadata = { title: 'Donors' };

const PAGE_SIZE = 30;

export default async function DonorsPage({ searchParams }: { searchParams: Search }) {
  const query = word((await searchParams).find);
  const page = pageNumber((await searchParams).page);
  const found = await loadDonors({ query, page, size: PAGE_SIZE });
  const to = (number: number) => routes.donors({ find: query, page: number });
  return (
    <>
      <PageHead
        title="Donors"
        subtitle={`${found.total} ${found.total === 1 ? 'unit' : 'units'}`}
        actions={
          <>
            <Link href={routes.archive()} className="btn" data-tone="quiet">
              archive
            </Link>
            <Link href={routes.newDonor()} className="btn" data-tone="next">
              New donor
            </Link>
          </>
        }
      >
        <Form action={routes.donors()} role="search" className="max-w-[520px]">
          <input
            name="find"
            defaultValue={query}
            key={query}
            aria-label="Find a donor"
            placeholder="maker, model, label or origin"
            autoComplete="off"
            className="h-9 w-full rounded-[3px] border border-rule-2 bg-lift px-3 text-[14px] placeholder:text-ink-3"
          />
        </Form>
      </PageHead>
      <Evidence>
        {found.lines.length > 0 ? (
          <DonorRows lines={found.lines} />
        ) : (
          <EmptyState
            title={query === '' ? 'No donor yet' : `No donor carries “${query}”`}
            action={
              <Link href={routes.newDonor()} className="btn" data-tone="next">
                New donor
              </Link>
            }
          >
            A donor is one discarded unit. It gets a code for its tag, and its own line of stations.
          </EmptyState>
        )}
        {found.pages > 1 && (
          <nav aria-label="Pages" className="mt-4 flex items-center gap-4 text-[13px]">
            {page > 0 && (
              <Link href={to(page - 1)} className="btn" prefetch={false}>
                newer
              </Link>
            )}
            <span className="q">
              {page + 1} of {found.pages}
            </span>
            {page + 1 < found.pages && (
              <Link href={to(page + 1)} className="btn" prefetch={false}>
                older
              </Link>
            )}
          </nav>
        )}
      </Evidence>
    </>
  );
}
