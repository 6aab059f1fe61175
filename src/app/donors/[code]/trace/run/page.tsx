import { DonorPage } from '../../../../../features/donor/shared/DonorPage';
import { LiveNotice } from '../../../../../features/donor/shared/LiveNotice';
import { RunSheet } from '../../../../../features/donor/trace/run/RunSheet';
import { runView } from '../../../../../features/donor/trace/run/view.server';
import { word } from '../../../../search';
import { donorOf, type StationProps, titled } from '../../load';

export const generateMetadata = titled('Run as traced');

export default async function RunPage(props: StationProps) {
  const search = await props.searchParams;
  const { dossier, frame } = await donorOf(props);
  const isDone = frame.stages.some(({ id, state }) => id === 'trace' && state === 'done');
  const { unit, volts } = await runView(dossier, { isDone, volts: word(search.volts) });
  return (
    <DonorPage frame={frame} station="trace">
      <RunSheet code={frame.code} unit={unit} volts={volts}>
        <LiveNotice frame={frame} station="trace" />
      </RunSheet>
    </DonorPage>
  );
}
