'use client';

import type { ReactNode } from 'react';
import { CorrectButton } from '../feedback/CorrectButton';
import { ActionForm } from './ActionForm';
import { SubmitButton } from './fields';
import type { FormAction } from './outcome';

/** A button that opens what was recorded in its fields, to be put right; the form goes once the server has taken it. */
export function CorrectForm({
  label,
  title,
  action,
  columns = 'grid-cols-2',
  children,
}: {
  label: string;
  title: string;
  action: FormAction;
  columns?: string;
  /** The fields, filled in. */
  children: ReactNode;
}) {
  return (
    <CorrectButton label={label} title={title}>
      {(close) => (
        <ActionForm
          action={action}
          label={label}
          className={`grid items-start gap-x-2.5 max-[620px]:grid-cols-2 ${columns}`}
          onDone={close}
        >
          {children}
          <div className="col-span-full pt-2">
            <SubmitButton tone="next">Save the correction</SubmitButton>
          </div>
        </ActionForm>
      )}
    </CorrectButton>
  );
}
