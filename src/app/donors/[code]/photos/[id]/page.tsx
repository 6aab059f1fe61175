import { notFound } from 'next/navigation';
import { DonorPage } from '../../../../../features/donor/shared/DonorPage';
import { PhotoSheet } from '../../../../../features/donor/photos/PhotoSheet';
import { photoPage } from '../../../../../features/donor/photos/view.server';
import { word } from '../../../../search';
import { donorOf, type StationProps, titled } from '../../load';

export const generateMetadata = titled('Photo');

export default async function PhotoPage(props: StationProps & { params: Promise<{ code: string; id: string }> }) {
  const { dossier, donor, frame } = await donorOf(props);
  const photo = await photoPage(dossier, (await props.params).id);
  if (!photo) notFound();
  return (
    <DonorPage frame={frame} station={photo.station}>
      <PhotoSheet code={donor.code} photo={photo} place={word((await props.searchParams).place)} />
    </DonorPage>
  );
}
