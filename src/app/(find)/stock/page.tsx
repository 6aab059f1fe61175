import Link from '../../../ui/frame/Link';
import { StockSearch, StockSheet } from '../../../features/stock/find/StockSheet';
import { loadStock } from '../../../features/stock/pages.server';
import { routes } from '../../../routes';
import { PageHead } from '../../../ui/frame/Page';
import { word, type Search } from '../../search';

export const metadata = { title: 'Stock' };

export default async function StockPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const { view, head } = await loadStock(word(search.find).trim(), word(search.order));
  return (
    <>
      <PageHead
        title="Stock"
        subtitle={head}
        actions={
          <>
            {view.rows.length > 0 && (
              <Link href={routes.labels(view.codes)} className="btn">
                Labels
              </Link>
            )}
            <Link href={routes.scan()} className="btn">
              Scan
            </Link>
            <Link href={routes.bins()} className="btn">
              Bins
            </Link>
            <Link href={routes.types()} className="btn">
              Types
            </Link>
            <Link href={routes.newLot()} className="btn" data-tone="next">
              New lot
            </Link>
          </>
        }
      >
        <StockSearch view={view} />
      </PageHead>
      <StockSheet view={view} />
    </>
  );
}
