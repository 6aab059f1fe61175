import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { HarvestSheet } from '../../../../features/donor/harvest/HarvestSheet';
import { harvestView, minutesIn } from '../../../../features/donor/harvest/view.server';
import { partsView } from '../../../../features/donor/shared/parts.server';
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
