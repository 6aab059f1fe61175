import { DonorPage } from '../../../../features/donor/components/DonorPage';
import { LiveNotice } from '../../../../features/donor/components/LiveNotice';
import { NoteList } from '../../../../features/donor/components/RecordSheet';
import { TraceBoard } from '../../../../features/donor/components/TraceBoard';
import { notesView } from '../../../../features/donor/views/notes';
import { traceView } from '../../../../features/donor/views/trace';
import { donorOf, type StationProps } from '../load';

export const metadata = { title: 'Trace' };

export default async function TracePage(props: StationProps) {
  const { donor, frame } = await donorOf(props);
  const [view, notes] = await Promise.all([
    traceView(
      donor,
      frame.stages.some(({ id, state }) => id === 'trace' && state === 'done'),
    ),
    notesView(donor, { station: 'trace' }),
  ]);
  return (
    <DonorPage frame={frame} station="trace">
      <TraceBoard code={frame.code} model={donor.model} view={view}>
        <LiveNotice frame={frame} station="trace" />
        {notes.length > 0 && <NoteList notes={notes} />}
      </TraceBoard>
    </DonorPage>
  );
}
