'use client';

import { memo, useEffect, useRef } from 'react';
import { STRESS_WORDS, type Answer, type Fault, type FaultAnswer, type Stress } from '../../core/whatif';
import { Judgement } from '../../ui/judgement/Judgement';
import { marginText, shown, standing, stressLabel } from './present';

/** So many stresses are shown; the rest stand far from their limits. */
const SHOWN = 7;

/** How it runs, what is tightest, and what would happen if. */
export const WhatIfJudgement = memo(function WhatIfJudgement({
  answer,
  isUnderWay,
  problem,
  list,
  faults,
  left,
  chosen,
  onChoose,
  onStop,
}: {
  answer: Answer | undefined;
  /** The circuit has been turned on, and its words are those of the state before. */
  isUnderWay: boolean;
  problem: string | undefined;
  list: readonly Fault[];
  faults: Readonly<Record<string, FaultAnswer>>;
  left: number;
  chosen: string | undefined;
  onChoose: (kind: string | undefined) => void;
  onStop: () => void;
}) {
  return (
    <Judgement label="How it runs">
      <p className="label">{isUnderWay ? 'How it ran; still settling' : 'How it runs'}</p>
      {problem && (
        <p className="text-[13px] text-stop" role="alert">
          {problem}
        </p>
      )}
      <div aria-live="polite">
        <h2 className="say">{answer ? `${answer.headline}.` : 'Working it out…'}</h2>
        {answer?.reasons.map((reason) => (
          <p key={reason} className="mt-1 text-[13px] text-ink-2">
            {reason}
          </p>
        ))}
      </div>
      {answer && <Stresses stresses={answer.stresses.slice(0, SHOWN)} />}
      <section aria-label="What if">
        <div className="whatif-head">
          <span className="label">What if</span>
          <span className="text-[11.5px] text-ink-2">
            {left > 0 ? (
              <>
                {left} to come{' '}
                <button type="button" className="underline" onClick={onStop}>
                  stop
                </button>
              </>
            ) : (
              'gives way first'
            )}
          </span>
        </div>
        <ul className="whatif-list">
          {list.map((fault) => (
            <FaultRow
              key={fault.kind}
              fault={fault}
              answer={faults[fault.kind]}
              isOpen={chosen === fault.kind}
              onChoose={() => onChoose(chosen === fault.kind ? undefined : fault.kind)}
            />
          ))}
        </ul>
      </section>
      <p className="mt-2 text-[11.5px] text-ink-2">
        Reckoned, not measured: switches and diodes as two straight lines, cores as two slopes. Ratings are those of
        common parts; hold yours against its datasheet. Nothing here makes a live circuit safe to touch.
      </p>
    </Judgement>
  );
});

function Stresses({ stresses }: { stresses: readonly Stress[] }) {
  return (
    <table className="stresses">
      <thead>
        <tr>
          <th colSpan={2}>stress, tightest first</th>
          <th className="num">now, of rating</th>
          <th colSpan={2}>margin</th>
        </tr>
      </thead>
      <tbody>
        {stresses.map((stress) => {
          const { unit } = STRESS_WORDS[stress.kind];
          const { word, fill } = standing(stress);
          return (
            <tr key={`${stress.ref} ${stress.kind}`} data-standing={word}>
              <td className="q">{stress.ref}</td>
              <td>{stressLabel(stress)}</td>
              <td className="num q">
                <b>{shown(stress.value, unit)}</b> of {shown(stress.limit, unit)}
              </td>
              <td className="word">
                <StandingMark fill={fill} /> {word}
              </td>
              <td className="num">{marginText(stress)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function StandingMark({ fill }: { fill: 'full' | 'half' | 'none' }) {
  return (
    <svg width="11" height="11" viewBox="0 0 11 11" aria-hidden="true" className="inline-block">
      <circle cx="5.5" cy="5.5" r="4.6" fill={fill === 'full' ? 'currentColor' : 'none'} stroke="currentColor" />
      {fill === 'half' && <path d="M5.5 0.9A4.6 4.6 0 0 0 5.5 10.1Z" fill="currentColor" />}
      {fill === 'none' && <path d="M2.6 2.6L8.4 8.4M8.4 2.6L2.6 8.4" stroke="currentColor" strokeWidth="1.4" />}
    </svg>
  );
}

function FaultRow({
  fault: { kind, title },
  answer,
  isOpen,
  onChoose,
}: {
  fault: Fault;
  answer: FaultAnswer | undefined;
  isOpen: boolean;
  onChoose: () => void;
}) {
  const first = answer?.told?.deaths.map(({ ref }) => ref).slice(0, 2);
  const short = !answer ? '…' : !first ? 'cannot be told' : first.length > 0 ? first.join(', ') : 'nothing';
  const row = useRef<HTMLLIElement>(null);
  const isTold = answer !== undefined;
  useEffect(() => {
    if (isOpen) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isOpen, isTold]);
  return (
    <li ref={row} data-open={isOpen ? '' : undefined}>
      <button type="button" aria-expanded={isOpen} onClick={onChoose} data-fault={kind}>
        <span>{title}</span>
        <span className={first && first.length > 0 ? 'q' : 'text-ink-2'}>{short}</span>
      </button>
      {isOpen && (
        <div className="whatif-told" aria-live="polite">
          {answer?.told ? (
            <>
              <p>
                <b>What happens.</b> {answer.told.what}
              </p>
              <p>
                <b>Gives way first.</b> {deathText(answer.told.deaths)}
              </p>
            </>
          ) : (
            <p>
              {answer
                ? 'With this fault no state was found that repeats in the time given, so nothing is told of it.'
                : 'Working it out…'}
            </p>
          )}
        </div>
      )}
    </li>
  );
}

function deathText(deaths: NonNullable<FaultAnswer['told']>['deaths']): string {
  const [first, ...rest] = deaths;
  if (!first) return 'Nothing passes what it stands.';
  const others = rest.map(({ ref }) => ref).slice(0, 4);
  return `${first.message}.${others.length > 0 ? ` After it ${others.join(', ')}.` : ''}`;
}
