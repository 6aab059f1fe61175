import { BuildForm } from '../../../../features/builds/BuildForms';
import { Evidence } from '../../../../ui/frame/Halves';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'New build' };

export default function NewBuildPage() {
  return (
    <>
      <PageHead title="New build" subtitle="Something to make from the drawers" />
      <Evidence>
        <BuildForm />
      </Evidence>
    </>
  );
}
