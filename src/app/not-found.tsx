import { unplugAction } from '../features/donor/shared/actions';
import { FindLine } from '../features/stock/find/FindLine';
import { EmptyState } from '../ui/feedback/EmptyState';
import { Evidence } from '../ui/frame/Halves';
import { PageFrame, PageHead } from '../ui/frame/Page';

export default function NotFound() {
  return (
    <PageFrame foot={<FindLine unplug={unplugAction} />}>
      <PageHead title="Nothing here" />
      <Evidence>
        <EmptyState title="No such place">
          No donor, lot or build has this code, or it was archived. Codes have six characters, like K7F-2QM; type one
          into the line below as it stands on the label, and a mistyped character is noticed.
        </EmptyState>
      </Evidence>
    </PageFrame>
  );
}
