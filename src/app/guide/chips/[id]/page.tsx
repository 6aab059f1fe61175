import { notFound } from 'next/navigation';
import { chipFamily } from '../../../../core/chips';
import { ChipFamilySheet } from '../../../../features/guide/ChipFamilySheet';
import { FindLine } from '../../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Chip family' };

export default async function ChipPage({ params }: { params: Promise<{ id: string }> }) {
  const family = chipFamily(decodeURIComponent((await params).id));
  if (!family) notFound();
  return (
    <Page head={<PageHead title={family.id} message={family.function} />} foot={<FindLine />}>
      <ChipFamilySheet family={family} />
    </Page>
  );
}
