import { counted } from '../../../core/quantity';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { kindRule } from '../../../core/part';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Limits, Next, Section } from '../../../ui/judgement/parts';
import { List } from '../../../ui/list/List';
import { Facts } from '../../../ui/value/Facts';
import type { DonorFrame } from '../shared/view.server';
import type { BoardPartsView, HarvestView, TakenPartView } from './view.server';
import { reasonItems } from '../shared/verdict';
import { AssemblyForm } from './AssemblyForm';
import { HarvestPlan, MinutesForm, TakenLots } from './HarvestPlan';
import { LiveNotice } from '../shared/LiveNotice';
import { MountingForm } from './MountingForm';
import { TakeForm } from './TakeForm';
import { StartRun, WorkMode } from './WorkMode';
import { routes } from '../../../routes';

/** Harvest: the plan for the minutes at hand, the job in hand, and what a part becomes when it goes into a drawer. */
export function HarvestSheet({
  frame,
  view,
  harvest,
}: {
  frame: DonorFrame;
  view: BoardPartsView;
  harvest: HarvestView;
}) {
  const { selected } = view;
  const refused = frame.notCleared
    ? 'It is not cleared: look at the part where it sits, and leave it there.'
    : frame.notDead.harvest !== null && !frame.wentOn.includes('harvest')
      ? 'Make the board safe first, or say on the left that you go on.'
      : null;
  return (
    <Halves
      judgement={
        selected ? (
          <TakeJudgement code={frame.code} part={selected} bins={harvest.bins} refused={refused} />
        ) : (
          <HarvestOverview code={frame.code} harvest={harvest} refused={refused} />
        )
      }
    >
      {frame.notCleared && (
        <section role="alert" className="mb-3.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2.5 text-[13px]">
          <p>
            <b className="text-stop">{frame.notCleared}</b> No lot can be made of it: study it, and put it back.{' '}
            <a href={routes.station(frame.code, 'intake')} className="underline decoration-dotted">
              If that has changed, say so at Intake.
            </a>
          </p>
        </section>
      )}
      <LiveNotice frame={frame} station="harvest" />
      {harvest.run ? (
        <WorkMode code={frame.code} view={harvest} />
      ) : (
        view.onBoard > 0 && (
          <div className="mb-3">
            <MinutesForm code={frame.code} minutes={harvest.minutes} />
          </div>
        )
      )}
      <HarvestPlan code={frame.code} view={harvest} />
      {view.rows.length > 0 ? (
        <List label="Parts of the board" columns={view.columns} items={view.rows} />
      ) : (
        <EmptyState title="No part is logged yet">
          Log the parts at Identify; what is worth taking shows here.
        </EmptyState>
      )}
      <TakenLots lots={harvest.lots} />
      <AssemblyForm code={frame.code} bin={harvest.bin} />
    </Halves>
  );
}

function HarvestOverview({
  code,
  harvest,
  refused,
}: {
  code: string;
  harvest: HarvestView;
  /** Why nothing may be taken, if nothing may. */
  refused: string | null;
}) {
  const { plan, run, whole, lots } = harvest;
  const pieces = lots.reduce((sum, lot) => sum + lot.pieces, 0);
  return (
    <Judgement>
      <Claim
        rule={routes.article('worth')}
        label={run ? 'What still fits' : `With ${counted(harvest.minutes, 'minute')}`}
      >
        {plan.taken === 0 ? 'Nothing on the board is worth the time' : plan.message}
      </Claim>
      {plan.taken > 0 && <p className="text-[13px] text-ink-2">{plan.exact}</p>}
      {whole && (
        <Section label={whole.leave ? 'Leave it whole' : 'Whole or in parts'}>
          <p>{whole.message}</p>
        </Section>
      )}
      {plan.taken > 0 && !run && refused === null ? (
        <section className="next">
          <h2 className="label mb-1">Next</h2>
          <p className="mb-2 text-[15.5px] leading-snug font-medium">Take a bag and a bin, and start the clock.</p>
          <StartRun code={code} view={harvest} />
        </section>
      ) : (
        <Next>
          {refused && plan.taken > 0
            ? refused
            : run?.inHand
              ? `${run.inHand.title}: the key below it says what came of it.`
              : `${pieces} ${pieces === 1 ? 'piece is' : 'pieces are'} in stock from this donor.`}
        </Next>
      )}
      {plan.untested.taken.length + plan.untested.left.length > 0 && (
        <Section label="Worth testing first">
          {plan.untested.taken.length > 0 && (
            <p>
              An untested part counts less and goes into stock without a grade:{' '}
              <TestLinks code={code} refs={plan.untested.taken} />
            </p>
          )}
          {plan.untested.left.length > 0 && (
            <p>
              Left, but worth their minutes if they pass: <TestLinks code={code} refs={plan.untested.left} />
            </p>
          )}
        </Section>
      )}
      <Caution>
        Hot solder and old flux fumes harm eyes and lungs: glasses, air. Ferrite and glass diodes crack when bent.
      </Caution>
    </Judgement>
  );
}

function TestLinks({ code, refs }: { code: string; refs: readonly string[] }) {
  return refs.slice(0, 6).map((ref) => (
    <a key={ref} className="ref mr-2" href={routes.station(code, 'test', { part: ref })}>
      {ref}
    </a>
  ));
}

function TakeJudgement({
  code,
  part,
  bins,
  refused,
}: {
  code: string;
  part: TakenPartView;
  bins: readonly string[];
  /** Why it may not be taken, if it may not. */
  refused: string | null;
}) {
  const { judgement } = part;
  const grade = judgement?.grade && judgement.grade !== 'reject' ? `grade ${judgement.grade}` : 'no grade yet';
  return (
    <Judgement key={part.ref}>
      <div>
        <h2 className="label mb-1">{part.title}</h2>
        <p className="say">
          {part.marking || part.ratings[0]?.value || part.ref}, {judgement?.verdict === 'scrap' ? 'scrap' : grade}
        </p>
      </div>
      {judgement && <Findings items={reasonItems(judgement, kindRule(part.kind).test)} />}
      <Limits limits={part.limits} />
      {part.forStock.length > 0 && (
        <Section label="What the lot will carry">
          <Facts rows={part.forStock.map(({ label, value, source }) => ({ label, value, evidence: source }))} />
        </Section>
      )}
      {!part.harvested && <MountingForm code={code} refName={part.ref} mounting={part.mounting} wish={part.wish} />}
      {part.harvested ? (
        <Next>{part.ref} was taken; its lot is listed on the left.</Next>
      ) : judgement?.verdict === 'scrap' ? (
        <Next>{part.ref} does not go into stock. Leave it on the board.</Next>
      ) : refused === null ? (
        <TakeForm code={code} refName={part.ref} bins={bins} />
      ) : (
        <Next>{refused}</Next>
      )}
      <Caution>
        Hot solder and old flux fumes harm eyes and lungs: glasses, air. Ferrite and glass diodes crack when bent.
      </Caution>
    </Judgement>
  );
}
