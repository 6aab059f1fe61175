import { DonorPage } from '../../../../../features/donor/shared/DonorPage';
import { WaveBench } from '../../../../../features/donor/wave/WaveBench';
import { wavePart } from '../../../../../features/donor/wave/view.server';
import { word } from '../../../../search';
import { donorOf, type StationProps } from '../../load';

export const metadata = { title: 'Waveform' };

export default async function WavePage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const part = await wavePart(dossier, word((await props.searchParams).part));
  return (
    <DonorPage frame={frame} station="test">
      <WaveBench code={frame.code} part={part} />
    </DonorPage>
  );
}
