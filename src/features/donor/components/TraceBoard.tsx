'use client';

import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { splitPin } from '../../../core/board';
import { formatQuantity } from '../../../core/quantity';
import { TOPOLOGY_WORDS } from '../../../core/topology';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { useNotice } from '../../../ui/feedback/Notices';
import { Halves } from '../../../ui/frame/Halves';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../../ui/judgement/parts';
import { ProbabilityRule } from '../../../ui/judgement/ProbabilityRule';
import type { BoardAnswer } from '../../../workers/board.contract';
import { recordLineAction, strikeFactAction } from '../actions';
import type { FactView, TraceView } from '../views/trace';
import { FinishButton } from './NoteForms';
import { SchematicView } from './SchematicView';
import { useBoardAnswer } from './useBoardAnswer';

const TABS = { pins: 'Parts and pins', schematic: 'Schematic', walk: 'Power walk' } as const;
type Tab = keyof typeof TABS;

/** Trace: parts and pins as evidence, the circuit, and what it is. */
export function TraceBoard({ code, view, children }: { code: string; view: TraceView; children: ReactNode }) {
  const { answer, isFresh } = useBoardAnswer(view.board);
  const [tab, setTab] = useState<Tab>('pins');
  const [held, setHeld] = useState<string>();
  const record = useRecorder(code);
  const lit = held === undefined ? undefined : answer?.nets[held];
  const isLit = (pin: string) => pin === held || (lit !== undefined && answer?.nets[pin] === lit);

  function touch(pin: string) {
    if (held === undefined || held === pin) setHeld(held === pin ? undefined : pin);
    else void record(`${held} - ${pin}`);
  }

  return (
    <Halves judgement={<TraceJudgement code={code} view={view} answer={answer} isFresh={isFresh} record={record} />}>
      {children}
      <div className="mb-3 flex items-baseline gap-5" role="tablist" aria-label="Ways to see the board">
        {(Object.keys(TABS) as Tab[]).map((name) => (
          <button
            key={name}
            type="button"
            role="tab"
            aria-selected={tab === name}
            className="way"
            onClick={() => setTab(name)}
          >
            {TABS[name]}
          </button>
        ))}
        {!isFresh && view.board.parts.length > 0 && (
          <span role="status" className="text-[12px] text-ink-2">
            working it out
          </span>
        )}
      </div>
      {view.board.parts.length === 0 ? (
        <EmptyState title="No part is logged yet">
          Log what you see, one part a line: <span className="font-mono">q1 nmos to-220</span>, then beep pins together:{' '}
          <span className="font-mono">q1.d - t1.2</span>. Pins that do not beep are worth a line too:{' '}
          <span className="font-mono">q1.s x br1.-</span>.
        </EmptyState>
      ) : tab === 'pins' ? (
        <PinTable view={view} answer={answer} held={held} isLit={isLit} onTouch={touch} />
      ) : tab === 'schematic' && answer ? (
        <SchematicView
          schematic={answer.schematic}
          lit={lit}
          chosen={held === undefined ? undefined : splitPin(held)[0]}
          onPart={(ref) => setHeld(Object.keys(answer.nets).find((pin) => splitPin(pin)[0] === ref))}
          onNet={(net) => setHeld(Object.keys(answer.nets).find((pin) => answer.nets[pin] === net))}
        />
      ) : (
        answer && <Walk answer={answer} />
      )}
      {held !== undefined && tab === 'pins' && (
        <p className="mt-2 flex flex-wrap items-center gap-3 text-[13px]" role="status">
          <span>
            One probe is held on <span className="ref">{held}</span>: touch every pin that beeps.
          </span>
          <button
            type="button"
            className="btn"
            data-tone="small"
            onClick={() => void record(`${held} only`).then(() => setHeld(undefined))}
          >
            nothing else beeps
          </button>
          <button type="button" className="btn" data-tone="quiet" onClick={() => setHeld(undefined)}>
            let go
          </button>
        </p>
      )}
      {view.facts.length > 0 && <FactLog code={code} facts={view.facts} isLit={isLit} />}
    </Halves>
  );
}

/** Records a bench line from a click or key, and says what came of it. */
function useRecorder(code: string): (line: string) => Promise<void> {
  const router = useRouter();
  const notify = useNotice();
  return async (line) => {
    const outcome = await recordLineAction({ code, station: 'trace' }, line).catch(() => undefined);
    if (!outcome) notify({ says: 'The server did not answer. Nothing was recorded; try again.' });
    else if (!outcome.ok) notify({ says: outcome.problems.map(({ message }) => message).join(' ') });
    else notify({ says: outcome.says ?? 'Recorded.', ...(outcome.undo ? { undo: outcome.undo } : {}) });
    router.refresh();
  };
}

function PinTable({
  view,
  answer,
  held,
  isLit,
  onTouch,
}: {
  view: TraceView;
  answer: BoardAnswer | undefined;
  held: string | undefined;
  isLit: (pin: string) => boolean;
  onTouch: (pin: string) => void;
}) {
  const joined = new Set(
    [...(view.board.joined ?? []), ...(view.board.through ?? []).map(({ a, b }) => [a, b] as const)].flat(),
  );
  return (
    <ul className="columns-2 gap-x-8 max-[1099px]:columns-1" aria-label="Parts and their pins">
      {view.board.parts.map(({ ref, kind, subtype, pins }) => (
        <li
          key={ref}
          className="grid break-inside-avoid grid-cols-[52px_1fr_auto] items-baseline gap-x-2 border-b border-dotted border-rule py-1 text-[13px]"
        >
          <span className="ref">{ref}</span>
          <span className="truncate text-ink-2">
            {subtype ?? kind}
            <span className="text-[11.5px]">
              {' '}
              {sideWord(answer?.analysis.sides[`${ref}.${Object.keys(pins)[0] ?? ''}`])}
            </span>
          </span>
          <span className="flex flex-wrap justify-end gap-1">
            {Object.keys(pins).map((pin) => {
              const name = `${ref}.${pin}`;
              return (
                <button
                  key={pin}
                  type="button"
                  className="pin"
                  data-lit={isLit(name)}
                  data-traced={joined.has(name)}
                  aria-pressed={held === name}
                  aria-label={
                    held === undefined || held === name ? `Hold a probe on ${name}` : `${name} beeps with ${held}`
                  }
                  onClick={() => onTouch(name)}
                >
                  {pin}
                </button>
              );
            })}
          </span>
        </li>
      ))}
    </ul>
  );
}

const sideWord = (side: string | undefined) =>
  side === undefined || side === 'unknown' ? '' : side === 'mains' ? 'mains side' : side;

function FactLog({
  code,
  facts,
  isLit,
}: {
  code: string;
  facts: readonly FactView[];
  isLit: (pin: string) => boolean;
}) {
  return (
    <ul
      aria-label="What the meter said"
      className="dotted mt-4 columns-2 gap-x-8 font-mono text-[12.5px] max-[1099px]:columns-1"
    >
      {facts.slice(0, 60).map(({ id, when, a, b, says }) => (
        <li key={id} className="grid break-inside-avoid grid-cols-[48px_1fr_auto] gap-x-2 py-1" data-lit={isLit(a)}>
          <span className="text-ink-2">{when}</span>
          <span>
            {a} {b} <span className="text-ink-2">{says}</span>
          </span>
          <ActionButton action={() => strikeFactAction(code, id)} tone="small" label={`Drop ${a} ${b} ${says}`}>
            drop
          </ActionButton>
        </li>
      ))}
    </ul>
  );
}

function Walk({ answer }: { answer: BoardAnswer }) {
  return (
    <div className="grid max-w-[860px] gap-4">
      <ol className="dotted text-[14px]" aria-label="Power walk">
        {answer.walk.map((sentence, index) => (
          <li key={sentence} className="grid grid-cols-[26px_1fr] py-1.5">
            <span className="font-mono text-ink-2">{index + 1}</span>
            {sentence}
          </li>
        ))}
      </ol>
      {answer.rails.length > 0 && (
        <table className="rows plain" aria-label="Rails">
          <thead>
            <tr>
              <th>rail</th>
              <th data-align="end">about</th>
              <th data-align="end">at most</th>
              <th>because</th>
            </tr>
          </thead>
          <tbody>
            {answer.rails.map(({ at, volts, most, why }) => (
              <tr key={at}>
                <td className="ref">{at}</td>
                <td className="font-mono" data-align="end">
                  {volts === undefined ? '' : formatQuantity(volts, 'volt', { digits: 3 })}
                </td>
                <td className="font-mono" data-align="end">
                  {most === undefined ? '' : formatQuantity(most, 'volt', { digits: 3 })}
                </td>
                <td className="text-ink-2">{why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

const WEIGHT = { danger: 'danger', warn: 'check', note: 'note' } as const;
const wordsOf = (topology: string) => TOPOLOGY_WORDS[topology] ?? topology;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function TraceJudgement({
  code,
  view,
  answer,
  isFresh,
  record,
}: {
  code: string;
  view: TraceView;
  answer: BoardAnswer | undefined;
  isFresh: boolean;
  record: (line: string) => Promise<void>;
}) {
  const [first] = answer?.analysis.hypotheses ?? [];
  const stages = answer?.analysis.stages ?? [];
  const main =
    stages.length > 0
      ? stages.toSorted(
          (a, b) => b.magnetics.length + b.rectifiers.length - a.magnetics.length - a.rectifiers.length,
        )[0]
      : first;
  const rival = main?.alternatives.toSorted((a, b) => b.probability - a.probability)[0];
  const others = stages.filter((stage) => stage !== main);
  return (
    <Judgement>
      <Claim label="What this board is">
        {!answer
          ? view.board.parts.length === 0
            ? 'Nothing is logged yet'
            : 'Looking'
          : main
            ? capital(wordsOf(main.topology))
            : 'Too little is known'}
      </Claim>
      {main && (
        <ProbabilityRule
          value={main.probability}
          rival={rival ? { label: rival.topology, value: rival.probability } : undefined}
        />
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
      {answer && view.board.parts.length > 0 && <NextProbe answer={answer} isFresh={isFresh} record={record} />}
      {main && main.evidence.length > 0 && (
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
      {answer && answer.findings.length > 0 && (
        <section>
          <h2 className="label mb-1">Findings</h2>
          <Findings
            items={answer.findings.map(({ severity, message, advice }) => ({
              weight: WEIGHT[severity],
              text: `${message} ${advice}`,
            }))}
          />
        </section>
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

function Conflicts({ code, conflicts }: { code: string; conflicts: TraceView['conflicts'] }) {
  return (
    <section role="alert">
      <h2 className="label mb-1 text-stop">These cannot all be so</h2>
      {conflicts.map((set, index) => (
        <ul key={index} className="mb-2 border-l-2 border-stop pl-3 text-[13px]">
          {set.map(({ id, a, b, says }) => (
            <li key={id} className="flex items-baseline justify-between gap-3">
              <span className="font-mono">
                {a} {b} <span className="text-ink-2">{says}</span>
              </span>
              <ActionButton
                action={() => strikeFactAction(code, id)}
                tone="small"
                label={`Drop that ${a} and ${b} are ${says}`}
              >
                drop this
              </ActionButton>
            </li>
          ))}
        </ul>
      ))}
    </section>
  );
}

/** The probe that would tell most, answered in one key. */
function NextProbe({
  answer,
  isFresh,
  record,
}: {
  answer: BoardAnswer;
  isFresh: boolean;
  record: (line: string) => Promise<void>;
}) {
  const [probe] = answer.advice.probes;
  const act = (sign: string) => {
    if (probe && isFresh) void record(`${probe.a} ${sign} ${probe.b}`);
  };
  if (!probe) return null;
  return (
    <Next
      label="Probe next, it tells most"
      actions={
        <>
          <Shortcuts
            keys={[
              { key: 'j', label: 'the pins asked for beep', press: 'probe-joined' },
              { key: 'x', label: 'they do not', press: 'probe-separate' },
            ]}
          />
          <button id="probe-joined" type="button" className="btn" disabled={!isFresh} onClick={() => act('-')}>
            <kbd>j</kbd> they beep
          </button>
          <button id="probe-separate" type="button" className="btn" disabled={!isFresh} onClick={() => act('x')}>
            <kbd>x</kbd> they do not
          </button>
          <span className="font-mono text-[12px] text-ink-2">
            {probe.a} {probe.b}
          </span>
        </>
      }
    >
      {probe.question}
    </Next>
  );
}
