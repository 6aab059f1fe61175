import { registerDonorAction } from '../../../features/donor/intake/actions';
import { IntakeSheet } from '../../../features/donor/intake/IntakeSheet';
import { intakeFacts } from '../../../features/donor/intake/facts.server';
import { BLANK_TEXTS } from '../../../features/donor/intake/fields';
import { FindLine } from '../../../features/stock/find/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'New donor' };

export const dynamic = 'force-dynamic';

export default async function NewDonorPage() {
  const facts = await intakeFacts();
  return (
    <Page
      head={<PageHead title="New donor" message="One discarded unit: what its label says, and how it came here" />}
      foot={<FindLine />}
    >
      <IntakeSheet texts={BLANK_TEXTS} facts={facts} action={registerDonorAction} submit="Put it on the bench" />
    </Page>
  );
}
