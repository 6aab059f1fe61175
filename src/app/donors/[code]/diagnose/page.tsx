import { DiagnoseSheet } from '../../../../features/donor/repair/DiagnoseSheet';
import { repairView } from '../../../../features/donor/repair/view.server';
import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { LiveNotice } from '../../../../features/donor/shared/LiveNotice';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Diagnose');

export default async function DiagnosePage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  return (
    <DonorPage frame={frame} station="test" branch="diagnose">
      <DiagnoseSheet code={frame.code} view={await repairView(dossier)}>
        <LiveNotice frame={frame} station="test" />
      </DiagnoseSheet>
    </DonorPage>
  );
}
