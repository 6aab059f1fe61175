import { DonorPage } from '../../../../features/donor/shared/DonorPage';
import { LiveNotice } from '../../../../features/donor/shared/LiveNotice';
import { NoteList } from '../../../../features/donor/shared/NoteList';
import { TraceBoard } from '../../../../features/donor/trace/TraceBoard';
import { notesView } from '../../../../features/donor/shared/notes.server';
import { traceView } from '../../../../features/donor/trace/view.server';
import { donorOf, type StationProps, titled } from '../load';

export const generateMetadata = titled('Trace');

export default async function TracePage(props: StationProps) {
  const { dossier, donor, frame } = await donorOf(props);
  const [view, notes] = await Promise.all([
    traceView(
      dossier,
      frame.stages.some(({ id, state }) => id === 'trace' && state === 'done'),
    ),
    notesView(dossier, { station: 'trace' }),
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
