import { notFound } from 'next/navigation';
import { FindLine } from '../../../../features/stock/find/FindLine';
import { StocktakeSheet } from '../../../../features/stock/bins/StocktakeSheet';
import { stocktakeView } from '../../../../features/stock/bins/view.server';
import { Page, PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Stocktake' };

export default async function CountPage({ params }: { params: Promise<{ bin: string }> }) {
  const view = await stocktakeView(decodeURIComponent((await params).bin));
  if (!view) notFound();
  return (
    <Page
      head={<PageHead title={`Stocktake of ${view.bin}`} message="what lies here, against what is booked" />}
      foot={<FindLine />}
    >
      <StocktakeSheet view={view} />
    </Page>
  );
}
