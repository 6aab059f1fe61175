import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { IdentifySheet } from '../../../../features/donor/components/IdentifySheet';
import { partsView } from '../../../../features/donor/views/parts';
import { word } from '../../../search';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Identify' };

export default async function IdentifyPage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const wanted = word((await props.searchParams).part);
  return (
    <DonorPage frame={frame} station="identify">
      <IdentifySheet code={frame.code} view={await partsView(donor, { station: 'identify', wanted })} />
    </DonorPage>
  );
}
