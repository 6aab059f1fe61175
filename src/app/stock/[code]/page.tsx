import { notFound } from 'next/navigation';
import { FindLine } from '../../../features/stock/find/FindLine';
import { LotSheet } from '../../../features/stock/lot/LotSheet';
import { lotView } from '../../../features/stock/lot/view.server';
import { Page, PageHead } from '../../../ui/frame/Page';
import { Tag } from '../../../ui/value/marks';

export const metadata = { title: 'Lot' };

export default async function LotPage({ params }: { params: Promise<{ code: string }> }) {
  const lot = await lotView((await params).code);
  if (!lot) notFound();
  return (
    <Page
      head={
        <PageHead
          title={lot.title}
          message={lot.message}
          actions={
            <>
              <Tag code={lot.code} />
              <a href={`/stock/labels?lots=${lot.code}`} className="btn">
                Label
              </a>
            </>
          }
        />
      }
      foot={<FindLine />}
    >
      <LotSheet lot={lot} />
    </Page>
  );
}
