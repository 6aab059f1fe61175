import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { IdentifySheet } from '../../../../features/donor/identify/IdentifySheet';
import { notesView } from '../../../../features/donor/shared/notes.server';
import { identifyView } from '../../../../features/donor/identify/view.server';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Identify');

export default async function IdentifyPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const wanted = word((await props.searchParams).part);
  const [view, issues] = await Promise.all([identifyView(dossier, wanted), notesView(dossier)]);
  return (
    <DonorPage frame={frame} station="identify">
      <IdentifySheet code={frame.code} view={view} issues={issues.filter(({ open }) => open)} />
    </DonorPage>
  );
}
