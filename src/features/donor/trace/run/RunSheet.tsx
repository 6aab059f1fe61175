'use client';

import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { inputOf, type TracedUnit } from '../../../../core/traced';
import { EmptyState } from '../../../../ui/feedback/EmptyState';
import { Halves } from '../../../../ui/frame/Halves';
import { InputVolts } from './InputVolts';
import { RunJudgement } from './RunJudgement';
import { StageView } from './StageView';
import { stageWords } from './present';
import { useBoardRun } from './useBoardRun';

/** The board as it was traced, running: what it gives, what its parts are put under, and what does not agree. */
export function RunSheet({
  code,
  unit,
  volts,
  children,
}: {
  code: string;
  unit: TracedUnit;
  volts: number | undefined;
  /** What stands first: that a store is not read dead. */
  children?: ReactNode;
}) {
  const [input, setInput] = useState(volts);
  const [chosen, setChosen] = useState<string>();
  const asked = useMemo(() => ({ ...unit, ...(input === undefined ? {} : { inputVolts: input }) }), [unit, input]);
  const running = useBoardRun(asked);
  const stages = running.run?.stages ?? [];
  const stage = stages.find(({ refs }) => refs.join() === chosen) ?? mainOf(stages);

  useEffect(() => {
    window.history.replaceState(null, '', `${window.location.pathname}${input === undefined ? '' : `?volts=${input}`}`);
  }, [input]);

  return (
    <Halves judgement={<RunJudgement code={code} running={running} />}>
      {children}
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <InputVolts
          plate={unit.board.nameplate?.input}
          value={input ?? inputOf(unit)}
          isBusy={running.isRunning}
          onValue={setInput}
        />
        {stages.length > 1 && (
          <div role="radiogroup" aria-label="Stage" className="flex flex-wrap gap-1">
            {stages.map((one) => (
              <button
                key={one.refs.join()}
                type="button"
                role="radio"
                aria-checked={one === stage}
                className="way"
                data-state={one === stage ? 'active' : undefined}
                onClick={() => setChosen(one.refs.join())}
              >
                {stageWords(one.topology)}
              </button>
            ))}
          </div>
        )}
      </div>
      {stage && running.run ? (
        <StageView stage={stage} used={running.run.used} readings={unit.readings ?? []} />
      ) : (
        !running.isRunning && (
          <EmptyState title="Nothing of this board can be run yet">
            A stage runs once its switch, its transformer or choke, its rectifiers and what feeds them are joined, and
            the label says what comes out. The judgement names what is missing.
          </EmptyState>
        )
      )}
    </Halves>
  );
}

/** The stage that gives most is looked at first. */
const mainOf = <
  Stage extends { readonly answer: { readonly output: { readonly watts: number } }; readonly topology: string },
>(
  stages: readonly Stage[],
): Stage | undefined =>
  stages
    .filter(({ topology }) => topology !== 'boost-pfc')
    .toSorted((a, b) => b.answer.output.watts - a.answer.output.watts)[0] ?? stages[0];
