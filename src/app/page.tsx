import Link from 'next/link';
import { loadBench } from '../features/home/view.server';
import { buildLines } from '../features/builds/view.server';
import { BenchSheet } from '../features/home/BenchSheet';
import { FindLine } from '../features/stock/find/FindLine';
import { Page, PageHead } from '../ui/frame/Page';

export default async function BenchPage() {
  const [view, builds] = await Promise.all([loadBench(), buildLines(6)]);
  return (
    <Page
      head={
        <PageHead
          title="On the bench"
          message={view.message}
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
