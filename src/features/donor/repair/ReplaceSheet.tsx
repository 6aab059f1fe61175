import Link from '../../../ui/frame/Link';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Section } from '../../../ui/judgement/parts';
import { routes } from '../../../routes';
import { fitReplacementAction } from './actions';
import type { Candidate, ReplaceView } from './replace.server';

const VERDICTS = {
  good: { word: 'good', mark: '✓' },
  limits: { word: 'with limits', mark: '△' },
  no: { word: 'no', mark: '✕' },
} as const;

/** What may take the place of a part that failed: from the drawers, from other boards, or to buy. */
export function ReplaceSheet({ code, view }: { code: string; view: ReplaceView }) {
  const { ref, title, place, isReplaced, candidates, pairs, refused, likely, builds, also, buy } = view;
  const good = candidates.filter(({ judgement }) => judgement.verdict === 'good').length;
  const [best] = candidates;
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={`In the place of ${ref}`} rule={routes.article('derating')}>
            {best
              ? `${best.title} ${best.judgement.verdict === 'good' ? 'fits' : 'fits with limits'}`
              : 'Nothing in stock fits'}
          </Claim>
          {best && (
            <Section label="Why">
              {best.where}. {best.judgement.why}
            </Section>
          )}
          <Section label="To buy">
            {buy}
            {builds.length > 0 && (
              <span className="mt-1 block text-[12.5px]">
                Or write it down as a need of{' '}
                {builds.map(({ title: build, href }, place) => (
                  <span key={href}>
                    {place > 0 && ', '}
                    <Link href={href} className="underline decoration-dotted">
                      {build}
                    </Link>
                  </span>
                ))}
                .
              </span>
            )}
          </Section>
          {likely.length > 0 && (
            <Section label="Likely in a unit that is not opened yet">
              {likely.map(({ code: donor, title: unit, message }) => (
                <p key={donor}>
                  <Link href={routes.donor(donor)} className="ref">
                    {donor}
                  </Link>{' '}
                  {unit}: {message}.
                </p>
              ))}
            </Section>
          )}
          {also.length > 0 && (
            <Section label="Goes with it">
              <ul>
                {also.map(({ what, why, refs }) => (
                  <li key={what}>
                    <b>{refs.length > 0 ? `${what}: ${refs.join(', ')}` : what}</b> – {why}
                  </li>
                ))}
              </ul>
            </Section>
          )}
          <Caution>
            Rules of the trade, most with no source; classes and fuses follow their standards, from memory. A rating
            that nobody wrote down is not taken for good. What crosses the barrier is not type-tested after a repair.
          </Caution>
        </Judgement>
      }
    >
      <p className="text-[14px]">
        <b className="font-mono">{ref}</b> {title}
        {isReplaced && <span className="text-ink-2"> (replaced already)</span>}
        {place !== '' && <span className="text-ink-2">: {place}</span>}
      </p>
      <p className="mt-1 mb-4 text-[13px] text-ink-2">
        <Link className="underline" href={routes.station(code, 'identify', { part: ref })}>
          What is known of it
        </Link>
        ; the more of its ratings are known, the more a verdict says.
      </p>
      {candidates.length > 0 && (
        <h2 className="label mt-4 mb-1">
          {good > 0 ? `${good} good, ${candidates.length - good} with limits` : `${candidates.length} with limits`}
        </h2>
      )}
      {candidates.length === 0 && (
        <EmptyState title="Nothing fits">
          No lot and no part on another board may take its place. Buy by the line under “To buy”.
        </EmptyState>
      )}
      <List of={candidates} fit={{ code, part: ref }} />
      {pairs.length > 0 && (
        <section className="mt-4">
          <h2 className="label mb-1">Two in the place of one</h2>
          <ul className="dotted text-[13.5px]">
            {pairs.map(({ way, titles, why, drawbacks }) => (
              <li key={`${way} ${titles.join(' ')}`} className="py-1.5">
                <b>in {way}:</b> {titles.join(' and ')}
                <span className="block text-[12.5px] text-ink-2">{[...drawbacks, why].join(' ')}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {refused.length > 0 && (
        <details className="mt-4 text-[13.5px]">
          <summary>{refused.length} that must not take its place</summary>
          <List of={refused} />
        </details>
      )}
    </Halves>
  );
}

function List({
  of,
  fit,
}: {
  of: readonly Candidate[];
  /** The part whose place they may take. */
  fit?: { readonly code: string; readonly part: string };
}) {
  return (
    <ul className="dotted text-[13.5px]">
      {of.map(({ title, where, href, lot, judgement }) => (
        <li key={`${title} ${where}`} className="grid grid-cols-[110px_1fr] gap-x-3 py-1.5 max-[899px]:grid-cols-1">
          <span className={judgement.verdict === 'no' ? 'font-semibold text-stop' : 'font-semibold'}>
            <span aria-hidden="true">{VERDICTS[judgement.verdict].mark} </span>
            {VERDICTS[judgement.verdict].word}
          </span>
          <span>
            <Link href={href} className="underline">
              {title}
            </Link>{' '}
            <span className="text-ink-2">{where}</span>
            <span className="block text-[12.5px] text-ink-2">{judgement.why}</span>
            {fit && lot && (
              <ConfirmButton
                action={fitReplacementAction.bind(null, fit.code, { ref: fit.part, lot })}
                title={`Fit one of ${lot} as ${fit.part}?`}
                detail={`It leaves stock, and ${fit.part} is replaced from now on; what it was stays on record. ${judgement.verdict === 'limits' ? `With limits: ${judgement.why} ` : ''}Solder only while it is off and every store was read dead.`}
                confirm="It is fitted"
              >
                Fit it
              </ConfirmButton>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
