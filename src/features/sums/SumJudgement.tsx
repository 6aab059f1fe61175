'use client';

import type { ReactNode } from 'react';
import { figureText, type Choices, type Figure, type Mark, type Outcome, type Sum } from '../../core/sums';
import { Judgement } from '../../ui/judgement/Judgement';
import { Claim, Next, Section } from '../../ui/judgement/parts';
import { WeightMark, type Weight } from '../../ui/value/marks';
import { SumPicture } from './SumPicture';

const WEIGHT: Readonly<Record<Mark, Weight>> = {
  danger: 'danger',
  reject: 'danger',
  warn: 'check',
  'cannot tell': 'check',
  note: 'note',
  ok: 'ok',
};
const WORD: Readonly<Record<Mark, string>> = {
  danger: 'danger',
  reject: 'not this one',
  warn: 'with care',
  'cannot tell': 'cannot tell',
  note: 'note',
  ok: 'fine',
};

/** What a sum comes to: the answer first, its numbers, why, what to mind, and what to do. */
export function SumJudgement({
  sum,
  outcome,
  beside,
  children,
}: {
  sum: Sum;
  outcome: Outcome;
  beside?: Outcome | undefined;
  children?: ReactNode;
}) {
  const { worked, problem } = outcome;
  return (
    <Judgement label="What it comes to">
      <div aria-live="polite">
        {worked ? (
          <>
            <Claim
              label={sum.title}
              {...(worked.mark === 'danger' || worked.mark === 'reject' ? { tone: 'stop' as const } : {})}
            >
              {worked.answer}
            </Claim>
            {worked.more && <p className="mt-1 text-[13px] text-ink-2">{worked.more}</p>}
            {worked.mark && (
              <p className="mt-1">
                <WeightMark weight={WEIGHT[worked.mark]} word={WORD[worked.mark]} />
              </p>
            )}
          </>
        ) : (
          <Claim label={sum.title}>{problem ?? 'Not yet: a value cannot be read'}</Claim>
        )}
        {beside?.worked && (
          <p className="mt-2 text-[13px]">
            beside it: <b className="font-semibold">{beside.worked.answer}</b>
          </p>
        )}
      </div>
      {worked?.picture && worked.curve && <SumPicture picture={worked.picture} />}
      {worked?.choices && <ChoiceTable choices={worked.choices} />}
      {worked && worked.figures.length > 0 && <Figures figures={worked.figures} beside={beside?.worked?.figures} />}
      {worked && worked.why.length + worked.cautions.length > 0 && (
        <Section label="Why">
          <ul className="sum-why">
            {worked.why.map((text) => (
              <li key={text}>{text}</li>
            ))}
            {worked.cautions.map((text) => (
              <li key={text} data-caution="">
                {text}
              </li>
            ))}
          </ul>
        </Section>
      )}
      {worked && <Next actions={children}>{worked.next}</Next>}
      <div className="sum-formula">
        {sum.formula.map((one) => (
          <code key={one}>{one}</code>
        ))}
        <p>{sum.source}.</p>
        {sum.isMains && <p>Work on the mains follows local codes and is for those who are trained for it.</p>}
      </div>
    </Judgement>
  );
}

function ChoiceTable({ choices }: { choices: Choices }) {
  return (
    <table className="sum-choices">
      <thead>
        <tr>
          {choices.head.map((name, index) => (
            <th key={`${index} ${name}`} scope="col">
              {name || <span className="sr-only">verdict</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {choices.rows.map(({ cells, mark, isChosen }) => (
          <tr key={cells.join(' ')} data-chosen={isChosen ? '' : undefined}>
            {cells.map((cell, index) => (
              <td key={`${index} ${cell}`}>
                {mark && index === cells.length - 1 && cell !== '' ? (
                  <WeightMark weight={WEIGHT[mark]} word={cell} />
                ) : (
                  cell
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Figures({ figures, beside }: { figures: readonly Figure[]; beside?: readonly Figure[] | undefined }) {
  return (
    <table className="sum-figures">
      <caption className="sr-only">Numbers</caption>
      {beside && (
        <thead>
          <tr>
            <td />
            <th scope="col">this</th>
            <th scope="col">beside</th>
          </tr>
        </thead>
      )}
      <tbody>
        {figures.map((figure) => {
          const other = beside?.find(({ id }) => id === figure.id);
          const differs = beside && (!other || figureText(other) !== figureText(figure));
          return (
            <tr key={figure.id} data-differs={differs ? '' : undefined}>
              <th scope="row">{figure.label}</th>
              <td className="q">{figureText(figure)}</td>
              {beside && <td className="q">{other ? figureText(other) : '–'}</td>}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
