import { BringSheet } from '../../../../features/stock/lists/BringSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Bring lots in' };

export default function BringLotsPage() {
  return (
    <>
      <PageHead title="Bring lots in" subtitle="from a spreadsheet, or from another bench" />
      <BringSheet />
    </>
  );
}
