import Link from '../../../ui/frame/Link';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Section } from '../../../ui/judgement/parts';
import { routes } from '../../../routes';
import { UnplugButton } from '../shared/PowerNotice';
import { beginAgainAction } from './actions';
import { StepCard } from './StepCard';
import type { PowerUpView, StepRow } from './view.server';

type Steps = Extract<PowerUpView, { kind: 'steps' }>;

const WEIGHTS = { stop: 'danger', look: 'check', note: 'note' } as const;
const POWER: Readonly<Record<StepRow['power'], string>> = { off: 'off', bench: 'bench supply', mains: 'on' };

/** The first power-up of a unit: its steps with its own numbers on the left, what the one in hand protects on the right. */
export function PowerUpSheet({ code, model, view }: { code: string; model: string; view: PowerUpView }) {
  if (view.kind === 'none')
    return (
      <Halves
        judgement={
          <Judgement>
            <Claim label="First power-up" tone="stop">
              None is given
            </Claim>
            <Section label="Why">{view.why}</Section>
            <Section label="Instead">{view.then}</Section>
          </Judgement>
        }
      >
        <EmptyState title={view.why}>{view.then}</EmptyState>
      </Halves>
    );
  return (
    <Halves judgement={<Aside code={code} view={view} />}>
      <StepList code={code} model={model} view={view} />
    </Halves>
  );
}

function StepList({ code, model, view: { rows, current, sign } }: { code: string; model: string; view: Steps }) {
  return (
    <>
      {!current && sign.state === 'on' && (
        <div
          role="alert"
          className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2 text-[13.5px]"
        >
          <b className="text-stop">Switch it off at the strip and pull the plug, then say so.</b>
          <UnplugButton code={code} />
        </div>
      )}
      <Rows code={code} model={model} rows={rows} current={current} />
    </>
  );
}

function Rows({ code, model, rows, current }: Pick<Steps, 'rows' | 'current'> & { code: string; model: string }) {
  return (
    <ol className="steps" aria-label="Steps">
      <li className="step-row step-head" aria-hidden="true">
        <span>power</span>
        <span />
        <span>step</span>
        <span>should be</span>
        <span>was</span>
        <span>at</span>
      </li>
      {rows.map((row, index) => (
        <li
          key={row.id}
          className={row.id === current?.step.id ? 'step-here' : 'step-row'}
          data-power={row.power}
          aria-current={row.id === current?.step.id ? 'step' : undefined}
        >
          <span className="step-power">
            {rows[index - 1]?.power === row.power ? (
              <span className="sr-only">{POWER[row.power]}</span>
            ) : (
              <>
                <i aria-hidden="true" />
                {POWER[row.power]}
              </>
            )}
          </span>
          {row.id === current?.step.id ? (
            <StepCard key={row.id} code={code} model={model} {...current} />
          ) : (
            <>
              <span className="q text-ink-2">{row.number}</span>
              <span>{row.title}</span>
              <span className="text-ink-2">{row.good}</span>
              <span className={row.mark === 'stop' ? 'font-semibold text-stop' : row.was === '' ? '' : 'font-medium'}>
                {row.mark === 'stop' && <span aria-label="stopped">✕ </span>}
                {row.mark === 'doubt' && <span aria-label="in doubt">△ </span>}
                {row.was}
              </span>
              <span className="q text-ink-2">{row.at}</span>
            </>
          )}
        </li>
      ))}
    </ol>
  );
}

function Aside({ code, view }: { code: string; view: Steps }) {
  const { current, state, stopped, isIsolated } = view;
  return (
    <Judgement>
      {current && (
        <>
          <Claim label="What this step protects" rule={routes.article('power-up')}>
            {current.step.protects}
          </Claim>
          {current.step.failings.length > 0 && (
            <Section label="If it fails">
              <Findings
                items={current.step.failings.map(({ level, when, says }) => ({
                  weight: WEIGHTS[level],
                  word: when,
                  text: says,
                }))}
              />
            </Section>
          )}
        </>
      )}
      {state === 'stopped' && (
        <>
          <Claim label="Stopped" tone="stop">
            {stopped ? `${stopped.title}: ${stopped.text}` : 'Stopped'}
          </Claim>
          {stopped && <Section label="Why">{stopped.says}</Section>}
          <Section label="What now">
            Pull the plug, wait, and read every store at{' '}
            <Link className="underline" href={routes.station(code, 'make-safe')}>
              Make safe
            </Link>
            . Diagnose has what was read here.
          </Section>
        </>
      )}
      {state === 'passed' && <Claim label="First power-up">It passed every step</Claim>}
      <div className="flex flex-wrap items-center gap-3">
        <Link href={routes.diagnose(code)} className="btn">
          {state === 'stopped' ? 'Diagnose it' : 'To Diagnose'}
        </Link>
        {(state === 'stopped' || state === 'passed') && (
          <ActionButton action={beginAgainAction.bind(null, code)}>Begin again</ActionButton>
        )}
      </div>
      <Section label="Cautions, for every step">
        <ul className="list-disc pl-4 text-[12.5px] text-ink-2">
          <li>Zorvek cannot cut the power; your strip switch can.</li>
          <li>
            An isolation transformer helps if you touch one wire. It does not help with two, nor with a charged store.
          </li>
          {!isIsolated && <li>Its outputs are taken as live: nobody touches what hangs on them.</li>}
          <li>Glasses on, one hand away: a new can or switch may burst.</li>
          <li>Mains can kill. Follow your local code, and leave live work to licensed people.</li>
        </ul>
      </Section>
      <Caution>
        Tolerances by the ATX12V design guide, from memory; lamp sums by lamp handbooks, from memory. Cold resistances,
        loads and temperatures are common practice, with no source. A unit that passes here is not type-tested again.
      </Caution>
    </Judgement>
  );
}
