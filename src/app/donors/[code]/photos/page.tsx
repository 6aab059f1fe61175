import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { PhotoStrip } from '../../../../features/donor/photos/PhotoStrip';
import { photoStrip } from '../../../../features/donor/photos/view.server';
import { Evidence } from '../../../../ui/frame/Halves';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Photos');

export default async function PhotosPage(props: StationProps) {
  const { dossier, donor, frame } = await donorOf(props);
  return (
    <DonorPage frame={frame} station="intake">
      <Evidence>
        <PhotoStrip code={donor.code} station="intake" photos={await photoStrip(dossier)} />
      </Evidence>
    </DonorPage>
  );
}
