import Link from 'next/link';
import { loadBench } from './bench';
import { buildLines } from '../features/builds/views';
import { BenchSheet } from './BenchSheet';
import { FindLine } from '../features/stock/components/FindLine';
import { Page, PageHead } from '../ui/frame/Page';

export default async function BenchPage() {
  const [view, builds] = await Promise.all([loadBench(), buildLines(6)]);
  return (
    <Page
      head={
        <PageHead
          title="On the bench"
          says={view.says}
          actions={
            <>
              <Link href="/stock/scan" className="btn" prefetch={false}>
                Scan a label
              </Link>
              <Link href="/donors/new" className="btn" data-tone="next">
                New donor
              </Link>
            </>
          }
        />
      }
      foot={<FindLine />}
    >
      <BenchSheet view={view} builds={builds} />
    </Page>
  );
}
