'use client';

import { useState, type ReactNode } from 'react';
import type { UnitFacts } from '../../../core/advice';
import { likeDonors } from '../../../core/advice';
import { COOLING_NAMES, COOLINGS, MOUNTING_NAMES, MOUNTINGS, PLUG_NAMES, PLUGS } from '../../../core/module';
import { INLET_NAMES, INLETS } from '../../../core/nameplate';
import { ORIGINS, SYMPTOMS, UNIT_KINDS, ORIGIN_NAMES, SYMPTOM_NAMES, UNIT_KIND_NAMES } from '../../../core/unit';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { QuantityField, SelectField, SubmitButton, TextArea, TextField } from '../../../ui/form/fields';
import type { FormAction, FormOutcome } from '../../../ui/form/outcome';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Findings, Next, Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import { intakeView } from './present';
import { kindOf, questionOf, readTexts, type IntakeTexts } from './fields';
import type { IntakeFacts } from './facts.server';
import type { KinView } from '../shared/kin.server';
import type { SoakView } from './soak.server';
import { KinList } from '../shared/KinList';
import { AdvicePanel } from './AdvicePanel';
import { useKin } from './useKin';

const SIXTH = 'col-span-1 max-[620px]:col-span-2';
const THIRD = 'col-span-2 max-[620px]:col-span-6';

const options = <T extends string>(names: readonly T[], label: (name: T) => string, blank: string) => [
  { value: '', label: blank },
  ...names.map((name) => ({ value: name, label: label(name) })),
];
const KINDS = options(UNIT_KIND_NAMES, (name) => UNIT_KINDS[name].label, 'by its description');
const ORIGIN_CHOICES = options(ORIGIN_NAMES, (name) => ORIGINS[name].label, 'not said');
const SYMPTOM_CHOICES = options(SYMPTOM_NAMES, (name) => SYMPTOMS[name].label, 'not said');
const CLEARANCES = [
  { value: '', label: 'decide from how it came' },
  { value: 'cleared', label: 'cleared to open' },
  { value: 'not-cleared', label: 'not cleared' },
];
const INLET_CHOICES = options(INLET_NAMES, (name) => INLETS[name].label, 'not looked');
const PLUG_CHOICES = options(PLUG_NAMES, (name) => PLUGS[name].label, 'not looked');
const COOLING_CHOICES = options(COOLING_NAMES, (name) => COOLINGS[name].label, 'not looked');
const MOUNTING_CHOICES = options(MOUNTING_NAMES, (name) => MOUNTINGS[name].label, 'not looked');
const CABLES = [
  { value: '', label: 'not looked' },
  ...['0.5', '0.75', '1', '1.5', '2.5', '4'].map((area) => ({ value: area, label: `${area} mm²` })),
];

/** The sheet of a unit: what a person sees of it on the left, what to do with it on the right, while one types. */
export function IntakeSheet({
  texts,
  facts,
  action,
  submit,
  discard,
  nextHref,
  soak,
  id,
  children,
}: {
  texts: IntakeTexts;
  facts: IntakeFacts;
  action: FormAction;
  submit: string;
  discard?: () => Promise<FormOutcome>;
  nextHref?: string;
  soak?: SoakView;
  /** The unit itself, where it is stored. */
  id?: string;
  /** What stands below the form: the plate's fields, the run under load, the photos. */
  children?: ReactNode;
}) {
  const [typed, setTyped] = useState<IntakeTexts>(texts);
  const read = (form: HTMLFormElement | null) => {
    if (!form) return;
    const entries = Object.fromEntries([...new FormData(form)].filter(([, value]) => typeof value === 'string'));
    setTyped((before) => ({ ...before, ...(entries as Partial<IntakeTexts>) }));
  };
  const { right } = readTexts(typed);
  const kin = useKin({ maker: typed.maker, model: typed.model, id });
  return (
    <Halves judgement={<IntakeJudgement typed={typed} facts={facts} nextHref={nextHref} soak={soak} kin={kin} />}>
      <div onChange={(event) => read((event.target as HTMLInputElement).form)}>
        <ActionForm action={action} label="Unit" guard className="grid max-w-[820px] grid-cols-6 gap-x-4 gap-y-1.5">
          <TextArea
            name="nameplate"
            label="what the label says"
            defaultValue={texts.nameplate}
            placeholder={'INPUT 100-240V~ 50/60Hz 1.5A\nOUTPUT 19V 4.74A'}
            hint={
              facts.plate
                ? 'the fields below were put right by hand and count instead'
                : 'type or paste it as it stands; several inputs and outputs are fine'
            }
            rows={3}
            className="col-span-6"
          />
          {facts.plate && typed.nameplate.trim() !== texts.nameplate.trim() && (
            <SelectField
              name="plateCounts"
              label="the text is another one now: which counts?"
              defaultValue=""
              options={[
                { value: '', label: 'choose' },
                { value: 'hand', label: 'the fields that were put right by hand' },
                { value: 'text', label: 'the new text' },
              ]}
              className="col-span-6"
            />
          )}
          <TextField
            name="description"
            label="what it is"
            defaultValue={texts.description}
            placeholder="label-printer adapter"
            className={THIRD}
          />
          <SelectField name="kind" label="kind" defaultValue={texts.kind} options={KINDS} className={THIRD} />
          <TextField
            name="maker"
            label="maker"
            defaultValue={texts.maker}
            className="col-span-1 max-[620px]:col-span-3"
          />
          <TextField
            name="model"
            label="model"
            defaultValue={texts.model}
            mono
            className="col-span-1 max-[620px]:col-span-3"
          />
          <SelectField
            name="originKind"
            label="how it came"
            defaultValue={texts.originKind}
            options={ORIGIN_CHOICES}
            className="col-span-1 max-[620px]:col-span-3"
          />
          <TextField
            name="origin"
            label="where it came from"
            defaultValue={texts.origin}
            placeholder="skip behind the barn"
            className="col-span-3 max-[620px]:col-span-6"
          />
          <SelectField
            name="clearance"
            label="right to take it apart"
            defaultValue={texts.clearance}
            options={CLEARANCES}
            className="col-span-2 max-[620px]:col-span-6"
          />
          {facts.wasRefused && right.may && (
            <TextField
              name="clearanceReason"
              label="who cleared it, or what changed"
              placeholder="the owner said to keep it"
              className="col-span-6"
            />
          )}
          <SelectField
            name="symptomKind"
            label="what is wrong"
            defaultValue={texts.symptomKind}
            options={SYMPTOM_CHOICES}
            className={THIRD}
          />
          <TextField
            name="symptom"
            label="in your words"
            defaultValue={texts.symptom}
            placeholder="clicks twice, then nothing"
            className={THIRD}
          />
          <TextField
            name="dateCodes"
            label="date codes, and where they stand"
            defaultValue={texts.dateCodes}
            placeholder="2314 lid, 1948 C3"
            mono
            className="col-span-2 max-[620px]:col-span-6"
          />
          {(
            [
              ['length', 'length', '110mm'],
              ['width', 'width', '50mm'],
              ['height', 'height', '33mm'],
            ] as const
          ).map(([name, label, placeholder]) => (
            <QuantityField
              key={name}
              name={name}
              label={label}
              unit="metre"
              defaultValue={texts[name]}
              placeholder={placeholder}
              className={SIXTH}
            />
          ))}
          <QuantityField
            name="mass"
            label="weight"
            unit="kilogram"
            defaultValue={texts.mass}
            placeholder="240g"
            className={SIXTH}
          />
          <QuantityField
            name="ambient"
            label="room temperature"
            unit="celsius"
            defaultValue={texts.ambient}
            placeholder="20C"
            className={SIXTH}
          />
          <details className="col-span-6" open={hasBounds(texts)}>
            <summary className="cursor-pointer text-[12.5px] text-ink-2 underline decoration-dotted underline-offset-3">
              what bounds its power: fuse, inlet, cable, switch
            </summary>
            <div className="mt-1.5 grid grid-cols-5 gap-x-4 max-[620px]:grid-cols-2">
              <QuantityField name="fuse" label="fuse" unit="ampere" defaultValue={texts.fuse} placeholder="3.15A" />
              <SelectField name="inlet" label="inlet" defaultValue={texts.inlet} options={INLET_CHOICES} />
              <SelectField name="cable" label="cable" defaultValue={texts.cable} options={CABLES} />
              <QuantityField name="switch" label="switch" unit="ampere" defaultValue={texts.switch} placeholder="6A" />
              <QuantityField
                name="thyristor"
                label="triac, if it has one"
                unit="ampere"
                defaultValue={texts.thyristor}
                placeholder="4A"
              />
            </div>
          </details>
          <details className="col-span-6" open={hasFittings(texts)}>
            <summary className="cursor-pointer text-[12.5px] text-ink-2 underline decoration-dotted underline-offset-3">
              what counts when it is used whole: plug, cooling, mounting, ripple
            </summary>
            <div className="mt-1.5 grid grid-cols-4 gap-x-4 max-[620px]:grid-cols-2">
              <SelectField name="plug" label="plug of its output" defaultValue={texts.plug} options={PLUG_CHOICES} />
              <SelectField name="cooling" label="cooled by" defaultValue={texts.cooling} options={COOLING_CHOICES} />
              <SelectField name="mounting" label="mounting" defaultValue={texts.mounting} options={MOUNTING_CHOICES} />
              <QuantityField
                name="ripple"
                label="ripple and noise, peak to peak"
                unit="volt"
                defaultValue={texts.ripple}
                placeholder="80mV"
              />
            </div>
          </details>
          <div className="col-span-6 mt-1 flex items-center gap-3">
            <SubmitButton tone="next">{submit}</SubmitButton>
            {discard && (
              <ConfirmButton
                action={discard}
                title="Archive this donor?"
                detail="It leaves the lists with its journal. Lots that came from it stay in stock. The step can be undone."
                confirm="Archive it"
              >
                archive
              </ConfirmButton>
            )}
          </div>
        </ActionForm>
      </div>
      {children}
    </Halves>
  );
}

const hasBounds = ({ fuse, inlet, cable, switch: own, thyristor }: IntakeTexts) =>
  [fuse, inlet, cable, own, thyristor].some((text) => text !== '');

const hasFittings = ({ plug, cooling, mounting, ripple }: IntakeTexts) =>
  [plug, cooling, mounting, ripple].some((text) => text !== '');

function IntakeJudgement({
  typed,
  facts,
  nextHref,
  soak,
  kin,
}: {
  typed: IntakeTexts;
  facts: IntakeFacts;
  nextHref?: string | undefined;
  soak?: SoakView | undefined;
  kin: readonly KinView[];
}) {
  const view = intakeView(questionOf(typed, facts));
  const blank = typed.nameplate.trim() === '' && typed.description.trim() === '' && !facts.plate;
  return (
    <Judgement>
      <AdvicePanel
        facts={blank ? undefined : adviceFacts(typed, facts, view.ratedPower)}
        stored={facts.weights}
        message={`${view.claim}.`}
      />
      <Next
        actions={
          nextHref && (
            <a href={nextHref} className="btn">
              Make safe
            </a>
          )
        }
      >
        {nextOf(view.next, typed, facts)}
      </Next>
      <KinList kin={kin} />
      {view.findings.length > 0 && <Findings items={view.findings} />}
      {soak && soak.findings.length > 0 && (
        <Section label="What the run suggests">
          <Findings items={soak.findings} />
        </Section>
      )}
      {view.read.length > 0 && (
        <Section label="Read off the label">
          <Facts rows={view.read} />
          {view.unread && <p className="mt-1 text-[12px] text-ink-2">Not read: {view.unread}</p>}
        </Section>
      )}
      {view.age.length > 0 && (
        <Section label="Age">
          {view.age.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </Section>
      )}
      {view.currents.length > 0 && (
        <Section label="Likely input current at full load">
          <Facts rows={view.currents} />
          <p className="mt-1 text-[12px] leading-snug text-ink-2">Assumed: {view.assumptions}.</p>
        </Section>
      )}
      {view.reservoir && (
        <Section label="The reservoir">
          <p>{view.reservoir}</p>
        </Section>
      )}
      {view.density.length > 0 && (
        <Section label="Power density">
          <Facts rows={view.density} />
        </Section>
      )}
      <Caution>Figures are the label’s own. Nothing here says that the unit is safe to open.</Caution>
    </Judgement>
  );
}

/** The next thing to do: whose it is comes first, and a unit that is made safe needs no second telling. */
function nextOf(next: string, typed: IntakeTexts, { stores }: IntakeFacts): string {
  if (!readTexts(typed).right.may)
    return 'Ask whose it is. Until it is cleared: look, note what it teaches, and put it back as it was.';
  if (stores.live.length > 0) return `Read ${stores.live.join(' and ')} before the first screw, or before the next.`;
  return stores.total > 0 ? 'Every listed store is measured dead. Go on where its work stands.' : next;
}

/** What the advice rests on: what stands in the form now, and what the shop knows. */
function adviceFacts(typed: IntakeTexts, facts: IntakeFacts, ratedPower: number | undefined): UnitFacts {
  const { symptom, right } = readTexts(typed);
  const kind = kindOf(typed);
  const like = likeDonors(facts.past, { kind, power: ratedPower });
  return {
    right,
    symptom,
    kind,
    hazards: facts.hazards,
    ...(facts.run ? { run: facts.run } : {}),
    likeDonors: like.parts,
    needs: facts.needs,
    ...(ratedPower === undefined ? {} : { ratedPower }),
    ...(like.minutes ? { minutesToOpen: like.minutes } : {}),
  };
}
