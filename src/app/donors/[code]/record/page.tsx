import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { KeptSums } from '../../../../features/sums/KeptSums';
import { loadKeptSums } from '../../../../features/sums/pages.server';
import { RecordSheet } from '../../../../features/donor/record/RecordSheet';
import { recordView } from '../../../../features/donor/record/view.server';
import { journalView, notesView } from '../../../../features/donor/shared/notes.server';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Record');

export default async function RecordPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const [notes, journal, sums, view] = await Promise.all([
    notesView(dossier),
    journalView(dossier),
    loadKeptSums(frame.code),
    recordView(dossier),
  ]);
  return (
    <DonorPage frame={frame} station="record">
      <RecordSheet
        frame={frame}
        notes={notes}
        journal={journal}
        kept={<KeptSums code={frame.code} sums={sums} />}
        view={view}
      />
    </DonorPage>
  );
}
