import Form from 'next/form';
import Link from 'next/link';
import { DonorRows } from '../../features/donors/DonorRows';
import { donorLines } from '../../services/dossier/donorLines';
import { FindLine } from '../../features/stock/find/FindLine';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Evidence } from '../../ui/frame/Halves';
import { Page, PageHead } from '../../ui/frame/Page';
import { pageNumber, word, type Search } from '../search';

export const metadata = { title: 'Donors' };

const PAGE_SIZE = 30;

export default async function DonorsPage({ searchParams }: { searchParams: Search }) {
  const query = word((await searchParams).find);
  const page = pageNumber((await searchParams).page);
  const found = await donorLines({ query, page, size: PAGE_SIZE });
  const to = (number: number) => `/donors?find=${encodeURIComponent(query)}&page=${number}`;
  return (
    <Page
      head={
        <PageHead
          title="Donors"
          message={`${found.total} ${found.total === 1 ? 'unit' : 'units'}`}
          actions={
            <>
              <Link href="/donors/put-away" className="btn" data-tone="quiet">
                put away
              </Link>
              <Link href="/donors/new" className="btn" data-tone="next">
                New donor
              </Link>
            </>
          }
        >
          <Form action="/donors" role="search" className="max-w-[520px]">
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
      }
      foot={<FindLine />}
    >
      <Evidence>
        {found.lines.length > 0 ? (
          <DonorRows lines={found.lines} />
        ) : (
          <EmptyState
            title={query === '' ? 'No donor yet' : `No donor carries “${query}”`}
            action={
              <Link href="/donors/new" className="btn" data-tone="next">
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
    </Page>
  );
}
