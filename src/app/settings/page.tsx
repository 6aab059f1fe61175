import { SettingsSheet } from '../../features/shop/SettingsSheet';
import { metersView, settingsView } from '../../features/shop/view.server';
import { FindLine } from '../../features/stock/find/FindLine';
import { Page, PageHead } from '../../ui/frame/Page';

export const metadata = { title: 'Settings' };
export const dynamic = 'force-dynamic';

export default async function SettingsPage() {
  const [{ touchLimit, meterAddress }, meters] = await Promise.all([settingsView(), metersView()]);
  return (
    <Page head={<PageHead title="Settings" message="What holds for the whole shop" />} foot={<FindLine />}>
      <SettingsSheet touchLimit={touchLimit} meterAddress={meterAddress} meters={meters} />
    </Page>
  );
}
