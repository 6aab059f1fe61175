import { cookies } from 'next/headers';
import { SettingsSheet } from '../../../features/shop/SettingsSheet';
import { loadSettings } from '../../../features/shop/pages.server';
import { schemeOf } from '../../../ui/frame/scheme';
import { PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Settings' };
export const dynamic = 'force-dynamic';

export default async function SettingsPage() {
  const { settings, meters, words } = await loadSettings();
  const { touchLimit, mains, meterAddress } = settings;
  return (
    <>
      <PageHead title="Settings" subtitle="What holds for the whole shop" />
      <SettingsSheet
        touchLimit={touchLimit}
        mains={mains}
        meterAddress={meterAddress}
        meters={meters}
        words={words}
        scheme={schemeOf((await cookies()).get('scheme')?.value)}
      />
    </>
  );
}
