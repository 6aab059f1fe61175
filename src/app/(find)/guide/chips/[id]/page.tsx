import { notFound } from 'next/navigation';
import { chipFamily } from '../../../../../core/chips';
import { ChipFamilySheet } from '../../../../../features/guide/ChipFamilySheet';
import { loadChipLearnt, loadChipMet } from '../../../../../features/guide/pages.server';
import { PageHead } from '../../../../../ui/frame/Page';

export const metadata = { title: 'Chip family' };

export default async function ChipPage({ params }: { params: Promise<{ id: string }> }) {
  const family = chipFamily(decodeURIComponent((await params).id));
  if (!family) notFound();
  const [met, learnt] = await Promise.all([loadChipMet(family.id), loadChipLearnt(family.id)]);
  return (
    <>
      <PageHead title={family.id} subtitle={family.function} />
      <ChipFamilySheet family={family} met={met} learnt={learnt} />
    </>
  );
}
