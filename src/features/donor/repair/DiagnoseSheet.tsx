import type { ReactNode } from 'react';
import Link from '../../../ui/frame/Link';
import { NO_SUCH_PART, NONE, SYMPTOMS } from '../../../core/diagnose';
import { counted } from '../../../core/quantity';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, RuleLink, Section } from '../../../ui/judgement/parts';
import { ProbabilityRule } from '../../../ui/judgement/ProbabilityRule';
import { routes } from '../../../routes';
import { dropRepairFactAction, nameComplaintAction, tellSeenAction } from './actions';
import { NextCheckCard } from './NextCheckCard';
import { PowerWay } from './PowerWay';
import { checkWords } from './present';
import type { CauseView, RepairView } from './view.server';

/** From so much on what goes with a cause is replaced together. */
const SURE = 0.7;

const named = ({ label, parts }: CauseView) => (parts.length > 0 ? `${label}: ${parts.join(', ')}` : label);
const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What is wrong with a unit: what is known and checked on the left, the likely causes and the next check on the right. */
export function DiagnoseSheet({
  code,
  view,
  children,
}: {
  code: string;
  view: RepairView;
  /** What stands first: that a store is not read dead. */
  children?: ReactNode;
}) {
  const seen = view.facts.filter(({ kind }) => kind === 'seen');
  const checks = view.facts.filter(({ kind }) => kind === 'check');
  return (
    <Halves judgement={<Verdict code={code} view={view} />}>
      {children}
      <ActionForm
        action={nameComplaintAction.bind(null, code)}
        label="Complaint"
        className="flex flex-wrap items-center gap-4"
      >
        <SelectField
          key={view.symptom}
          name="symptom"
          label="what is wrong with it"
          defaultValue={view.symptom ?? 'dead'}
          options={Object.entries(SYMPTOMS).map(([value, label]) => ({ value, label }))}
        />
        <SubmitButton {...(view.symptom ? {} : { tone: 'next' as const })}>
          {view.symptom ? 'Change it' : 'Look for causes'}
        </SubmitButton>
      </ActionForm>

      <section className="mt-4">
        <h2 className="label mb-1">What is known</h2>
        {seen.length === 0 && (
          <p className="text-[13px] text-ink-2">
            Tell what happened before, how it behaves in time, what you see, smell and hear.
          </p>
        )}
        <ul className="dotted text-[13.5px]">
          {seen.map(({ id, ref, text }) => (
            <Told key={id} code={code} id={id} text={text}>
              {ref !== '' && <b className="font-mono">{ref} </b>}
              {text}
            </Told>
          ))}
        </ul>
        <ActionForm
          action={tellSeenAction.bind(null, code)}
          label="Something seen"
          className="mt-2 flex flex-wrap items-center gap-3"
          clearAfter
        >
          <TextField name="ref" label="part, if one" className="w-[90px]" mono />
          <TextField
            name="text"
            label="what you saw or know"
            placeholder="fuse black inside"
            className="min-w-[220px] flex-1"
          />
          <SubmitButton>Tell it</SubmitButton>
        </ActionForm>
        {view.record.length > 0 && (
          <details className="mt-2 text-[13px] text-ink-2">
            <summary>{counted(view.record.length, 'thing')} on record elsewhere, which count as well</summary>
            <ul>
              {view.record.map(({ from, text }) => (
                <li key={`${from} ${text}`}>
                  {from}: {text}
                </li>
              ))}
            </ul>
          </details>
        )}
      </section>

      <section className="mt-5">
        <h2 className="label mb-1">Checks made</h2>
        {checks.length === 0 && <p className="text-[13px] text-ink-2">None yet.</p>}
        <ul className="dotted text-[13.5px]">
          {checks.map(({ id, ref, test, text, outcome }) => {
            const [before, after] = view.moved[id] ?? [];
            return (
              <Told key={id} code={code} id={id} text={`${ref} ${text}`}>
                <b className="font-mono">{ref}</b> {test}:{' '}
                {outcome === '' || text === NO_SUCH_PART ? '' : <b>{outcome} </b>}
                {outcome === 'unclear' && text !== NO_SUCH_PART ? '' : text}
                {before !== undefined && after !== undefined && view.causes[0] && (
                  <span className="ml-2 text-[12px] text-ink-2">
                    “{view.causes[0].label}” from {before.toFixed(2)} to {after.toFixed(2)}
                  </span>
                )}
              </Told>
            );
          })}
        </ul>
      </section>
      <PowerWay code={code} way={view.way} />

      {view.fitted.length > 0 && (
        <section className="mt-5">
          <h2 className="label mb-1">Replaced</h2>
          <ul className="dotted text-[13.5px]">
            {view.fitted.map(({ id, ref, text }) => (
              <li key={id} className="py-1.5">
                <b className="font-mono">{ref}</b> {text}
              </li>
            ))}
          </ul>
          <p className="mt-2">
            <Link href={routes.powerUp(code)} className="btn">
              To the first power-up
            </Link>
          </p>
        </section>
      )}
    </Halves>
  );
}

function Told({ code, id, text, children }: { code: string; id: string; text: string; children: React.ReactNode }) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 py-1.5">
      <span className="min-w-0 flex-1">{children}</span>
      <span className="no-print">
        <ActionButton action={dropRepairFactAction.bind(null, code, id)} tone="small" label={`Take back: ${text}`}>
          take back
        </ActionButton>
      </span>
    </li>
  );
}

function Verdict({ code, view }: { code: string; view: RepairView }) {
  const [first, ...rest] = view.causes;
  if (!first)
    return (
      <Judgement>
        <EmptyState title="No complaint yet">
          Choose what is wrong with it. Causes and the check that tells most follow.
        </EmptyState>
      </Judgement>
    );
  return (
    <Judgement>
      <Claim label="Most likely">{sentence(named(first))}</Claim>
      <ProbabilityRule
        value={first.probability}
        {...(rest[0] ? { rival: { label: rest[0].label, value: rest[0].probability } } : {})}
      />
      {view.next && <NextCheckCard code={code} check={view.next} readFirst={view.readFirst} />}
      {first.why.length > 0 && (
        <Section label="What moved it">
          <Reasons of={first.why} />
          {first.name !== NONE && <RuleLink href={routes.article('causes', first.name)} />}
        </Section>
      )}
      {view.beside.length > 0 && (
        <Section label="Found bad beside it">
          <ul>
            {view.beside.map(({ ref, state, label }) => (
              <li key={ref}>
                <b className="font-mono">{ref}</b> {state}: {label}. It is replaced as well.
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Section label="Also possible, beside it or instead">
        <ul className="dotted">
          {rest.map((cause) => (
            <li key={cause.name} className="py-1">
              <span className="q mr-2">{cause.probability.toFixed(2)}</span>
              {sentence(named(cause))}
              {cause.name !== NONE && <RuleLink href={routes.article('causes', cause.name)} />}
              {cause.why.length > 0 && (
                <details className="text-[12px] text-ink-2">
                  <summary>why</summary>
                  <Reasons of={cause.why} />
                </details>
              )}
            </li>
          ))}
        </ul>
      </Section>
      {first.probability >= SURE && first.together !== '' && (
        <Section label="Replace together">
          {first.logged.length > 0 && (
            <p>
              {first.logged.map((ref) => (
                <Link key={ref} className="mr-3 underline" href={routes.replace(code, { part: ref })}>
                  What takes the place of {ref}
                </Link>
              ))}
            </p>
          )}
          {first.together}
        </Section>
      )}
      {view.others.length > 0 && (
        <Section label="Checks after that">
          <ul>
            {view.others.map((check) => (
              <li key={`${check.ref} ${check.test}`}>{checkWords(check)}</li>
            ))}
          </ul>
        </Section>
      )}
      <Caution>
        How common causes are, and what they show, is common practice with no source. Where the board is not traced, a
        part is named by how such parts are usually numbered. Work on the mains follows local codes and is for those who
        are trained for it.
      </Caution>
    </Judgement>
  );
}

function Reasons({ of }: { of: readonly string[] }) {
  return (
    <ul>
      {of.map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </ul>
  );
}
