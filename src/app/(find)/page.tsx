import Link from '../../ui/frame/Link';
import { loadBench } from '../../features/home/pages.server';
import { loadBuilds } from '../../features/builds/pages.server';
import { BuildList } from '../../features/builds/BuildList';
import { AddSample, RemoveSample } from '../../features/donor/sample/SampleButtons';
import { DonorList } from '../../features/donors/DonorList';
import { BenchSheet } from '../../features/home/BenchSheet';
import { PageHead } from '../../ui/frame/Page';
import { routes } from '../../routes';

export default async function BenchPage() {
  const [view, builds] = await Promise.all([loadBench(), loadBuilds(6)]);
  return (
    <>
      <PageHead
        title="On the bench"
        subtitle={view.subtitle}
        actions={
          <>
            <Link href={routes.glance()} className="btn">
              The shop at a glance
            </Link>
            <Link href={routes.scan()} className="btn">
              Scan a label
            </Link>
            <Link href={routes.newDonor()} className="btn" data-tone="next">
              New donor
            </Link>
          </>
        }
      />
      <BenchSheet
        view={view}
        donors={<DonorList lines={view.donors.lines} />}
        builds={<BuildList builds={builds} />}
        addSample={<AddSample />}
        removeSample={view.sample && <RemoveSample code={view.sample} />}
      />
    </>
  );
}
