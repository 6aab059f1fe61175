import { FindLine } from '../../../features/stock/find/FindLine';
import { ImportSheet } from '../../../features/types/ImportSheet';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Bring types in' };

export default function BringTypesPage() {
  return (
    <Page
      head={<PageHead title="Bring types in" message="from a spreadsheet, or from another bench" />}
      foot={<FindLine />}
    >
      <ImportSheet />
    </Page>
  );
}
