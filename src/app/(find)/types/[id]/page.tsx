import { notFound } from 'next/navigation';
import { TypeSheet } from '../../../../features/types/TypeSheet';
import { loadType } from '../../../../features/types/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Type' };

export default async function TypePage({ params }: { params: Promise<{ id: string }> }) {
  const type = await loadType((await params).id);
  if (!type) notFound();
  const subtitle = [type.kindLabel, type.technology, type.package, type.note].filter((word) => word !== '').join(' · ');
  return (
    <>
      <PageHead title={type.name} subtitle={subtitle} />
      <TypeSheet type={type} />
    </>
  );
}
