import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { OpeningSheet } from '../../../../features/donor/components/OpeningSheet';
import { openingView } from '../../../../features/donor/views/opening';
import { photoStrip } from '../../../../features/donor/views/photos';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Open' };

export default async function OpenPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const [view, photos] = await Promise.all([openingView(donor), photoStrip(donor)]);
  return (
    <DonorPage frame={frame} station="open">
      <OpeningSheet frame={frame} view={view} photos={photos} />
    </DonorPage>
  );
}
