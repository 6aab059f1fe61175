import { loadSettings } from '../../../features/shop/pages.server';
import { SumsSheet } from '../../../features/sums/SumsSheet';
import { PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Sums' };
export const dynamic = 'force-dynamic';

export default async function SumsPage() {
  const { settings } = await loadSettings();
  return (
    <>
      <PageHead title="Sums" subtitle="Single calculations, without a donor; nothing here is stored" />
      <SumsSheet touchLimit={settings.touchLimit} />
    </>
  );
}
