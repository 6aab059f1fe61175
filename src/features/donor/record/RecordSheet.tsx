import Link from '../../../ui/frame/Link';
import type { ReactNode } from 'react';
import { routes } from '../../../routes';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Claim, Next, Section } from '../../../ui/judgement/parts';
import type { StationName } from '../../../core/station';
import type { DonorFrame } from '../shared/view.server';
import { NoteList } from '../shared/NoteList';
import type { NoteView } from '../shared/notes.server';
import { IssueList } from '../shared/IssueList';
import { KinList } from '../shared/KinList';
import { FinishButton, NoteForm, UndoButton } from '../shared/NoteForms';
import { Facts } from '../../../ui/value/Facts';
import { ClosingForm } from './ClosingForm';
import { AskForm, TellForm } from './RecordForms';
import type { RecordView } from './view.server';

/** Record: what was learnt, what is still asked, and everything that was done. */
export function RecordSheet({
  frame,
  notes,
  journal,
  kept,
  view,
}: {
  frame: DonorFrame;
  notes: readonly NoteView[];
  journal: readonly { id: string; when: string; station: string; message: string; undone: boolean }[];
  /** Sums that are kept with it. */
  kept: ReactNode;
  view: RecordView;
}) {
  const open = notes.filter((note) => note.open);
  const plain = notes.filter(({ told }) => !told);
  const station: StationName = 'record';
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={view.closed === null ? 'What is still open' : 'How it ended'}>
            {view.closed !== null
              ? capital(view.closed)
              : open.length === 0
                ? 'No open question or claim'
                : `${open.length} ${open.length === 1 ? 'issue is' : 'issues are'} open`}
          </Claim>
          {open.length > 0 && (
            <Section label="Open questions and claims">
              <IssueList code={frame.code} issues={open} />
            </Section>
          )}
          {view.came.length > 0 && (
            <Section label="What came of it">
              <Facts rows={view.came} />
            </Section>
          )}
          <Next
            actions={
              <>
                <Link href={routes.report(frame.code)} className="btn" data-tone="next">
                  Report
                </Link>
                <Link href={routes.compare([frame.code])} className="btn">
                  Compare
                </Link>
                <FinishButton code={frame.code} station={station} />
              </>
            }
          >
            {view.told.length === 0
              ? 'Write down what the next one of its kind should be told.'
              : 'Keep its report, or compare it with another.'}
          </Next>
          <KinList kin={view.kin} code={frame.code} />
          <Section label="Close it">
            <ClosingForm code={frame.code} view={view} />
          </Section>
        </Judgement>
      }
    >
      <TellForm code={frame.code} />
      {view.told.length > 0 && (
        <ul aria-label="Told to the next one" className="dotted mb-4 text-[13.5px]">
          {view.told.map((text) => (
            <li key={text} className="py-1 font-semibold">
              {text}
            </li>
          ))}
        </ul>
      )}
      <NoteForm code={frame.code} station={station} aside />
      <AskForm code={frame.code} />
      {plain.length > 0 && <NoteList notes={plain} withStation />}
      {kept}
      <h2 className="label mt-5 mb-1">All changes</h2>
      {journal.length === 0 ? (
        <p className="text-[13px] text-ink-2">Nothing yet.</p>
      ) : (
        <table className="rows plain" aria-label="Journal">
          <thead>
            <tr>
              <th>when</th>
              <th>station</th>
              <th>what</th>
              <th>
                <span className="sr-only">undo</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {journal.map(({ id, when, station: at, message, undone }) => (
              <tr key={id}>
                <td className="font-mono whitespace-nowrap text-ink-2">{when}</td>
                <td className="whitespace-nowrap">{at}</td>
                <td>{undone ? <s className="text-ink-2">{message}</s> : message}</td>
                <td data-align="end">
                  {undone ? (
                    <span className="text-[12px] text-ink-2">undone</span>
                  ) : (
                    <UndoButton entry={id} message={message} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Halves>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
