import { BinsSheet } from '../../../features/stock/bins/BinsSheet';
import { FindLine } from '../../../features/stock/find/FindLine';
import { ageingView, binsView, doneLately } from '../../../features/stock/bins/view.server';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Bins' };
export const dynamic = 'force-dynamic';

export default async function BinsPage() {
  const [view, ageing, done] = await Promise.all([binsView(), ageingView(), doneLately()]);
  const drawers = view.cabinets.reduce((sum, cabinet) => sum + cabinet.drawers.length, 0);
  return (
    <Page
      head={
        <PageHead
          title="Bins"
          message={`${drawers} in ${view.cabinets.length} ${view.cabinets.length === 1 ? 'place' : 'places'}`}
        />
      }
      foot={<FindLine />}
    >
      <BinsSheet view={view} ageing={ageing} done={done} />
    </Page>
  );
}
