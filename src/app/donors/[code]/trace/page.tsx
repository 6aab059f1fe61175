import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { NotesSheet } from '../../../../features/donor/components/NotesSheet';
import { notesView } from '../../../../features/donor/views/notes';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Trace' };

export default async function TracePage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  return (
    <DonorPage frame={frame} station="trace">
      <NotesSheet frame={frame} station="trace" notes={await notesView(donor, { station: 'trace' })} />
    </DonorPage>
  );
}
