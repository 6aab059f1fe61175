import Link from '../../../ui/frame/Link';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import type { DonorFrame } from '../shared/view.server';
import type { OpeningView } from './view.server';
import type { PhotoThumb } from '../photos/view.server';
import { FinishButton, NoteForm } from '../shared/NoteForms';
import { NoteList } from '../shared/NoteList';
import { CorrectStep, ReassemblyForm, StepForm, DeleteStep, WorkClock } from './OpeningForms';
import { PhotoStrip } from '../photos/PhotoStrip';
import { UnitCautions } from '../shared/UnitCautions';
import { routes } from '../../../routes';

/** Open: the clock and the steps on the left, what worked on its like on the right. */
export function OpeningSheet({
  frame,
  view,
  photos,
}: {
  frame: DonorFrame;
  view: OpeningView;
  photos: readonly PhotoThumb[];
}) {
  const { code } = frame;
  return (
    <Halves judgement={<OpeningJudgement code={code} view={view} />}>
      {frame.notCleared && (
        <p role="alert" className="mb-3.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2.5 text-[13px]">
          <b className="text-stop">{frame.notCleared}</b>{' '}
          <Link href={routes.station(code, 'intake')} className="underline decoration-dotted">
            Decide that at Intake
          </Link>{' '}
          before it is opened.
        </p>
      )}
      <WorkClock key={String(view.clock.runningSince)} code={code} clock={view.clock} />
      <StepForm code={code} />
      {view.steps.length === 0 ? (
        <EmptyState title="How does it come apart?">
          Note each screw and seam as you go: what held it, where it hid, how it gave way, what broke. The next one of
          its kind opens faster.
        </EmptyState>
      ) : (
        <table className="rows plain mb-4" aria-label="Steps of the opening">
          <thead>
            <tr>
              <th>step</th>
              <th>held by</th>
              <th>where</th>
              <th>came apart by</th>
              <th data-align="end">took</th>
              <th>damage</th>
              <th>kept</th>
              <th>
                <span className="sr-only">correct or delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {view.steps.map(({ id, number, seam, what, place, method, minutes, damage, kept, typed }) => (
              <tr key={id}>
                <td className="q">{number}</td>
                <td>
                  {what && <span className="font-mono">{what} </span>}
                  {seam}
                </td>
                <td>{place}</td>
                <td>{method}</td>
                <td className="q" data-align="end">
                  {minutes}
                </td>
                <td className={damage ? 'text-stop' : ''}>{damage}</td>
                <td>{kept}</td>
                <td data-align="end" className="whitespace-nowrap">
                  <CorrectStep code={code} id={id} number={number} typed={typed} />{' '}
                  <DeleteStep code={code} id={id} number={number} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <NoteForm code={code} station="open" aside />
      {view.notes.length > 0 && <NoteList notes={view.notes} />}
      <section aria-label="Together again" className="mt-4 max-w-[820px] border-t border-rule pt-3">
        <h2 className="text-[15px] font-semibold">Together again</h2>
        {view.reassembly && <p className="mt-0.5 text-[13.5px]">Last note: {view.reassembly}.</p>}
        <ReassemblyForm code={code} />
      </section>
      <PhotoStrip code={code} station="open" photos={photos} />
    </Halves>
  );
}

function OpeningJudgement({ code, view }: { code: string; view: OpeningView }) {
  const [first] = view.like;
  return (
    <Judgement>
      <Claim label="What worked before" rule={routes.article('seams')}>
        {first
          ? `${first.title}: ${first.minutes}, ${first.damage}`
          : view.records.length > 0
            ? 'Nothing like it was opened here yet'
            : 'Nothing was opened here yet'}
      </Claim>
      {view.like.length > 0 && (
        <ul aria-label="Similar units" className="dotted border-y border-rule text-[13.5px]">
          {view.like.map(({ code: other, title, why, minutes, damage, lines }) => (
            <li key={other} className="py-2">
              <p>
                <Link className="ref" href={routes.station(other, 'open')}>
                  {other}
                </Link>{' '}
                {title} <span className="text-[12px] text-ink-3">{why}</span>
              </p>
              <p className="text-[12.5px] text-ink-2">
                {minutes}, {damage}
              </p>
              <ul className="mt-0.5 text-[12.5px]">
                {lines.slice(0, 5).map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
      {view.records.length > 0 && (
        <Section label="By seam, over all units">
          <Facts rows={view.records.map(({ label, message }) => ({ label, value: message }))} />
        </Section>
      )}
      <Next actions={<FinishButton code={code} station="open" />}>
        {view.steps.length === 0
          ? 'Start the clock, look for hidden screws, and note each step.'
          : 'Go on until the board lies free, then say that it is done.'}
      </Next>
      {view.tips.length > 0 && (
        <Section label="For these seams">
          <ul className="grid gap-1">
            {view.tips.map((tip) => (
              <li key={tip}>{tip}</li>
            ))}
          </ul>
        </Section>
      )}
      <UnitCautions cautions={view.cautions} />
      <Caution>
        Before the lid comes off: unplugged, and the stores read at Make safe as soon as leads can reach them.
      </Caution>
    </Judgement>
  );
}
