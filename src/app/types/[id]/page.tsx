import { notFound } from 'next/navigation';
import { FindLine } from '../../../features/stock/find/FindLine';
import { TypeSheet } from '../../../features/types/TypeSheet';
import { typeView } from '../../../features/types/view.server';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Type' };

export default async function TypePage({ params }: { params: Promise<{ id: string }> }) {
  const type = await typeView((await params).id);
  if (!type) notFound();
  const message = [type.kindLabel, type.technology, type.package, type.note].filter((word) => word !== '').join(' · ');
  return (
    <Page head={<PageHead title={type.name} message={message} />} foot={<FindLine />}>
      <TypeSheet type={type} />
    </Page>
  );
}
