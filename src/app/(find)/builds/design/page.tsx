import { DesignSheet } from '../../../../features/builds/DesignSheet';
import { loadDesigns } from '../../../../features/builds/pages.server';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Design from stock' };

export default async function DesignPage({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const found = await loadDesigns(await searchParams);
  return (
    <>
      <PageHead title="Design from stock" subtitle="A converter out of what lies in the drawers" />
      <DesignSheet {...found} />
    </>
  );
}
