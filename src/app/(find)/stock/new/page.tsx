import { LotForm } from '../../../../features/stock/lot/LotForms';
import { Evidence } from '../../../../ui/frame/Halves';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'New lot' };

export default function NewLotPage() {
  return (
    <>
      <PageHead title="New lot" subtitle="Like parts that come from no donor: counted in by hand" />
      <Evidence>
        <LotForm />
      </Evidence>
    </>
  );
}
