import { notFound } from 'next/navigation';
import { StocktakeSheet } from '../../../../../features/stock/bins/StocktakeSheet';
import { loadStocktake } from '../../../../../features/stock/pages.server';
import { PageHead } from '../../../../../ui/frame/Page';

export const metadata = { title: 'Stocktake' };

export default async function CountPage({ params }: { params: Promise<{ bin: string }> }) {
  const view = await loadStocktake(decodeURIComponent((await params).bin));
  if (!view) notFound();
  return (
    <>
      <PageHead title={`Stocktake of ${view.bin}`} subtitle="what lies here, against what is booked" />
      <StocktakeSheet view={view} />
    </>
  );
}
