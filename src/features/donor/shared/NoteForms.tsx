'use client';

import type { StationName } from '../../../core/station';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextArea } from '../../../ui/form/fields';
import { addNoteAction, finishStationAction, undoAction } from './actions';

/** A note or a question. */
export function NoteForm({
  code,
  station,
  aside = false,
}: {
  code: string;
  station: StationName;
  /** Something else on the screen is the next thing to do. */
  aside?: boolean;
}) {
  return (
    <ActionForm
      action={addNoteAction.bind(null, code)}
      label="Note"
      className="mb-4 grid max-w-[760px] gap-1"
      clearAfter
    >
      <input type="hidden" name="station" value={station} />
      <TextArea name="text" label="a note" rows={2} />
      <div className="flex items-center gap-4">
        <SubmitButton {...(aside ? {} : { tone: 'next' as const })}>Note it</SubmitButton>
        <SelectField
          name="sort"
          label="it is"
          options={[
            { value: 'note', label: 'a note' },
            { value: 'question', label: 'a question' },
            { value: 'claim', label: 'a claim' },
          ]}
        />
      </div>
    </ActionForm>
  );
}

/** Declares a station done. */
export function FinishButton({ code, station }: { code: string; station: StationName }) {
  return <ActionButton action={() => finishStationAction({ code, station })}>This station is done</ActionButton>;
}

/** Takes one step of the journal back, where nothing was built upon it since. */
export function UndoButton({ entry, message }: { entry: string; message: string }) {
  return (
    <ActionButton tone="small" action={() => undoAction(entry)} label={`Undo: ${message}`}>
      undo
    </ActionButton>
  );
}
