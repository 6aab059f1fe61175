import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { RecordSheet } from '../../../../features/donor/components/RecordSheet';
import { journalView, notesView } from '../../../../features/donor/views/notes';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Record' };

export default async function RecordPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const [notes, journal] = await Promise.all([notesView(donor), journalView(donor)]);
  return (
    <DonorPage frame={frame} station="record">
      <RecordSheet frame={frame} notes={notes} journal={journal} />
    </DonorPage>
  );
}
