import { KIND_NAMES, kindRule } from '../../../../core/part';
import { TypeForm } from '../../../../features/types/TypeForms';
import { Evidence } from '../../../../ui/frame/Halves';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'New type' };

export default function NewTypePage() {
  return (
    <>
      <PageHead title="New type" subtitle="a part number that no donor has taught yet" />
      <Evidence>
        <TypeForm kinds={KIND_NAMES.map((name) => ({ value: name, label: kindRule(name).label }))} />
      </Evidence>
    </>
  );
}
