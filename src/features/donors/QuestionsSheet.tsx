'use client';

import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { ActionForm } from '../../ui/form/ActionForm';
import { CheckField, SubmitButton, TextField } from '../../ui/form/fields';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Claim, Next, Section } from '../../ui/judgement/parts';
import { answerQuestionAction } from './actions';
import type { QuestionLine, QuestionsView } from './questions.server';

/** What is asked and claimed over all donors, overdue first, with whom it was put to; and what was answered lately. */
export function QuestionsSheet({ view: { open, settled, overdue } }: { view: QuestionsView }) {
  const [first] = open;
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label="Questions and claims" {...(overdue > 0 ? { tone: 'stop' as const } : {})}>
            {open.length === 0
              ? 'Nothing is open'
              : `${open.length} ${open.length === 1 ? 'is' : 'are'} open${overdue > 0 ? `, ${overdue} overdue` : ''}`}
          </Claim>
          <Next>
            {first
              ? first.isOverdue
                ? `Ask ${first.askedOf || 'again'}: ${first.text}`
                : 'Write an answer where you have one; tick to keep it with the number.'
              : 'A question is written at any part, or on Record with whom it was put to.'}
          </Next>
          {settled.length > 0 && (
            <Section label="Answered lately">
              <ul className="dotted text-[13px]">
                {settled.map((line) => (
                  <li key={line.id} className="py-1.5">
                    <Where line={line} /> {line.text}
                    <b className="block font-semibold">{line.answer || 'answered'}</b>
                  </li>
                ))}
              </ul>
            </Section>
          )}
        </Judgement>
      }
    >
      {open.length === 0 ? (
        <EmptyState title="No question is open">What you do not know of a part can be asked at it.</EmptyState>
      ) : (
        <ul aria-label="Open questions and claims" className="dotted">
          {open.map((line) => (
            <li key={line.id} className="py-2 text-[13.5px]">
              <Where line={line} /> {line.isClaim && <b className="text-ochre">claimed</b>} {line.text}
              <span className="block text-[12px] text-ink-2">
                since {line.since}
                {line.askedOf !== '' && `, asked of ${line.askedOf}`}
                {line.due !== '' && (
                  <b className={line.isOverdue ? 'text-stop' : 'font-normal'}>
                    {line.isOverdue ? ', overdue since ' : ', by '}
                    {line.due}
                  </b>
                )}
              </span>
              <details className="text-[12.5px]">
                <summary className="cursor-pointer underline decoration-dotted">answer it</summary>
                <ActionForm
                  action={answerQuestionAction.bind(null, line.donorCode, line.id)}
                  label={`Answer: ${line.text}`}
                  className="mt-1 grid max-w-[640px] grid-cols-[1fr_auto] items-start gap-x-3"
                >
                  <TextField name="answer" label="what was learnt, and from whom" />
                  <div className="pt-[21px]">
                    <SubmitButton>Answer it</SubmitButton>
                  </div>
                  {line.ref !== '' && <CheckField name="keep" label={`keep it with the number of ${line.ref}`} />}
                </ActionForm>
              </details>
            </li>
          ))}
        </ul>
      )}
    </Halves>
  );
}

function Where({ line: { donorCode, ref } }: { line: QuestionLine }) {
  return (
    <Link
      href={ref === '' ? routes.station(donorCode, 'record') : routes.station(donorCode, 'identify', { part: ref })}
      className="ref"
    >
      {donorCode}
      {ref !== '' && ` ${ref}`}
    </Link>
  );
}
