import { GuideSheet } from '../../features/guide/GuideSheet';
import { FindLine } from '../../features/stock/find/FindLine';
import { Page, PageHead } from '../../ui/frame/Page';

export const metadata = { title: 'Guide' };

export default function GuidePage() {
  return (
    <Page head={<PageHead title="Guide" message="Cautions, and the words Zorvek understands" />} foot={<FindLine />}>
      <GuideSheet />
    </Page>
  );
}
