import { MarkingRulesSheet } from '../../../features/guide/MarkingRulesSheet';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'Reading markings' };

export default function MarkingsPage() {
  return (
    <Page
      head={<PageHead title="Reading markings" message="the rules, and how far to believe them" />}
      foot={<FindLine />}
    >
      <MarkingRulesSheet />
    </Page>
  );
}
