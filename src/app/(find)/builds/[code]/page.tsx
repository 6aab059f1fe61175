import { notFound } from 'next/navigation';
import { BuildSheet } from '../../../../features/builds/BuildSheet';
import { loadBuild } from '../../../../features/builds/pages.server';
import { KeptSums } from '../../../../features/sums/KeptSums';
import { loadKeptSums } from '../../../../features/sums/pages.server';
import { PageHead } from '../../../../ui/frame/Page';
import { Tag } from '../../../../ui/value/marks';

export const metadata = { title: 'Build' };

export default async function BuildPage({ params }: { params: Promise<{ code: string }> }) {
  const build = await loadBuild((await params).code);
  if (!build) notFound();
  return (
    <>
      <PageHead title={build.title} subtitle={build.line.message} actions={<Tag code={build.code} />} />
      <BuildSheet build={build} kept={<KeptSums code={build.code} sums={await loadKeptSums(build.code)} />} />
    </>
  );
}
