import { ChipsSheet } from '../../../features/guide/ChipsSheet';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Chip families' };

export default function ChipsPage() {
  return (
    <Page
      head={<PageHead title="Chip families" message="pins, thresholds and what to expect unpowered" />}
      foot={<FindLine />}
    >
      <ChipsSheet />
    </Page>
  );
}
