import { registerDonorAction } from '../../../features/donor/actions';
import { IntakeSheet } from '../../../features/donor/components/IntakeSheet';
import { FindLine } from '../../../features/stock/components/FindLine';
import { Page, PageHead } from '../../../ui/frame/Page';

export const metadata = { title: 'New donor' };

const BLANK = {
  description: '',
  maker: '',
  model: '',
  nameplate: '',
  origin: '',
  symptom: '',
  length: '',
  width: '',
  height: '',
  mass: '',
};

export default function NewDonorPage() {
  return (
    <Page
      head={<PageHead title="New donor" says="One discarded unit: what its label says, and how it came here" />}
      foot={<FindLine />}
    >
      <IntakeSheet defaults={BLANK} size={{}} action={registerDonorAction} submit="Put it on the bench" />
    </Page>
  );
}
