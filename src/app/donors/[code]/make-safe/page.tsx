import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { SafetySheet } from '../../../../features/donor/safe/SafetySheet';
import { safetyView } from '../../../../features/donor/safe/view.server';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Make safe');

export default async function MakeSafePage(props: StationProps) {
  const { dossier, donor, frame } = await donorOf(props);
  const view = await safetyView(dossier, word((await props.searchParams).store));
  return (
    <DonorPage frame={frame} station="make-safe">
      <SafetySheet code={donor.code} view={view} />
    </DonorPage>
  );
}
