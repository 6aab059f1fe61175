import { FindLine } from '../../features/stock/find/FindLine';
import { SumsSheet } from '../../features/sums/SumsSheet';
import { Page, PageHead } from '../../ui/frame/Page';

export const metadata = { title: 'Sums' };

export default function SumsPage() {
  return (
    <Page
      head={<PageHead title="Sums" message="Single calculations, without a donor; nothing here is stored" />}
      foot={<FindLine />}
    >
      <SumsSheet />
    </Page>
  );
}
