import { FindLine } from '../features/stock/find/FindLine';
import { EmptyState } from '../ui/feedback/EmptyState';
import { Evidence } from '../ui/frame/Halves';
import { Page, PageHead } from '../ui/frame/Page';

export default function NotFound() {
  return (
    <Page head={<PageHead title="Nothing here" />} foot={<FindLine />}>
      <Evidence>
        <EmptyState title="No such place">
          No donor, lot or build has this code, or it was put away. Codes have six characters, like K7F-2QM; type one
          into the line below as it stands on the label, and a mistyped character is noticed.
        </EmptyState>
      </Evidence>
    </Page>
  );
}
