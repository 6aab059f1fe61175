import { BuildForm } from '../../../features/builds/BuildForms';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Evidence } from '../../../ui/frame/Halves';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'New build' };

export default function NewBuildPage() {
  return (
    <Page head={<PageHead title="New build" message="Something to make from the drawers" />} foot={<FindLine />}>
      <Evidence>
        <BuildForm />
      </Evidence>
    </Page>
  );
}
