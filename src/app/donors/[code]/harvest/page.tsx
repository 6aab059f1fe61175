import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { HarvestSheet } from '../../../../features/donor/harvest/HarvestSheet';
import { boardPartsView, harvestView, minutesIn } from '../../../../features/donor/harvest/view.server';
import { word } from '../../../search';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Harvest');

export default async function HarvestPage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const { part, minutes } = await props.searchParams;
  const [view, harvest] = await Promise.all([
    boardPartsView(dossier, word(part)),
    harvestView(dossier, minutesIn(word(minutes))),
  ]);
  return (
    <DonorPage frame={frame} station="harvest">
      <HarvestSheet frame={frame} view={view} harvest={harvest} />
    </DonorPage>
  );
}
