'use client';

import Link from '../../../ui/frame/Link';
import { useState } from 'react';
import type { OutcomeName } from '../../../core/donor';
import { routes } from '../../../routes';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { CheckField, SubmitButton, TextField } from '../../../ui/form/fields';
import { closeDonorAction, reopenDonorAction } from './actions';
import type { RecordView } from './view.server';

/** How the work on a unit ends, with what to look at before it does. */
export function ClosingForm({
  code,
  view,
}: {
  code: string;
  view: Pick<RecordView, 'closed' | 'outcomes' | 'checks'>;
}) {
  const [outcome, setOutcome] = useState<OutcomeName>('harvested');
  if (view.closed !== null)
    return (
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b>{view.closed}</b>
        <ActionButton tone="small" action={() => reopenDonorAction(code)}>
          Take it up again
        </ActionButton>
      </p>
    );
  const checks = view.checks[outcome];
  const isStopped = checks.some(({ level }) => level === 'stop');
  return (
    <ActionForm action={closeDonorAction.bind(null, code)} label="Close it" className="grid gap-1.5">
      <label className="field">
        <span>it ends as</span>
        <select name="outcome" value={outcome} onChange={({ target }) => setOutcome(target.value as OutcomeName)}>
          {view.outcomes.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      </label>
      {checks.length > 0 && (
        <ul aria-label="Before it is closed" className="dotted text-[13px]">
          {checks.map(({ level, message, station }) => (
            <li key={message} className="py-1">
              <b className={level === 'stop' ? 'text-stop' : 'text-ochre'}>{level === 'stop' ? '△ stop' : 'open'}</b>{' '}
              {message}{' '}
              <Link href={routes.station(code, station)} className="underline decoration-dotted">
                go there
              </Link>
            </li>
          ))}
        </ul>
      )}
      <TextField name="note" label="where it went, or why" />
      {isStopped && <CheckField name="anyway" label="close it all the same" />}
      <div>
        <SubmitButton>Close it</SubmitButton>
      </div>
    </ActionForm>
  );
}
