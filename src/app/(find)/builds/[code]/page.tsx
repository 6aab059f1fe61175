import { notFound } from 'next/navigation';
import { needBegun } from '../../../../features/builds/begun';
import { BuildSheet } from '../../../../features/builds/BuildSheet';
import { loadBuild } from '../../../../features/builds/pages.server';
import { KeptSums } from '../../../../features/sums/KeptSums';
import { loadKeptSums } from '../../../../features/sums/pages.server';
import { routes } from '../../../../routes';
import { PageHead } from '../../../../ui/frame/Page';
import { Tag } from '../../../../ui/value/marks';

export const metadata = { title: 'Build' };

export default async function BuildPage({
  params,
  searchParams,
}: {
  params: Promise<{ code: string }>;
  searchParams: Promise<Record<string, unknown>>;
}) {
  const build = await loadBuild((await params).code);
  if (!build) notFound();
  return (
    <>
      <PageHead
        title={build.title}
        subtitle={build.line.message}
        actions={
          <>
            <a href={routes.buildReport(build.code, 'pdf')} className="btn" data-tone="quiet">
              report
            </a>
            <a href={routes.buildReport(build.code, 'zip')} className="btn" data-tone="quiet">
              all as zip
            </a>
            <Tag code={build.code} />
          </>
        }
      />
      <BuildSheet
        build={build}
        begun={needBegun(await searchParams)}
        kept={<KeptSums code={build.code} sums={await loadKeptSums(build.code)} />}
      />
    </>
  );
}
