import { notFound } from 'next/navigation';
import { BringNeeds } from '../../../../../features/builds/BringNeeds';
import { loadBuild } from '../../../../../features/builds/pages.server';
import { PageHead } from '../../../../../ui/frame/Page';

export const metadata = { title: 'Bring needs in' };

export default async function BringNeedsPage({ params }: { params: Promise<{ code: string }> }) {
  const build = await loadBuild((await params).code);
  if (!build) notFound();
  return (
    <>
      <PageHead title={`Needs of ${build.title}`} subtitle="from a spreadsheet, or as you wrote them down" />
      <BringNeeds code={build.code} />
    </>
  );
}
