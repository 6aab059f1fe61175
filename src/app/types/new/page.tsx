import { KIND_NAMES, kindRule } from '../../../core/part';
import { FindLine } from '../../../features/stock/find/FindLine';
import { TypeForm } from '../../../features/types/TypeForms';
import { Evidence } from '../../../ui/frame/Halves';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'New type' };

export default function NewTypePage() {
  return (
    <Page head={<PageHead title="New type" message="a part number that no donor has taught yet" />} foot={<FindLine />}>
      <Evidence>
        <TypeForm kinds={KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label }))} />
      </Evidence>
    </Page>
  );
}
