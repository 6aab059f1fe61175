'use client';

import { useState } from 'react';
import type { Size } from '../../../core/nameplate';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { QuantityField, SubmitButton, TextArea, TextField } from '../../../ui/form/fields';
import type { FormAction, FormOutcome } from '../../../ui/form/outcome';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import { intakeView } from '../views/intake';

/** What a form of a donor begins with: texts as they are shown in the fields. */
export interface IntakeDefaults {
  readonly description: string;
  readonly maker: string;
  readonly model: string;
  readonly nameplate: string;
  readonly origin: string;
  readonly symptom: string;
  readonly length: string;
  readonly width: string;
  readonly height: string;
  readonly mass: string;
}

/** The sheet of a unit: its plate and size on the left, what they come to on the right, while one types. */
export function IntakeSheet({
  defaults,
  size: initialSize,
  action,
  submit,
  discard,
  nextHref,
}: {
  defaults: IntakeDefaults;
  size: Size;
  action: FormAction;
  submit: string;
  discard?: () => Promise<FormOutcome>;
  nextHref?: string;
}) {
  const [plate, setPlate] = useState(defaults.nameplate);
  const [size, setSize] = useState<Size>(initialSize);
  const measure = (side: keyof Size) => (value: number | undefined) =>
    setSize(({ [side]: _old, ...rest }) => (value === undefined ? rest : { ...rest, [side]: value }));
  return (
    <Halves judgement={<IntakeJudgement plate={plate} size={size} nextHref={nextHref} />}>
      <ActionForm action={action} label="Unit" className="grid max-w-[760px] grid-cols-6 gap-x-4 gap-y-1.5">
        <TextArea
          name="nameplate"
          label="what the label says"
          defaultValue={defaults.nameplate}
          placeholder={'INPUT 100-240V~ 50/60Hz 1.5A\nOUTPUT 19V 4.74A'}
          hint="type or paste it as it stands; several outputs are fine"
          rows={4}
          onText={setPlate}
          className="col-span-6"
        />
        <TextField
          name="description"
          label="what it is"
          defaultValue={defaults.description}
          placeholder="label-printer adapter"
          className="col-span-2 max-[620px]:col-span-6"
        />
        <TextField
          name="maker"
          label="maker"
          defaultValue={defaults.maker}
          className="col-span-2 max-[620px]:col-span-3"
        />
        <TextField
          name="model"
          label="model"
          defaultValue={defaults.model}
          mono
          className="col-span-2 max-[620px]:col-span-3"
        />
        <TextField
          name="origin"
          label="where it came from"
          defaultValue={defaults.origin}
          placeholder="skip behind the barn"
          className="col-span-3 max-[620px]:col-span-6"
        />
        <TextField
          name="symptom"
          label="what is wrong with it"
          defaultValue={defaults.symptom}
          placeholder="dead, fuse blown"
          className="col-span-3 max-[620px]:col-span-6"
        />
        <QuantityField
          name="length"
          label="length"
          unit="metre"
          defaultValue={defaults.length}
          placeholder="110mm"
          onValue={measure('length')}
          className="col-span-1 max-[620px]:col-span-2"
        />
        <QuantityField
          name="width"
          label="width"
          unit="metre"
          defaultValue={defaults.width}
          placeholder="50mm"
          onValue={measure('width')}
          className="col-span-1 max-[620px]:col-span-2"
        />
        <QuantityField
          name="height"
          label="height"
          unit="metre"
          defaultValue={defaults.height}
          placeholder="33mm"
          onValue={measure('height')}
          className="col-span-1 max-[620px]:col-span-2"
        />
        <QuantityField
          name="mass"
          label="weight"
          unit="kilogram"
          defaultValue={defaults.mass}
          placeholder="240g"
          onValue={measure('mass')}
          className="col-span-1 max-[620px]:col-span-2"
        />
        <div className="col-span-6 mt-1 flex items-center gap-3">
          <SubmitButton tone="next">{submit}</SubmitButton>
          {discard && (
            <ConfirmButton
              action={discard}
              title="Put this donor away?"
              detail="It leaves the lists with its journal. Lots that came from it stay in stock. The step can be taken back."
              confirm="Put it away"
            >
              put away
            </ConfirmButton>
          )}
        </div>
      </ActionForm>
    </Halves>
  );
}

function IntakeJudgement({ plate, size, nextHref }: { plate: string; size: Size; nextHref?: string | undefined }) {
  const view = intakeView(plate, size);
  return (
    <Judgement>
      <Claim label="What it is good for">{view.claim}</Claim>
      {view.read.length > 0 && (
        <Section label="Read off the label">
          <Facts rows={view.read} />
        </Section>
      )}
      <Next
        actions={
          nextHref && (
            <a href={nextHref} className="btn">
              Make safe
            </a>
          )
        }
      >
        {view.next}
      </Next>
      {view.currents.length > 0 && (
        <Section label="Likely input current at full load">
          <Facts rows={view.currents} />
          <p className="mt-1 text-[12px] leading-snug text-ink-2">Assumed: {view.assumptions}.</p>
        </Section>
      )}
      {view.density.length > 0 && (
        <Section label="Power density">
          <Facts rows={view.density} />
        </Section>
      )}
      {view.findings.length > 0 && <Findings items={view.findings} />}
      <Caution>Figures are the label’s own. Nothing here says that the unit is safe to open, or yours to.</Caution>
    </Judgement>
  );
}
