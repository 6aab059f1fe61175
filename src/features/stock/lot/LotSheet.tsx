import Link from '../../../ui/frame/Link';
import type { ReactNode } from 'react';
import { timesOver } from '../../../core/stock';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Limits, Next, Section } from '../../../ui/judgement/parts';
import { GradeMark } from '../../../ui/value/marks';
import { Facts } from '../../../ui/value/Facts';
import type { LotView } from './view.server';
import { LotPhoto } from './LotPhoto';
import { FittingsForm, JoinForm, MoveForm, SplitForm, TakePiecesForm } from './LotForms';
import { routes } from '../../../routes';

/** One lot: where it has been on the left, what it is good for on the right. @param sums those that take its values */
export function LotSheet({ lot, sums }: { lot: LotView; sums?: ReactNode }) {
  return (
    <Halves judgement={<LotJudgement lot={lot} />}>
      <div className="grid max-w-[760px] grid-cols-[repeat(auto-fit,minmax(150px,1fr))] gap-x-6 gap-y-3">
        <p>
          <span className="label block">in the bin</span>
          <span className="q text-[34px] leading-tight">{lot.onHand}</span>
          {lot.reserved > 0 && <span className="ml-2 text-[13px] text-ink-2">{lot.reserved} reserved</span>}
        </p>
        <p>
          <span className="label block">bin</span>
          <span className="q text-[34px] leading-tight">{lot.bin}</span>
        </p>
        {lot.donor && (
          <p>
            <span className="label block">from</span>
            <Link href={routes.donor(lot.donor.code)} className="ref mt-2 inline-block text-[17px]">
              {lot.donor.code}
            </Link>{' '}
            <span className="q">{lot.donor.ref}</span>
          </p>
        )}
        <LotPhoto code={lot.code} picture={lot.picture} />
      </div>
      {sums}
      {lot.fittings && <FittingsForm code={lot.code} fittings={lot.fittings} />}
      <h2 className="label mt-6 mb-1">Where it has been</h2>
      <table className="rows plain max-w-[760px]" aria-label="Ledger">
        <thead>
          <tr>
            <th>day</th>
            <th>what</th>
            <th data-align="end">pieces</th>
          </tr>
        </thead>
        <tbody>
          {lot.ledger.map(({ id, day, message, change, build }) => (
            <tr key={id}>
              <td className="font-mono whitespace-nowrap text-ink-2">{day}</td>
              <td>
                {message}
                {build && (
                  <>
                    {' '}
                    <Link className="ref" href={routes.build(build)}>
                      {build}
                    </Link>
                  </>
                )}
              </td>
              <td data-align="end" className="q">
                {change}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-6 grid max-w-[760px] grid-cols-2 gap-6 max-[620px]:grid-cols-1">
        <TakePiecesForm code={lot.code} />
        <MoveForm code={lot.code} />
        {lot.onHand > 1 && <SplitForm code={lot.code} bin={lot.bin} />}
        <JoinForm code={lot.code} like={lot.like} />
      </div>
    </Halves>
  );
}

function LotJudgement({ lot }: { lot: LotView }) {
  const [wish] = lot.wanted;
  return (
    <Judgement>
      <Claim label={`${lot.kind}, ${lot.onHand} in ${lot.bin}`}>
        <span className="inline-flex items-center gap-2.5">
          {lot.title} <GradeMark grade={lot.grade} />
        </span>
      </Claim>
      {lot.ratings.length > 0 && <Facts rows={lot.ratings} />}
      <Limits limits={lot.limits} />
      {(lot.gradeReason || lot.uncertainties.length > 0) && (
        <Section label={lot.grade ? `Why grade ${lot.grade}` : 'Not graded'}>
          {[lot.gradeReason, ...lot.uncertainties]
            .filter((line) => line !== '')
            .map((line) => (
              <p key={line}>{line}</p>
            ))}
        </Section>
      )}
      {wish ? (
        <Next
          label="Wanted by"
          actions={
            <Link className="btn" href={routes.build(wish.build)}>
              Look at the build
            </Link>
          }
        >
          {wish.title} needs a {wish.role}: it fits
          {wish.verdict === 'limit' ? ' on paper' : ''}
          {wish.margin === null ? '' : `, ${timesOver(wish.margin)}`}.
        </Next>
      ) : (
        <Section label="Wanted by">No open build asks for it.</Section>
      )}
      <Caution>
        A used part is not type-tested. Fuses, X and Y capacitors and what bridges the barrier are replaced new.
      </Caution>
    </Judgement>
  );
}
