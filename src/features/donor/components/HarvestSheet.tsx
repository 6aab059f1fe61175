import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../../ui/judgement/parts';
import { DataTable } from '../../../ui/table/DataTable';
import { GradeMark } from '../../../ui/value/marks';
import { Facts } from '../../../ui/value/Facts';
import type { DonorFrame } from '../views/frame';
import type { harvestView, PartsView, PartView } from '../views/parts';
import { reasonItems } from '../views/verdict';
import { LiveNotice } from './LiveNotice';
import { TakeForm } from './TakeForm';

type HarvestView = Awaited<ReturnType<typeof harvestView>>;

/** Harvest: what is still on the board, and what a part becomes when it goes into a drawer. */
export function HarvestSheet({ frame, view, harvest }: { frame: DonorFrame; view: PartsView; harvest: HarvestView }) {
  const { selected } = view;
  const refused = frame.notCleared
    ? 'It is not cleared: look at the part where it sits, and leave it there.'
    : frame.notDead !== null && !frame.wentOn.includes('harvest')
      ? 'Make the board safe first, or say on the left that you go on.'
      : null;
  return (
    <Halves
      judgement={
        selected ? (
          <TakeJudgement code={frame.code} part={selected} bins={harvest.bins} refused={refused} />
        ) : (
          <HarvestOverview code={frame.code} view={view} harvest={harvest} />
        )
      }
    >
      {frame.notCleared && (
        <section role="alert" className="mb-3.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2.5 text-[13px]">
          <p>
            <b className="text-stop">{frame.notCleared}</b> No lot can be made of it: study it, and put it back.{' '}
            <a href={`/donors/${frame.code}/intake`} className="underline decoration-dotted">
              If that has changed, say so at Intake.
            </a>
          </p>
        </section>
      )}
      <LiveNotice frame={frame} station="harvest" />
      {view.rows.length > 0 ? (
        <DataTable label="Parts of the board" columns={view.columns} rows={view.rows} />
      ) : (
        <EmptyState title="No part is logged yet">
          Log the parts at Identify; what is worth taking shows here.
        </EmptyState>
      )}
      {harvest.lots.length > 0 && (
        <section className="mt-6" aria-label="Taken from this donor">
          <h2 className="label">Taken from this donor</h2>
          <ul className="dotted text-[13px]">
            {harvest.lots.map(({ code, says, grade, pieces, bin }) => (
              <li key={code} className="grid grid-cols-[84px_1fr_30px_60px_70px] items-baseline gap-x-3 py-1.5">
                <a className="ref" href={`/stock/${code}`}>
                  {code}
                </a>
                <span>{says}</span>
                <GradeMark grade={grade} />
                <span className="q text-right">{pieces}</span>
                <span className="font-mono">{bin}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Halves>
  );
}

function HarvestOverview({ code, view, harvest }: { code: string; view: PartsView; harvest: HarvestView }) {
  const [first] = view.worthTaking;
  const pieces = harvest.lots.reduce((sum, lot) => sum + lot.pieces, 0);
  const codes = harvest.lots.map((lot) => lot.code).join(',');
  return (
    <Judgement>
      <Claim label="What to take">
        {view.worthTaking.length === 0
          ? 'Nothing on the board has passed a test yet'
          : `${view.worthTaking.length} tested ${view.worthTaking.length === 1 ? 'part is' : 'parts are'} worth taking`}
      </Claim>
      {view.worthTaking.length > 0 && (
        <Section label="Passed, still on the board">
          <ul className="flex flex-wrap gap-x-3 gap-y-1.5">
            {view.worthTaking.map((ref) => (
              <li key={ref}>
                <a className="ref" href={`/donors/${code}/harvest?part=${ref}`}>
                  {ref}
                </a>
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Next
        actions={
          harvest.lots.length > 0 && (
            <a className="btn" href={`/stock/labels?lots=${codes}`}>
              Labels of its {harvest.lots.length} lots
            </a>
          )
        }
      >
        {first
          ? `Open ${first}, name a bin, and take it.`
          : view.untested.length > 0
            ? `Test ${view.untested[0]} first; an untested part goes into stock without a grade.`
            : `${pieces} ${pieces === 1 ? 'piece is' : 'pieces are'} in stock from this donor.`}
      </Next>
      <Caution>
        Hot solder and old flux fumes harm eyes and lungs: glasses, air. Ferrite and glass diodes crack when bent.
      </Caution>
    </Judgement>
  );
}

function TakeJudgement({
  code,
  part,
  bins,
  refused,
}: {
  code: string;
  part: PartView;
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
      {judgement && <Findings items={reasonItems(judgement)} />}
      {part.forStock.length > 0 && (
        <Section label="What the lot will carry">
          <Facts rows={part.forStock.map(({ label, value, source }) => ({ label, value, evidence: source }))} />
        </Section>
      )}
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
