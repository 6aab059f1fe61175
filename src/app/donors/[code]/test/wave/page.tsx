import { DonorPage } from '../../../../../features/donor/shared/DonorPage';
import { WaveBench } from '../../../../../features/donor/wave/WaveBench';
import { wavePart } from '../../../../../features/donor/wave/view.server';
import { word } from '../../../../search';
import { donorOf, type StationProps, titled } from '../../load';

export const generateMetadata = titled('Waveform');

export default async function WavePage(props: StationProps) {
  const { dossier, frame } = await donorOf(props);
  const part = await wavePart(dossier, word((await props.searchParams).part));
  return (
    <DonorPage frame={frame} station="test">
      <WaveBench code={frame.code} part={part} />
    </DonorPage>
  );
}
