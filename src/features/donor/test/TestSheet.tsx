import type { ReactNode } from 'react';
import { counted } from '../../../core/quantity';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Limits, Next, Section } from '../../../ui/judgement/parts';
import { List } from '../../../ui/list/List';
import { VerdictMark } from '../../../ui/value/marks';
import { Facts } from '../../../ui/value/Facts';
import type { DonorFrame } from '../shared/view.server';
import type { TestedPartView, TestView } from './view.server';
import type { PartTestView } from './present';
import { reasonItems, VERDICT_MEANING } from '../shared/verdict';
import { LifeForm } from './LifeForm';
import { LiveNotice } from '../shared/LiveNotice';
import { MeasurementForm } from './MeasurementForm';
import { TransformerFacts } from './TransformerFacts';
import { routes } from '../../../routes';

/** Test: the meter's readings on the left, the verdict with its reasons on the right. */
export function TestSheet({
  frame,
  view,
  sums,
}: {
  frame: DonorFrame;
  view: TestView;
  /** Sums that take their values from the chosen part. */
  sums?: ReactNode;
}) {
  const { selected } = view;
  return (
    <Halves
      judgement={
        selected ? <Verdict code={frame.code} part={selected} /> : <TestOverview code={frame.code} view={view} />
      }
    >
      <LiveNotice frame={frame} station="test" />
      {selected?.test && (
        <>
          <MeasurementForm
            key={selected.ref}
            code={frame.code}
            refName={selected.ref}
            point={[frame.model, selected.ref].filter((word) => word !== '').join(' ')}
            test={selected.test}
          />
          {['choke', 'capacitor', 'transformer'].includes(selected.test.name) && (
            <p className="-mt-1.5 mb-3 text-[13px]">
              <a href={routes.wave(frame.code, selected.ref)} className="text-ink-2 underline decoration-dotted">
                from a recording of the oscilloscope
              </a>
            </p>
          )}
          <InPlace code={frame.code} refName={selected.ref} test={selected.test} />
        </>
      )}
      {sums}
      {view.rows.length > 0 ? (
        <List label="Parts to test" columns={view.columns} items={view.rows} />
      ) : (
        <EmptyState title="Nothing to test yet">
          Log the parts at Identify; then their meter readings are judged here.
        </EmptyState>
      )}
    </Halves>
  );
}

/** What the leads find while the part is still on the board, from what is traced around it. */
function InPlace({ code, refName, test }: { code: string; refName: string; test: PartTestView }) {
  if (test.inPlace.length === 0 && test.untraced.length === 0) return null;
  return (
    <section aria-label={`${refName} as it sits`} className="mb-3 border-b border-rule pb-2 text-[13px]">
      <h2 className="label mb-1">As it sits on the board</h2>
      {test.inPlace.length > 0 && (
        <ul>
          {test.inPlace.map(({ label, reads, message, lift }) => (
            <li
              key={label}
              data-lift={lift ? '' : undefined}
              className="grid grid-cols-[150px_110px_1fr] gap-x-3 max-[620px]:grid-cols-2"
            >
              <span className="text-ink-2">{label}</span>
              <span className="q">{reads}</span>
              <span className={lift ? '' : 'text-ink-2'}>{message}</span>
            </li>
          ))}
        </ul>
      )}
      {test.untraced.length > 0 && (
        <p className="text-ink-2">
          What lies across {test.untraced.join(' and ')} is not traced, so lift one leg, or{' '}
          <a href={routes.station(code, 'trace')} className="underline decoration-dotted">
            trace it
          </a>
          .
        </p>
      )}
    </section>
  );
}

function TestOverview({ code, view }: { code: string; view: TestView }) {
  const [first] = view.untested;
  return (
    <Judgement>
      <Claim label="Are they any good" rule={routes.article('tests')}>
        {view.testable === 0
          ? 'No part here has a bench test yet'
          : `${view.tested} of ${counted(view.testable, 'part is', 'parts are')} tested`}
      </Claim>
      <Next
        actions={
          first && (
            <a className="btn" href={routes.station(code, 'test', { part: first })}>
              Test {first}
            </a>
          )
        }
      >
        {first
          ? `Take ${first} out of circuit, or lift one leg, and measure it.`
          : 'Every part that has a bench test is measured.'}
      </Next>
      <Caution>
        Unpowered measurements only. A capacitor over 1 V damages a meter in ohm, capacitance or ESR mode.
      </Caution>
    </Judgement>
  );
}

function Verdict({ code, part }: { code: string; part: TestedPartView }) {
  const { judgement, test } = part;
  return (
    <Judgement key={part.ref}>
      <div>
        <h2 className="label mb-1">{part.title}</h2>
        {judgement ? (
          <>
            <p className="say flex items-center gap-2.5">
              <VerdictMark verdict={judgement.verdict} />
              {judgement.grade && judgement.grade !== 'reject' && <span>grade {judgement.grade}</span>}
            </p>
            <p className="mt-1 text-[13px] text-ink-2">{VERDICT_MEANING[judgement.verdict]}</p>
          </>
        ) : (
          <p className="say">Not measured yet</p>
        )}
      </div>
      {judgement && <Findings items={reasonItems(judgement, test?.name)} />}
      <Limits limits={part.limits} />
      {test?.transformer && <TransformerFacts view={test.transformer} />}
      {test && test.measured.length > 0 && (
        <Section label={`Measured, ${test.measuredText}`}>
          <Facts rows={test.measured} />
        </Section>
      )}
      {part.ratings.length > 0 && (
        <Section label="What it should be">
          <Facts rows={part.ratings.map(({ label, value, source }) => ({ label, value, evidence: source }))} />
        </Section>
      )}
      {test && test.service.length > 0 && <LifeForm code={code} refName={part.ref} test={test} />}
      <Next
        actions={
          judgement && judgement.verdict !== 'retest' && judgement.verdict !== 'scrap' && !part.harvested ? (
            <a className="btn" href={routes.station(code, 'harvest', { part: part.ref })}>
              Harvest {part.ref}
            </a>
          ) : undefined
        }
      >
        {nextOf(part)}
      </Next>
      <p className="text-[12.5px]">
        <a className="underline decoration-dotted" href={routes.replace(code, { part: part.ref })}>
          What takes the place of {part.ref}
        </a>
      </p>
      <Caution>
        Unpowered measurements only. A capacitor over 1 V damages a meter in ohm, capacitance or ESR mode.
      </Caution>
    </Judgement>
  );
}

function nextOf({ ref, test, judgement, harvested }: TestedPartView): string {
  if (harvested && judgement?.verdict === 'scrap')
    return `${ref} was taken into stock before, and went out of it as scrap: throw the piece away.`;
  if (harvested) return `${ref} is in stock; its lot carries this verdict.`;
  if (!test) return `There is no bench test for this kind. Note what you find.`;
  if (!judgement) return test.precondition;
  return {
    keep: `Take ${ref} into stock.`,
    limit: `Take ${ref} into stock; the limit travels with its lot.`,
    retest: `Measure ${ref} again. ${test.precondition}`,
    scrap: `Leave ${ref} on the board, or bin it.`,
  }[judgement.verdict];
}
