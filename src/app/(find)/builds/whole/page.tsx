import { WholeSheet } from '../../../../features/builds/WholeSheet';
import { loadWhole } from '../../../../features/builds/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Use a whole supply' };

export default async function WholePage({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const found = await loadWhole(await searchParams);
  return (
    <>
      <PageHead title="Use a whole supply" subtitle="What is there in one piece, alone or stacked" />
      <WholeSheet {...found} />
    </>
  );
}
