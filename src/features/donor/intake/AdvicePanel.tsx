'use client';

import { useState } from 'react';
import {
  advise,
  FACTOR_LABEL,
  FACTORS,
  OPTION_LABEL,
  USUAL_WEIGHTS,
  type Advice,
  type Factor,
  type UnitFacts,
  type Weights,
} from '../../../core/advice';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ScoreRule } from '../../../ui/judgement/ScoreRule';
import { Claim, Section } from '../../../ui/judgement/parts';
import { keepWeightsAction } from './actions';
import { routes } from '../../../routes';

/** What to do with the unit, each way scored, with reasons and weights that a person can see and change. */
export function AdvicePanel({
  facts,
  stored,
  message,
}: {
  facts: UnitFacts | undefined;
  stored: Weights;
  message: string;
}) {
  const [weights, setWeights] = useState<Weights>(stored);
  if (!facts) return <Claim label="What to do with it">{message}</Claim>;
  const advice = advise(facts, weights);
  const changed = FACTORS.some((factor) => weights[factor] !== stored[factor]);
  const [first, second] = advice.options;
  return (
    <>
      <div>
        <Claim
          label="What to do with it"
          rule={routes.article('advice')}
          {...(facts.right.may ? {} : { tone: 'stop' as const })}
        >
          {sentence(OPTION_LABEL[advice.best])}
        </Claim>
        <p className="mt-1 text-[13.5px] text-ink-2">
          {facts.right.may ? message : `${facts.right.why} ${message}`}
          {advice.close &&
            second &&
            !second.excluded &&
            ` Close call: ${OPTION_LABEL[second.option]} is nearly as good.`}
        </p>
      </div>
      <Section label="How the ways compare">
        <ul className="grid gap-1" aria-label="Advice">
          {advice.options.map(({ option, score, excluded }) => (
            <li key={option} className="grid grid-cols-[132px_1fr_34px] items-center gap-2">
              <span className={excluded ? 'text-ink-3 line-through' : option === first?.option ? 'font-semibold' : ''}>
                {OPTION_LABEL[option].replace(' and put it back', '')}
              </span>
              <ScoreRule value={score} label={`${OPTION_LABEL[option]}: ${Math.round(score * 100)} of 100`} />
              <span className="q text-right text-[12.5px]">{Math.round(score * 100)}</span>
            </li>
          ))}
        </ul>
        <Reasons advice={advice} weights={weights} onWeight={setWeights} />
        {changed && (
          <div className="mt-2 flex items-center gap-3">
            <ActionButton action={() => keepWeightsAction(weights)}>Use for every unit</ActionButton>
            <button type="button" className="btn" data-tone="quiet" onClick={() => setWeights(stored)}>
              as before
            </button>
            <button type="button" className="btn" data-tone="quiet" onClick={() => setWeights(USUAL_WEIGHTS)}>
              as shipped
            </button>
          </div>
        )}
      </Section>
    </>
  );
}

function Reasons({
  advice,
  weights,
  onWeight,
}: {
  advice: Advice;
  weights: Weights;
  onWeight: (weights: Weights) => void;
}) {
  return (
    <details className="mt-2 text-[13px]">
      <summary className="cursor-pointer text-ink-2 underline decoration-dotted underline-offset-3">
        why, and how much each reason counts
      </summary>
      <ul className="dotted mt-1.5">
        {FACTORS.map((factor: Factor) => {
          const id = `weight-${factor}`;
          return (
            <li key={factor} className="py-1.5">
              <div className="flex items-center gap-2">
                <label htmlFor={id} className="flex-1 text-[12px] font-semibold text-ink-2">
                  {FACTOR_LABEL[factor]}
                </label>
                <input
                  id={id}
                  type="range"
                  min={0}
                  max={5}
                  step={1}
                  value={weights[factor]}
                  onChange={(event) => onWeight({ ...weights, [factor]: Number(event.target.value) })}
                  className="w-[110px] accent-ochre"
                  aria-valuetext={`counts ${weights[factor]} of 5`}
                />
                <span className="q w-[14px] text-right text-[12px]">{weights[factor]}</span>
              </div>
              <p>{advice.options[0]?.reasons.find((reason) => reason.factor === factor)?.text}</p>
              <p className="font-mono text-[11.5px] text-ink-3">
                {advice.options
                  .map(({ option, reasons }) => {
                    const score = reasons.find((reason) => reason.factor === factor)?.score ?? 0;
                    return `${option} ${Math.round(score * 100)}`;
                  })
                  .join('  ')}
              </p>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
