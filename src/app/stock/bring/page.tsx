import { BringSheet } from '../../../features/stock/lists/BringSheet';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Bring lots in' };

export default function BringLotsPage() {
  return (
    <Page
      head={<PageHead title="Bring lots in" message="from a spreadsheet, or from another bench" />}
      foot={<FindLine />}
    >
      <BringSheet />
    </Page>
  );
}
