import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { NotesSheet } from '../../../../features/donor/components/NotesSheet';
import { notesView } from '../../../../features/donor/views/notes';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Open' };

export default async function OpenPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  return (
    <DonorPage frame={frame} station="open">
      <NotesSheet frame={frame} station="open" notes={await notesView(donor, 'open')} />
    </DonorPage>
  );
}
