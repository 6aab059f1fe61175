import { amendDonorAction, discardDonorAction } from '../../../../features/donor/actions';
import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { IntakeSheet } from '../../../../features/donor/components/IntakeSheet';
import { intakeFields } from '../../../../features/donor/views/intakeFields';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Intake' };

export default async function IntakePage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const { defaults, size } = intakeFields(donor);
  return (
    <DonorPage frame={frame} station="intake">
      <IntakeSheet
        defaults={defaults}
        size={size}
        action={amendDonorAction.bind(null, donor.code)}
        submit="Keep the changes"
        discard={discardDonorAction.bind(null, donor.code)}
        nextHref={`/donors/${donor.code}/make-safe`}
      />
    </DonorPage>
  );
}
