import { notFound } from 'next/navigation';
import { BuildSheet } from '../../../features/builds/BuildSheet';
import { buildView } from '../../../features/builds/view.server';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';
import { Tag } from '../../../ui/value/marks';

export const metadata = { title: 'Build' };

export default async function BuildPage({ params }: { params: Promise<{ code: string }> }) {
  const build = await buildView((await params).code);
  if (!build) notFound();
  return (
    <Page
      head={<PageHead title={build.title} message={build.line.message} actions={<Tag code={build.code} />} />}
      foot={<FindLine />}
    >
      <BuildSheet build={build} />
    </Page>
  );
}
