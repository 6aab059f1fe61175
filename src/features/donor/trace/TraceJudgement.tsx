'use client';

import type { TracedEntry } from './schema';
import Link from '../../../ui/frame/Link';
import { TOPOLOGY_WORDS } from '../../../core/board';
import { routes } from '../../../routes';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Section } from '../../../ui/judgement/parts';
import { ProbabilityRule } from '../../../ui/judgement/ProbabilityRule';
import type { BoardAnswer } from '../../../workers/board.contract';
import { removeFactAction } from './actions';
import type { TraceView } from './view.server';
import { FactByFact } from './FactByFact';
import { FixedParts } from './FixedParts';
import { LogNext, NextProbe } from './NextProbe';
import { FinishButton } from '../shared/NoteForms';
import type { MeterProbe } from '../shared/useMeterProbe';

/** A reading is a claim from here on; below, nothing is claimed. */
const CLAIMED = 0.5;
const READINGS_SHOWN = 3;
const WEIGHT = { danger: 'danger', warn: 'check', note: 'note' } as const;
const wordsOf = (topology: string) => TOPOLOGY_WORDS[topology] ?? topology;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What the board is, how sure that is, what contradicts itself, what to probe next, why, and what is wrong. */
export function TraceJudgement({
  code,
  view,
  answer,
  isFresh,
  record,
  probe,
}: {
  code: string;
  view: TraceView;
  answer: BoardAnswer | undefined;
  isFresh: boolean;
  record: (entry: TracedEntry) => Promise<void>;
  probe: MeterProbe;
}) {
  const hypotheses = answer?.analysis.hypotheses ?? [];
  const [first] = hypotheses;
  const stages = answer?.analysis.stages ?? [];
  const main =
    stages.length > 0
      ? stages.toSorted(
          (a, b) => b.magnetics.length + b.rectifiers.length - a.magnetics.length - a.rectifiers.length,
        )[0]
      : first;
  const rival = main?.alternatives.toSorted((a, b) => b.probability - a.probability)[0];
  const isFixed = main?.magnetics.some((ref) =>
    view.board.fixed?.some((entry) => entry.ref === ref && entry.as === main.topology),
  );
  const others = stages.filter((stage) => stage !== main);
  const { step } = view;
  return (
    <Judgement>
      <Claim label="What this board is" rule={routes.article('topologies')}>
        {view.board.parts.length === 0
          ? 'Nothing is logged yet'
          : !answer
            ? 'Looking'
            : main && (isFixed || main.probability >= CLAIMED)
              ? capital(wordsOf(main.topology))
              : 'Not known yet'}
      </Claim>
      {stages.length === 0 && hypotheses.length > 0 && (
        <Section label="It may be">
          <ul>
            {hypotheses.slice(0, READINGS_SHOWN).map(({ topology, magnetics, probability }) => (
              <li key={`${topology} ${magnetics.join()}`}>
                {wordsOf(topology)} <span className="ref">{magnetics.join(' ')}</span>{' '}
                <span className="font-mono text-ink-2">{probability.toFixed(2)}</span>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {main && isFixed && <p className="text-[13.5px] text-ink-2">because you have fixed it</p>}
      {main && !isFixed && main.probability >= CLAIMED && (
        <ProbabilityRule
          value={main.probability}
          rival={rival ? { label: wordsOf(rival.topology), value: rival.probability } : undefined}
        />
      )}
      {answer && answer.analysis.power.pins > 0 && (
        <Completeness power={answer.analysis.power} missing={view.unlogged} />
      )}
      {stages.length > 0 && (
        <p className="text-[13.5px]">
          <Link className="underline" href={routes.runAsTraced(code)}>
            Run it as traced
          </Link>
          <span className="text-ink-2">: rails, stresses, and what does not agree with the plate</span>
        </p>
      )}
      {others.length > 0 && (
        <Section label="With it">
          <ul>
            {others.map(({ topology, magnetics, switches, probability }) => (
              <li key={`${topology} ${magnetics.join()}`}>
                {wordsOf(topology)} <span className="ref">{[...switches, ...magnetics].join(' ')}</span>{' '}
                <span className="font-mono text-ink-2">{probability.toFixed(2)}</span>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {view.conflicts.length > 0 && <Conflicts code={code} conflicts={view.conflicts} />}
      {answer && view.board.parts.length > 0 && (
        <NextProbe
          answer={answer}
          step={step}
          isWhole={view.unlogged.length === 0}
          isFresh={isFresh}
          record={record}
          meter={probe}
        />
      )}
      {view.board.parts.length === 0 && step?.kind === 'log' && <LogNext what={step.what} why={step.why} />}
      {main && main.probability >= CLAIMED && main.evidence.length > 0 && (
        <Section label="Why">
          <ul>
            {main.evidence.slice(0, 4).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
            {rival && rival.probability >= 0.02 && (
              <li className="text-ink-2">
                Against {wordsOf(rival.topology)}: {rival.against}.
              </li>
            )}
          </ul>
        </Section>
      )}
      <FactByFact readings={hypotheses} wordsOf={wordsOf} />
      {answer && answer.findings.length > 0 && (
        <section>
          <h2 className="label mb-1">Findings</h2>
          <Findings
            items={answer.findings.map(({ rule, severity, message, advice }, index) => ({
              weight: WEIGHT[severity],
              rule: routes.article('findings', rule),
              // The number stands at the parts on the schematic.
              text: `${index + 1}. ${message} ${advice}`,
            }))}
          />
        </section>
      )}
      {view.board.parts.length > 0 && (
        <FixedParts
          code={code}
          parts={view.board.parts}
          fixed={view.fixed}
          disagreements={answer?.analysis.disagreements ?? []}
          record={record}
        />
      )}
      <FinishButton code={code} station="trace" />
      {answer?.analysis.limits.map((text) => (
        <p key={text} className="text-[12.5px] text-ink-2">
          {text}
        </p>
      ))}
      <Caution>
        Beep only a board whose stores are measured dead; a charged store kills the meter first, then you. What is said
        here comes from what was traced, and proves nothing about what was not.
      </Caution>
    </Judgement>
  );
}

const OPEN_SHOWN = 6;

/** How much of the way from inlet to outputs is traced, and what is missing of it. */
function Completeness({
  power: { pins, traced, open },
  missing,
}: {
  power: BoardAnswer['analysis']['power'];
  missing: readonly string[];
}) {
  return (
    <p className="text-[13.5px]">
      Power path:{' '}
      <span className="font-mono">
        {traced} of {pins}
      </span>{' '}
      pins of the logged parts are traced
      {open.length > 0 && (
        <span className="text-ink-2">
          ; open are <span className="font-mono text-[12.5px]">{open.slice(0, OPEN_SHOWN).join(' ')}</span>
          {open.length > OPEN_SHOWN ? ` and ${open.length - OPEN_SHOWN} more` : ''}
        </span>
      )}
      {missing.length > 0 && <span className="text-ink-2">; not logged yet: {missing.join(', ')}</span>}
    </p>
  );
}

function Conflicts({ code, conflicts }: { code: string; conflicts: TraceView['conflicts'] }) {
  return (
    <section role="alert">
      <h2 className="label mb-1 text-stop">These cannot all be so</h2>
      {conflicts.map((set, index) => (
        <ul key={index} className="mb-2 border-l-2 border-stop pl-3 text-[13px]">
          {set.map(({ id, a, b, message }) => (
            <li key={id} className="flex items-baseline justify-between gap-3">
              <span className="font-mono">
                {a} {b} <span className="text-ink-2">{message}</span>
              </span>
              <ActionButton
                action={() => removeFactAction(code, id)}
                tone="small"
                label={`Delete that ${a} and ${b} are ${message}`}
              >
                delete this
              </ActionButton>
            </li>
          ))}
        </ul>
      ))}
    </section>
  );
}
