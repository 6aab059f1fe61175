import { registerDonorAction } from '../../../../features/donor/intake/actions';
import { IntakeSheet } from '../../../../features/donor/intake/IntakeSheet';
import { AddSample } from '../../../../features/donor/sample/SampleButtons';
import { loadNewUnit } from '../../../../features/donor/shared/load.server';
import { BLANK_TEXTS } from '../../../../features/donor/intake/fields';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'New donor' };

export const dynamic = 'force-dynamic';

export default async function NewDonorPage() {
  const facts = await loadNewUnit();
  return (
    <>
      <PageHead
        title="New donor"
        subtitle="One discarded unit: what its label says, and how it came here"
        actions={<AddSample />}
      />
      <IntakeSheet texts={BLANK_TEXTS} facts={facts} action={registerDonorAction} submit="Put it on the bench" />
    </>
  );
}
