import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { HarvestSheet } from '../../../../features/donor/components/HarvestSheet';
import { harvestView, minutesIn } from '../../../../features/donor/views/harvest';
import { partsView } from '../../../../features/donor/views/parts';
import { word } from '../../../search';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Harvest' };

export default async function HarvestPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const { part, minutes } = await props.searchParams;
  const [view, harvest] = await Promise.all([
    partsView(donor, { station: 'harvest', wanted: word(part) }),
    harvestView(donor, minutesIn(word(minutes))),
  ]);
  return (
    <DonorPage frame={frame} station="harvest">
      <HarvestSheet frame={frame} view={view} harvest={harvest} />
    </DonorPage>
  );
}
