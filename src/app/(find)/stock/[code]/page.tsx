import { notFound } from 'next/navigation';
import { LotSheet } from '../../../../features/stock/lot/LotSheet';
import { loadLot } from '../../../../features/stock/pages.server';
import { SumsFor } from '../../../../features/sums/SumsFor';
import { routes } from '../../../../routes';
import { PageHead } from '../../../../ui/frame/Page';
import { Tag } from '../../../../ui/value/marks';

export const metadata = { title: 'Lot' };

export default async function LotPage({ params }: { params: Promise<{ code: string }> }) {
  const lot = await loadLot((await params).code);
  if (!lot) notFound();
  return (
    <>
      <PageHead
        title={lot.title}
        subtitle={lot.subtitle}
        actions={
          <>
            <Tag code={lot.code} />
            <a href={routes.labels([lot.code])} className="btn">
              Label
            </a>
          </>
        }
      />
      <LotSheet lot={lot} sums={<SumsFor from={lot.code} ratings={lot.ratingNames} />} />
    </>
  );
}
