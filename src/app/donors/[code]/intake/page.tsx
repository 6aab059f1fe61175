import { amendDonorAction, archiveDonorAction } from '../../../../features/donor/intake/actions';
import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { IntakeSheet } from '../../../../features/donor/intake/IntakeSheet';
import { PhotoStrip } from '../../../../features/donor/photos/PhotoStrip';
import { PlateFields } from '../../../../features/donor/intake/PlateFields';
import { SoakLog } from '../../../../features/donor/intake/SoakLog';
import { intakeTexts } from '../../../../features/donor/intake/fields';
import { intakeFacts } from '../../../../features/donor/intake/facts.server';
import { photoStrip } from '../../../../features/donor/photos/view.server';
import { soakView } from '../../../../features/donor/intake/soak.server';
import { donorOf, type StationProps, titled } from '../load';
import { routes } from '../../../../routes';

export const generateMetadata = titled('Intake');

export default async function IntakePage(props: StationProps) {
  const { dossier, donor, frame } = await donorOf(props);
  const [facts, soak, photos] = await Promise.all([intakeFacts(dossier), soakView(dossier), photoStrip(dossier)]);
  return (
    <DonorPage frame={frame} station="intake">
      <IntakeSheet
        id={donor.id}
        texts={intakeTexts(donor)}
        facts={facts}
        soak={soak}
        action={amendDonorAction.bind(null, donor.code)}
        submit="Save the changes"
        discard={archiveDonorAction.bind(null, donor.code)}
        nextHref={routes.station(donor.code, 'make-safe')}
      >
        <PlateFields
          key={JSON.stringify(facts.plate) + donor.nameplate}
          code={donor.code}
          plate={dossier.plate}
          byHand={facts.plate !== null}
        />
        <SoakLog code={donor.code} soak={soak} />
        <PhotoStrip code={donor.code} station="intake" photos={photos} />
      </IntakeSheet>
    </DonorPage>
  );
}
