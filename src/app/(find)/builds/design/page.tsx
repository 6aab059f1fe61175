import { Suspense } from 'react';
import { DesignSearching, DesignSheet } from '../../../../features/builds/DesignSheet';
import { designQueryOf, loadDesigns } from '../../../../features/builds/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Design from stock' };

export default async function DesignPage({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const query = designQueryOf(await searchParams);
  return (
    <>
      <PageHead title="Design from stock" subtitle="A converter out of what lies in the drawers" />
      <Suspense key={JSON.stringify({ ...query, pick: '' })} fallback={<DesignSearching query={query} />}>
        <Found query={query} />
      </Suspense>
    </>
  );
}

async function Found({ query }: { query: ReturnType<typeof designQueryOf> }) {
  return <DesignSheet {...await loadDesigns(query)} />;
}
