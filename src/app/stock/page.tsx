import Link from 'next/link';
import { FindLine } from '../../features/stock/find/FindLine';
import { StockSearch, StockSheet } from '../../features/stock/find/StockSheet';
import { stockHead, stockView } from '../../features/stock/find/view.server';
import { Page, PageHead } from '../../ui/frame/Page';
import { word, type Search } from '../search';

export const metadata = { title: 'Stock' };

export default async function StockPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const view = await stockView(word(search.find).trim(), word(search.order));
  const codes = view.rows.map(({ cells }) => cells.lot?.text ?? '').join(',');
  return (
    <Page
      head={
        <PageHead
          title="Stock"
          message={await stockHead()}
          actions={
            <>
              {view.rows.length > 0 && (
                <Link href={`/stock/labels?lots=${codes}`} className="btn" prefetch={false}>
                  Labels
                </Link>
              )}
              <Link href="/stock/scan" className="btn" prefetch={false}>
                Scan
              </Link>
              <Link href="/stock/bins" className="btn" prefetch={false}>
                Bins
              </Link>
              <Link href="/types" className="btn" prefetch={false}>
                Types
              </Link>
              <Link href="/stock/new" className="btn" data-tone="next">
                New lot
              </Link>
            </>
          }
        >
          <StockSearch view={view} />
        </PageHead>
      }
      foot={<FindLine />}
    >
      <StockSheet view={view} />
    </Page>
  );
}
