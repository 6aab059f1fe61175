import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { IdentifySheet } from '../../../../features/donor/components/IdentifySheet';
import { notesView } from '../../../../features/donor/views/notes';
import { partsView } from '../../../../features/donor/views/parts';
import { word } from '../../../search';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Identify' };

export default async function IdentifyPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const wanted = word((await props.searchParams).part);
  const [view, matters] = await Promise.all([partsView(donor, { station: 'identify', wanted }), notesView(donor)]);
  return (
    <DonorPage frame={frame} station="identify">
      <IdentifySheet code={frame.code} view={view} matters={matters.filter(({ open }) => open)} />
    </DonorPage>
  );
}
