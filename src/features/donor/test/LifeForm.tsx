'use client';

import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton } from '../../../ui/form/fields';
import { Section } from '../../../ui/judgement/parts';
import { measurePartAction } from './actions';
import type { PartTestView } from './present';
import { TestFieldInput } from './MeasurementForm';

/** How long an electrolytic has run and how warm, and what is left of it by that. */
export function LifeForm({ code, refName, test }: { code: string; refName: string; test: PartTestView }) {
  return (
    <Section label="What is left of it">
      {test.life && <p className="mb-1 font-medium">{test.life}</p>}
      <ActionForm
        action={measurePartAction.bind(null, { code, ref: refName })}
        label={`Service of ${refName}`}
        className="grid grid-cols-3 gap-x-2.5"
        clearAfter
      >
        {test.service.map((field) => (
          <TestFieldInput key={field.name} field={field} />
        ))}
        <div className="col-span-full">
          <SubmitButton>{test.life ? 'Calculate it again' : 'Calculate it'}</SubmitButton>
        </div>
      </ActionForm>
    </Section>
  );
}
