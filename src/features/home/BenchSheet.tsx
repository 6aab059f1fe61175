import Link from '../../ui/frame/Link';
import type { ReactNode } from 'react';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import type { BenchView } from './view.server';
import { routes } from '../../routes';

/** The bench: what is in hand and what waits on the left, what to look at first on the right. */
export function BenchSheet({
  view,
  donors,
  builds,
  addSample,
  removeSample,
}: {
  view: BenchView;
  donors: ReactNode;
  builds: ReactNode;
  /** Puts the made-up unit on the bench. */
  addSample: ReactNode;
  /** Takes it away again. */
  removeSample: ReactNode;
}) {
  return (
    <Halves judgement={<BenchJudgement view={view} />}>
      {view.donors.lines.length === 0 ? (
        <EmptyState
          title="The bench is empty"
          action={
            <span className="flex flex-wrap gap-2">
              <Link href={routes.newDonor()} className="btn" data-tone="next">
                New donor
              </Link>
              {addSample}
            </span>
          }
        >
          Put a dead adapter on it: type what its label says, and Zorvek tells what it was good for. Or look round first
          in a made-up unit that is traced and tested already; it goes away again in one step.
        </EmptyState>
      ) : (
        <>
          {donors}
          {view.sample && (
            <p className="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px] text-ink-2">
              {view.sample} is made up, for looking round. {removeSample}
            </p>
          )}
        </>
      )}
      {builds}
    </Halves>
  );
}

/** The first hour in four steps, each ticked by doing it. */
function ShortPath({ steps }: { steps: NonNullable<BenchView['path']> }) {
  const next = steps.findIndex(({ isDone }) => !isDone);
  return (
    <Section label="The short path">
      <ol className="dotted">
        {steps.map(({ label, isDone, href }, index) => (
          <li key={label} className="flex items-baseline gap-2.5 py-1.5">
            <span aria-hidden="true" className="w-4 flex-none font-mono text-ochre">
              {isDone ? '✓' : ''}
            </span>
            {isDone ? (
              <span className="text-ink-2">
                {label} <span className="sr-only">, done</span>
              </span>
            ) : (
              <Link href={href} className={index === next ? 'font-semibold underline' : 'underline decoration-dotted'}>
                {label}
              </Link>
            )}
          </li>
        ))}
      </ol>
    </Section>
  );
}

const COUNT = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'];

function BenchJudgement({ view }: { view: BenchView }) {
  const units = new Set(view.live.map(({ code }) => code)).size;
  const [first] = view.donors.lines;
  return (
    <Judgement>
      <Claim label="Look at this first" {...(units > 0 ? { tone: 'stop' as const } : {})}>
        {units === 0
          ? first
            ? 'Every listed store is measured dead'
            : 'Nothing is on the bench'
          : `${COUNT[units] ?? units} ${units === 1 ? 'unit is' : 'units are'} not measured dead`}
      </Claim>
      {view.path && <ShortPath steps={view.path} />}
      {view.live.length > 0 && (
        <ul className="dotted border-y border-rule text-[13.5px]">
          {view.live.map(({ code, name, message }) => (
            <li key={code + name} className="py-2">
              <Link className="ref" href={routes.station(code, 'make-safe', name === '' ? {} : { store: name })}>
                {code}
              </Link>{' '}
              {name === '' ? message : `${name}, ${message}`}
            </li>
          ))}
        </ul>
      )}
      {view.issues.length > 0 && (
        <Section label="Open questions and claims">
          <ul className="dotted">
            {view.issues.map(({ id, sign, text, donorCode, href, since }) => (
              <li key={id} className="py-1.5">
                <Link className="ref" href={href}>
                  {donorCode}
                </Link>{' '}
                <b className={`font-semibold ${sign === 'overdue' ? 'text-stop' : 'text-ochre'}`}>{sign}</b> {text}{' '}
                <span className="text-[11.5px] text-ink-3">{since}</span>
              </li>
            ))}
          </ul>
          <p className="mt-1 flex gap-4 text-[13px]">
            <Link href={routes.questions()} className="underline decoration-dotted">
              all questions
            </Link>
          </p>
        </Section>
      )}
      {first && (
        <Next
          actions={
            <Link
              href={
                view.live[0]
                  ? routes.station(
                      view.live[0].code,
                      'make-safe',
                      view.live[0].name === '' ? {} : { store: view.live[0].name },
                    )
                  : first.href
              }
              className="btn"
            >
              Go there
            </Link>
          }
        >
          {view.live[0]
            ? view.live[0].name === ''
              ? `${view.live[0].code}: ${view.live[0].message}.`
              : `Read ${view.live[0].name} of ${view.live[0].code} before anyone reaches for it.`
            : `${first.title}: ${first.next}.`}
        </Next>
      )}
      <Caution>
        Mains and stored charge can kill. Only your own reading makes a store safe; follow your local code.
      </Caution>
    </Judgement>
  );
}
