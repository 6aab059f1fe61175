'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextArea, TextField } from '../../../ui/form/fields';
import { askQuestionAction, tellNextAction } from './actions';

/** What the next one of its kind should be told. */
export function TellForm({ code }: { code: string }) {
  return (
    <ActionForm
      action={tellNextAction.bind(null, code)}
      label="For the next one"
      className="mb-4 grid max-w-[760px] gap-1"
      clearAfter
    >
      <TextArea name="text" label="for the next one of its kind" rows={2} />
      <div>
        <SubmitButton tone="next">Tell it</SubmitButton>
      </div>
    </ActionForm>
  );
}

/** A question with whom it was put to, and by when an answer is expected. */
export function AskForm({ code }: { code: string }) {
  return (
    <details className="mb-4 text-[13.5px]">
      <summary className="cursor-pointer underline decoration-dotted">ask somebody</summary>
      <ActionForm
        action={askQuestionAction.bind(null, code)}
        label="Ask somebody"
        className="mt-2 grid max-w-[760px] grid-cols-[1fr_90px] gap-x-3"
        clearAfter
      >
        <TextField name="text" label="what is asked" placeholder="Does the W suffix mean a wider supply?" />
        <TextField name="ref" label="part" />
        <TextField name="askedOf" label="asked of" placeholder="the maker, a forum, a friend" />
        <TextField name="due" label="answer by" placeholder="2 weeks" />
        <div>
          <SubmitButton>Write it down</SubmitButton>
        </div>
      </ActionForm>
    </details>
  );
}
