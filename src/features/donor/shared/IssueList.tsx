'use client';

import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { addNoteAction, moveIssueAction } from './actions';
import type { NoteView } from './notes.server';
import type { StationName } from '../../../core/station';

/** Claims and questions with how they came to stand so, and where each may go. */
export function IssueList({ code, issues }: { code: string; issues: readonly NoteView[] }) {
  return (
    <ul aria-label="Claims and questions" className="dotted">
      {issues.map((issue) => (
        <li key={issue.id} className="py-2 text-[13.5px] leading-snug">
          <IssueItem code={code} issue={issue} />
        </li>
      ))}
    </ul>
  );
}

function IssueItem({ code, issue }: { code: string; issue: NoteView }) {
  const { id, ref, text, sign, steps, next, open, when, asked } = issue;
  return (
    <>
      {sign && <b className={`font-semibold ${open ? 'text-ochre' : 'text-ink-2'}`}>{sign}: </b>}
      {ref && <span className="ref">{ref}</span>} <span className="whitespace-pre-wrap">{text}</span>
      <span className="block text-[11.5px] text-ink-3">
        {when}
        {asked !== '' && `, ${asked}`}
        {steps
          .filter(({ status }) => status !== 'claimed')
          .map((step) => `; ${step.status} ${step.when}${step.because ? `, ${step.because}` : ''}`)
          .join('')}
      </span>
      {open && issue.question && (
        <ActionButton tone="small" action={() => settle(code, id)} label={`Answered: ${text}`}>
          answered
        </ActionButton>
      )}
      {open && next.length > 0 && (
        <details className="text-[12.5px]">
          <summary className="cursor-pointer text-ink-2 underline decoration-dotted">change its status</summary>
          <ActionForm
            action={moveIssueAction.bind(null, code, id)}
            label={`Move on: ${text}`}
            className="mt-1 grid grid-cols-[110px_1fr_auto] items-start gap-x-2.5"
            clearAfter
          >
            <SelectField name="status" label="it is now" options={next.map((word) => ({ value: word, label: word }))} />
            <TextField name="because" label="because" placeholder="measured 2.1 A" />
            <div className="pt-[21px]">
              <SubmitButton>Save it</SubmitButton>
            </div>
          </ActionForm>
        </details>
      )}
    </>
  );
}

function settle(code: string, id: string) {
  const data = new FormData();
  data.set('status', 'settled');
  return moveIssueAction(code, id, data);
}

/** A claim, a question or a note about one part. */
export function IssueForm({ code, refName, station }: { code: string; refName: string; station: StationName }) {
  return (
    <ActionForm
      action={addNoteAction.bind(null, code)}
      label={`About ${refName}`}
      className="grid grid-cols-[96px_1fr_auto] items-start gap-x-2.5"
      clearAfter
    >
      <input type="hidden" name="station" value={station} />
      <input type="hidden" name="ref" value={refName} />
      <SelectField
        name="sort"
        label="I"
        options={[
          { value: 'claim', label: 'claim' },
          { value: 'question', label: 'ask' },
          { value: 'note', label: 'note' },
        ]}
      />
      <TextField name="text" label="that" placeholder="it sets the current limit" />
      <div className="pt-[21px]">
        <SubmitButton>Write</SubmitButton>
      </div>
    </ActionForm>
  );
}
