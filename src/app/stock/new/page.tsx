import { FindLine } from '../../../features/stock/find/FindLine';
import { LotForm } from '../../../features/stock/lot/LotForms';
import { Evidence } from '../../../ui/frame/Halves';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'New lot' };

export default function NewLotPage() {
  return (
    <Page
      head={<PageHead title="New lot" message="Like parts that come from no donor: counted in by hand" />}
      foot={<FindLine />}
    >
      <Evidence>
        <LotForm />
      </Evidence>
    </Page>
  );
}
