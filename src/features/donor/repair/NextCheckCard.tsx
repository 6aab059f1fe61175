'use client';

import { NO_SUCH_PART, type NextCheck } from '../../../core/diagnose';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { Next } from '../../../ui/judgement/Next';
import { answerCheckAction, namePartAction, readCheckAction } from './actions';
import { checkWords } from './present';

const [GOOD, BAD, SKIP, MISSING, READING] = ['check-good', 'check-bad', 'check-skip', 'check-missing', 'check-reading'];

/** The check that tells most, with one key or a reading for its answer. */
export function NextCheckCard({
  code,
  check,
  readFirst,
}: {
  code: string;
  check: NextCheck;
  /** What comes before it while it is off. */
  readFirst: string;
}) {
  const of = { ref: check.ref, test: check.test };
  const answer = (outcome: 'good' | 'bad' | 'unclear', text: string) =>
    answerCheckAction(code, { ...of, outcome, text });
  return (
    <Next
      label="Next check"
      actions={
        <div className="grid w-full grid-cols-[minmax(0,1fr)] gap-1.5">
          <p className="text-[12.5px] text-ink-2">
            {check.power === 'off'
              ? `Off; ${readFirst}; about ${check.minutes} min.`
              : `With power on: clips fitted while it is dead, through a series lamp, read from a distance, hands off; about ${check.minutes} min. Local codes and licensed practice apply.`}
          </p>
          <ActionButton id={GOOD} action={() => answer('good', check.good)} label={`Good: ${check.good}`}>
            <kbd>g</kbd>
            <b className="mr-1.5">good</b>
            <span className="min-w-0 text-left font-normal whitespace-normal">{check.good}</span>
          </ActionButton>
          <ActionButton id={BAD} action={() => answer('bad', check.bad)} label={`Bad: ${check.bad}`}>
            <kbd>b</kbd>
            <b className="mr-1.5">bad</b>
            <span className="min-w-0 text-left font-normal whitespace-normal">{check.bad}</span>
          </ActionButton>
          <div className="flex flex-wrap justify-center gap-x-5">
            <ActionButton id={SKIP} action={() => answer('unclear', 'cannot tell')} tone="quiet">
              <kbd>s</kbd> cannot tell
            </ActionButton>
            <ActionButton id={MISSING} action={() => answer('unclear', NO_SUCH_PART)} tone="quiet">
              <kbd>x</kbd> there is no {check.ref}
            </ActionButton>
          </div>
          <ActionForm
            key={`${check.ref} ${check.test}`}
            action={readCheckAction.bind(null, code, of)}
            label="Reading"
            className="mt-1 flex flex-wrap items-center gap-3"
            clearAfter
          >
            <div id={READING}>
              <TextField name="text" label="or a reading (r)" placeholder="0.002 V both ways" mono />
            </div>
            <SubmitButton>Record it</SubmitButton>
          </ActionForm>
          <ActionForm
            key={check.role}
            action={namePartAction.bind(null, code, check.role)}
            label="Its number on this board"
            className="flex flex-wrap items-center gap-3"
            clearAfter
          >
            <TextField
              name="ref"
              label="or it has another number here"
              placeholder="its number"
              className="w-[190px]"
              mono
            />
            <SubmitButton>Use that</SubmitButton>
          </ActionForm>
          <Shortcuts
            keys={[
              { key: 'g', label: 'the check is good', press: GOOD },
              { key: 'b', label: 'the check is bad', press: BAD },
              { key: 's', label: 'the check cannot tell, skip it', press: SKIP },
              { key: 'x', label: 'the board has no such part', press: MISSING },
              { key: 'r', label: 'type the reading of the check', focus: READING },
            ]}
          />
        </div>
      }
    >
      {checkWords(check)}
    </Next>
  );
}
