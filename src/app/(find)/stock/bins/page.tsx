import { BinsSheet } from '../../../../features/stock/bins/BinsSheet';
import { loadBins } from '../../../../features/stock/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Bins' };
export const dynamic = 'force-dynamic';

export default async function BinsPage() {
  const { view, ageing, done } = await loadBins();
  const drawers = view.cabinets.reduce((sum, cabinet) => sum + cabinet.drawers.length, 0);
  return (
    <>
      <PageHead
        title="Bins"
        subtitle={`${drawers} in ${view.cabinets.length} ${view.cabinets.length === 1 ? 'place' : 'places'}`}
      />
      <BinsSheet view={view} ageing={ageing} done={done} />
    </>
  );
}
