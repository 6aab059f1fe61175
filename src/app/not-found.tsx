import { unplugAction } from '../features/donor/shared/actions';
import { FindLine } from '../features/stock/find/FindLine';
import { NothingHere } from '../ui/feedback/NothingHere';
import { PageFrame } from '../ui/frame/Page';

export default function NotFound() {
  return (
    <PageFrame foot={<FindLine unplug={unplugAction} />}>
      <NothingHere />
    </PageFrame>
  );
}
