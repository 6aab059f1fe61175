import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { OpeningSheet } from '../../../../features/donor/open/OpeningSheet';
import { openingView } from '../../../../features/donor/open/view.server';
import { photoStrip } from '../../../../features/donor/photos/view.server';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Open');

export default async function OpenPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const [view, photos] = await Promise.all([openingView(dossier), photoStrip(dossier)]);
  return (
    <DonorPage frame={frame} station="open">
      <OpeningSheet frame={frame} view={view} photos={photos} />
    </DonorPage>
  );
}
